import { colourLetter } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { techniqueNamed } from '../../craft/techniques/register.ts';
import { type Chart, eachRun, isRound, startBoundary, stitchesBetween } from '../../plan/route/chart.ts';
import { hangingMap, lastUses, movesByRow, OFF } from '../../plan/route/hangs.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, type MoveList } from '../../plan/route/moves.ts';
import type { Strands } from '../../plan/route/strands.ts';
import { ballOrder, halfTwists } from '../../plan/route/twists.ts';
import type { Hand } from '../terms/terms.ts';

/** What is done with one idle colour in one row, in working numbers: stitch 1 is the first one worked. */
export interface StrandOrder {
  readonly colour: string;
  /** Stitches it is carried inside, from the first to the last of each stretch. */
  readonly carried: readonly { readonly from: number; readonly to: number }[];
  /** The carrying in words; empty where there is none. */
  readonly carry: string;
  /** Whatever else is done with it: climbing, floating, cutting, fastening off. */
  readonly other: readonly string[];
}

/** Where one strand waits after a row. */
export interface HangingStrand {
  readonly colour: string;
  /** Stitches of this row between its start and the strand. */
  readonly afterStitch: number;
  readonly place: 'row start' | 'row end' | 'inside';
  /** The column before which it hangs, 0 at the edge where row 1 begins. */
  readonly boundary: number;
}

const placeWords: Partial<Record<HangingStrand['place'], string>> = {
  'row end': 'at this edge',
  'row start': 'at the far edge',
};

/** Everything the strands do, row by row; made once for a plan. */
export class StrandBook {
  private readonly chart: Chart;
  private readonly moves: MoveList;
  /** The letter of each strand; bobbins of one colour are numbered. */
  private readonly letters: readonly string[];
  private readonly byRow: Int32Array[];
  private readonly map: Int32Array;
  private readonly lastUses: Int32Array;
  /** Of the balls after each row, where the work is always turned the same way. */
  readonly twists: Int32Array;
  /** Colours have bobbins. */
  private readonly divided: boolean;
  /** What is counted along a row: stitches, or clusters and blocks. */
  private readonly cell: string;
  private readonly cells: string;
  /** What a course is called: row, round or diagonal. */
  private readonly course: string;

  constructor({ chart, moves, colourOf }: Pick<Strands, 'chart' | 'moves' | 'colourOf'>, bound: BoundPattern) {
    this.chart = chart;
    this.moves = moves;
    this.byRow = movesByRow(moves, chart.rows);
    this.map = hangingMap(chart, moves);
    this.lastUses = lastUses(chart);
    this.divided = new Set(colourOf).size < colourOf.length;
    this.twists = halfTwists({ chart, moves });
    this.cell = techniqueNamed(bound.pattern.technique)?.cellWord ?? 'stitch';
    this.cells = this.cell === 'stitch' ? 'stitches' : `${this.cell}s`;
    this.course = isRound(chart.construction) ? 'round' : bound.pattern.made === 'diagonals' ? 'diagonal' : 'row';
    const of = (colour: number) => colourOf.filter((each) => each === colour).length;
    this.letters = colourOf.map((colour, strand) => {
      const letter = colourLetter(bound, colour);
      const before = colourOf.slice(0, strand).filter((each) => each === colour).length;
      return of(colour) > 1 ? `${letter}${before + 1}` : letter;
    });
  }

  /** Strands that are attached after a row. @param row from 0 */
  hanging(row: number): HangingStrand[] {
    const { colourCount } = this.chart;
    const whole = this.stitches(row);
    const found: HangingStrand[] = [];
    for (let colour = 0; colour < colourCount; colour++) {
      const boundary = this.map[row * colourCount + colour] as number;
      if (boundary === OFF) continue;
      const afterStitch = this.working(row, boundary);
      const place = afterStitch === 0 ? 'row start' : afterStitch === whole ? 'row end' : 'inside';
      found.push({ colour: this.letters[colour] as string, afterStitch, place, boundary });
    }
    return found;
  }

  /**
   * The balls that are in use after a row, from left to right before the maker; they stay where they lie for the whole
   * work. @param row from 0
   */
  balls(row: number, hand: Hand): string[] {
    const inUse = new Set(this.hanging(row).map((strand) => strand.colour));
    return ballOrder(this.chart, hand, this.divided)
      .map((strand) => this.letters[strand] as string)
      .filter((letter) => inUse.has(letter));
  }

  /** The orders of a row, a colour each that is to be thought of. @param row from 0 */
  orders(row: number): StrandOrder[] {
    const orders: StrandOrder[] = [];
    for (let colour = 0; colour < this.chart.colourCount; colour++) {
      const order = this.orderOf(row, colour);
      if (order) orders.push(order);
    }
    return orders;
  }

  /** Where the strands hang when a row is done, in words: `A and B at this edge`. This edge is where the row ends. */
  hangingWords(row: number): string[] {
    return this.hangingPlaces(row).map(({ colours, place }) => `${colours} ${place}`);
  }

  /** The same, colours and place apart. */
  hangingPlaces(row: number): { readonly colours: string; readonly place: string }[] {
    const places = new Map<string, string[]>();
    for (const strand of this.hanging(row)) {
      const place = this.placeWords(strand.place) ?? `waiting after ${this.cell} ${strand.afterStitch}`;
      places.set(place, [...(places.get(place) ?? []), strand.colour]);
    }
    return [...places].map(([place, colours]) => ({ colours: andList(colours), place }));
  }

  /** In rounds both ends of a course are the seam. */
  private placeWords(place: HangingStrand['place']): string | undefined {
    return place !== 'inside' && isRound(this.chart.construction) ? 'at the seam' : placeWords[place];
  }

  /** Stitches of a whole row. */
  private stitches(row: number): number {
    return Math.round(stitchesBetween(this.chart, row, 0, this.chart.columns));
  }

  private working(row: number, boundary: number): number {
    return Math.round(stitchesBetween(this.chart, row, startBoundary(this.chart, row), boundary));
  }

  private orderOf(row: number, colour: number): StrandOrder | undefined {
    const { moves } = this;
    const letter = this.letters[colour] as string;
    const carried: { from: number; to: number }[] = [];
    const words: string[] = [];
    const uses = this.uses(row, colour);
    for (const i of this.byRow[row] as Int32Array) {
      if (moves.colour[i] !== colour) continue;
      const from = this.working(row, moves.from[i] as number);
      const to = this.working(row, moves.to[i] as number);
      if (moves.kind[i] === CARRY) carried.push({ from: from + 1, to });
      else words.push(...this.otherWords(moves.kind[i] as number, row, i, letter));
    }
    carried.sort((a, b) => a.from - b.from);
    // Blocks lie half a block beside one another: less than one of them is no carrying.
    const joined = join(carried).filter(({ from, to }) => to >= from);
    // Where every row is joined and fastened off, the row itself says so.
    const everyRow = this.chart.construction === 'right-side';
    const last = row === this.lastUse(colour) && !everyRow;
    if (last) words.push(`fasten off ${letter} after its last ${this.cell}`);
    if (!words.length && !joined.length) return undefined;
    const carry = joined.length ? this.carryWords(letter, joined, uses, this.stitches(row)) : '';
    return { colour: letter, carried: joined, carry, other: words };
  }

  private lastUse(colour: number): number {
    return this.lastUses[colour] as number;
  }

  /** Working numbers of the stitches at which the colour's runs begin and end in a row. */
  private uses(row: number, colour: number): { from: number; to: number }[] {
    const found: { from: number; to: number }[] = [];
    eachRun(this.chart, row, (own, start, end) => {
      if (own === colour) found.push({ from: this.working(row, start) + 1, to: this.working(row, end) });
    });
    return found;
  }

  private carryWords(
    letter: string,
    carried: readonly { from: number; to: number }[],
    uses: readonly { from: number; to: number }[],
    columns: number,
  ): string {
    const last = carried.at(-1) as { from: number; to: number };
    if (uses.length === 0) {
      const all = carried.length === 1 && last.from === 1 && last.to === columns;
      if (all) return `carry ${letter} inside the whole ${this.course}`;
      return last.to === columns
        ? `carry ${letter} inside ${this.fromWords(last.from)} to the end of the ${this.course}`
        : `carry ${letter} inside ${this.cells} ${last.from}–${last.to} and leave it there`;
    }
    const firstUse = (uses[0] as { from: number }).from;
    const lastUse = (uses.at(-1) as { to: number }).to;
    const words: string[] = [];
    const before = carried.find((each) => each.from < firstUse);
    const after = carried.filter((each) => each.from > lastUse);
    const between = carried.filter((each) => each.from > firstUse && each.from <= lastUse).length;
    if (before) words.push(this.fromWords(before.from));
    if (between) words.push(between === uses.length - 1 ? `between its own ${this.cells}` : 'where it is next needed');
    for (const each of after) {
      words.push(
        each.to === columns
          ? `on to the end of the ${this.course}`
          : `on to ${this.cell} ${each.to} and leave it there`,
      );
    }
    if (!words.length) words.push(carried.map(({ from, to }) => `${this.cells} ${from}–${to}`).join(' and '));
    return `carry ${letter} inside ${words.join(', ').replaceAll(',,', ',').replace(/,$/, '')}`;
  }

  /** From where a strand is carried: the start of the row, or the stitch at which it hangs. */
  private fromWords(first: number): string {
    return first === 1 ? `from the start of the ${this.course}` : `from ${this.cell} ${first - 1}, where it hangs,`;
  }

  private otherWords(kind: number, row: number, i: number, letter: string): string[] {
    const { moves } = this;
    const from = this.working(row, moves.from[i] as number);
    if (kind === CLIMB) return [`${letter} climbs the ${isRound(this.chart.construction) ? 'seam' : 'edge'}`];
    if (kind === FLOAT_UP) return [`let ${letter} hang on the back after ${this.cell} ${from}`];
    if (kind === FLOAT || kind === FLOAT_RISING) {
      const to = this.working(row, moves.to[i] as number);
      return [`bring ${letter} across the back from ${this.cell} ${from} to ${this.cell} ${to}`];
    }
    if (kind !== CUT || this.chart.construction === 'right-side') return [];
    const next = moves.to[i] as number;
    const again = next === row ? `at its next ${this.cell} of this ${this.course}` : `in ${this.course} ${next + 1}`;
    return [`cut ${letter} after ${this.cell} ${from}, leave 15 cm, join it again ${again}`];
  }
}

/** Carries that go on where another ended are one. */
function join(carried: readonly { from: number; to: number }[]): { from: number; to: number }[] {
  const joined: { from: number; to: number }[] = [];
  for (const each of carried) {
    const open = joined.at(-1);
    if (open && each.from === open.to + 1) open.to = each.to;
    else joined.push({ ...each });
  }
  return joined;
}

/** `A`, `A and B`, `A, B and C`. */
function andList(words: readonly string[]): string {
  return words.length < 3 ? words.join(' and ') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
