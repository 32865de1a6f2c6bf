import { colourLetter, type Fabric } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { techniqueNamed } from '../../craft/techniques/register.ts';
import type { Told } from '../../craft/values/problem.ts';
import {
  behindLast,
  type Chart,
  columnsBetween,
  direction,
  EMPTY,
  eachRun,
  firstOf,
  isRound,
  startBoundary,
  stitchesBetween,
} from '../route/chart.ts';
import { hangingMap, lastPlaces, movesByRow, OFF } from '../route/hangs.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, type MoveList } from '../route/moves.ts';
import type { Strands } from '../route/strands.ts';
import { ballOrder, halfTwists } from '../route/twists.ts';
import type { WorkedCourse } from './course.ts';
import { type Ending, staysOn } from './ending.ts';
import { cellEdges, cellsOver, type IdleStrand, type Stretch } from './idle.ts';

/** What is done with one idle colour in one row, in working numbers: stitch 1 is the first one worked. */
export interface StrandOrder {
  readonly colour: string;
  /** Stitches it is carried inside, from the first to the last of each stretch. */
  readonly carried: readonly { readonly from: number; readonly to: number }[];
  /** How it is carried, where it is. The words: `words/rows/strandWords.ts`. */
  readonly carry?: Told | undefined;
  /** What else is done with it, in turn: climbing, floating, cutting, fastening off. */
  readonly acts: readonly Told[];
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

/** Strands that wait at one place after a row. */
export interface HangingPlace {
  readonly colours: readonly string[];
  readonly place: HangingStrand['place'] | 'seam';
  readonly afterStitch: number;
  /** What is counted along the row. */
  readonly cell: string;
}

/** Everything the strands do, row by row; made once for a plan. */
export class StrandBook {
  private readonly chart: Chart;
  private readonly moves: MoveList;
  /** The letter of each strand; bobbins of one colour are numbered. */
  private readonly letters: readonly string[];
  private readonly byRow: Int32Array[];
  private readonly map: Int32Array;
  /** The row after which each strand is no longer needed. */
  private readonly lastRows: ReadonlyMap<number, number>;
  private readonly ending: Ending | undefined;
  /** Of the balls after each row, where the work is always turned the same way. */
  readonly twists: Int32Array;
  /** Colours have bobbins. */
  private readonly divided: boolean;
  /** What is counted along a row: stitches, or clusters and blocks. */
  private readonly cell: string;
  /** What a course is called: row, round or diagonal. */
  private readonly course: string;

  /** @param ending what becomes of the last loop: a strand that goes on or is locked there is not fastened off before */
  constructor(
    { chart, moves, colourOf }: Pick<Strands, 'chart' | 'moves' | 'colourOf'>,
    bound: BoundPattern,
    ending?: Ending,
  ) {
    this.ending = ending;
    this.chart = chart;
    this.moves = moves;
    this.byRow = movesByRow(moves, chart.rows);
    this.map = hangingMap(chart, moves);
    this.lastRows = new Map(lastPlaces({ chart, moves }).map(({ strand, row }) => [strand, row]));
    this.divided = new Set(colourOf).size < colourOf.length;
    this.twists = halfTwists({ chart, moves });
    this.cell = techniqueNamed(bound.pattern.technique)?.cellWord ?? 'stitch';
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
  balls(row: number, hand: 'right' | 'left'): string[] {
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

  /** Where the strands hang when a row is done, place by place. In rounds both ends of a course are the seam. */
  places(row: number): HangingPlace[] {
    const places = new Map<string, HangingPlace>();
    const round = isRound(this.chart.construction);
    for (const { colour, place: own, afterStitch } of this.hanging(row)) {
      const place = round && own !== 'inside' ? 'seam' : own;
      const key = place === 'inside' ? `${place} ${afterStitch}` : place;
      const colours = [...(places.get(key)?.colours ?? []), colour];
      places.set(key, { colours, place, afterStitch, cell: this.cell });
    }
    return [...places.values()];
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
    const acts: Told[] = [];
    const uses = this.uses(row, colour);
    for (const i of this.byRow[row] as Int32Array) {
      if (moves.colour[i] !== colour) continue;
      const from = this.working(row, moves.from[i] as number);
      const to = this.working(row, moves.to[i] as number);
      if (moves.kind[i] === CARRY) carried.push({ from: from + 1, to });
      else acts.push(...this.otherActs(moves.kind[i] as number, row, i, letter));
    }
    carried.sort((a, b) => a.from - b.from);
    // Blocks lie half a block beside one another: less than one of them is no carrying.
    const joined = join(carried).filter(({ from, to }) => to >= from);
    // Where every row is joined and fastened off, the row itself says so.
    const everyRow = this.chart.construction === 'right-side';
    const last = row === this.lastRows.get(colour) && !everyRow;
    if (last && !this.isKept(row, letter)) acts.push({ code: 'fasten-off', facts: { letter, cell: this.cell } });
    if (!acts.length && !joined.length) return undefined;
    const carry = joined.length ? this.carryAct(letter, joined, uses, this.stitches(row)) : undefined;
    return { colour: letter, carried: joined, carry, acts };
  }

  /** Whether a strand that the last row is done with is worked on from there, or locked with another. */
  private isKept(row: number, letter: string): boolean {
    const { ending } = this;
    if (!ending || row < this.chart.rows - 1) return false;
    return staysOn(ending, letter) || (ending.kind === 'locked' && (letter === ending.letter || letter === ending.by));
  }

  /**
   * What every strand that is attached, and not worked with, does while one run is worked. This is what the orders of the
   * row say, stitch by stitch. @param run from 0
   */
  during(fabric: Fabric, course: WorkedCourse, run: number): IdleStrand[] {
    const current = course.runs[run];
    if (!current) return [];
    const row = course.number - 1;
    const edges = cellEdges(fabric, this.chart, row);
    const own = { from: current.from - 1, to: current.from - 1 + current.count };
    const worked = this.workedWith(row, edges, own);
    const part = this.chart.spans && this.chart.scale?.[row];
    const begins = edges[own.from] as number;
    const idle: IdleStrand[] = [];
    for (let strand = 0; strand < this.chart.colourCount; strand++) {
      if (worked.has(strand)) continue;
      const over = cellsOver(edges, this.carries(row, strand), own, part);
      if (!over && !this.isAttached(row, strand, begins)) continue;
      idle.push({ colour: this.letters[strand] as string, over });
    }
    return idle;
  }

  /** A place along a row, in columns from where the row begins. */
  private along(row: number, boundary: number): number {
    return columnsBetween(this.chart, row, startBoundary(this.chart, row), boundary);
  }

  /** The stretches of a row along which a strand is carried, in columns from where the row begins; joined where they meet. */
  private carries(row: number, strand: number): Stretch[] {
    const { moves } = this;
    const found: { from: number; to: number }[] = [];
    for (const i of this.byRow[row] as Int32Array) {
      if (moves.colour[i] !== strand || moves.kind[i] !== CARRY) continue;
      found.push({ from: this.along(row, moves.from[i] as number), to: this.along(row, moves.to[i] as number) });
    }
    found.sort((a, b) => a.from - b.from);
    const joined: { from: number; to: number }[] = [];
    for (const each of found) {
      const open = joined.at(-1);
      if (open && each.from === open.to) open.to = each.to;
      else joined.push(each);
    }
    return joined;
  }

  /** The strands that some cells of a row are worked with. @param cells from and to, from 0 */
  private workedWith(row: number, edges: Float64Array, { from, to }: Stretch): Set<number> {
    const { chart } = this;
    const forward = direction(chart.construction, row) === 1;
    const first = forward ? firstOf(chart, row) : behindLast(chart, row) - 1;
    const found = new Set<number>();
    for (let n = Math.floor(edges[from] as number); n < Math.ceil(edges[to] as number); n++) {
      const strand = chart.colours[row * chart.columns + (forward ? first + n : first - n)] as number;
      if (strand !== EMPTY) found.add(strand);
    }
    return found;
  }

  /** Whether a strand hangs on the work when a place of a row is reached. @param place in columns from where the row begins */
  private isAttached(row: number, strand: number, place: number): boolean {
    const { chart, moves } = this;
    let attached = row > 0 && this.map[(row - 1) * chart.colourCount + strand] !== OFF;
    const left: number[] = [];
    eachRun(chart, row, (own, _start, end) => {
      if (own === strand && this.along(row, end) <= place) left.push(this.along(row, end));
    });
    if (left.length) attached = true;
    for (const { from, to } of this.carries(row, strand)) {
      if (from < place) attached = true;
      if (to <= place) left.push(to);
    }
    if (!attached) return false;
    const at = Math.max(0, ...left);
    // Cut where it was left, or needed no more.
    for (const i of this.byRow[row] as Int32Array) {
      const isCut = moves.colour[i] === strand && moves.kind[i] === CUT;
      if (isCut && this.along(row, moves.from[i] as number) === at) return false;
    }
    const done = row === this.lastRows.get(strand) && !this.isKept(row, this.letters[strand] as string);
    return !(done && left.length > 0 && this.isDoneAt(row, strand, at));
  }

  /** Whether nothing more is done with a strand in a row behind a place. */
  private isDoneAt(row: number, strand: number, place: number): boolean {
    let later = this.carries(row, strand).some(({ to }) => to > place);
    eachRun(this.chart, row, (own, _start, end) => {
      if (own === strand && this.along(row, end) > place) later = true;
    });
    return !later;
  }

  /** Working numbers of the stitches at which the colour's runs begin and end in a row. */
  private uses(row: number, colour: number): { from: number; to: number }[] {
    const found: { from: number; to: number }[] = [];
    eachRun(this.chart, row, (own, start, end) => {
      if (own === colour) found.push({ from: this.working(row, start) + 1, to: this.working(row, end) });
    });
    return found;
  }

  private carryAct(
    letter: string,
    carried: readonly { from: number; to: number }[],
    uses: readonly { from: number; to: number }[],
    columns: number,
  ): Told {
    const of = { letter, cell: this.cell, course: this.course };
    const last = carried.at(-1) as { from: number; to: number };
    if (uses.length === 0) {
      const all = carried.length === 1 && last.from === 1 && last.to === columns;
      if (all) return { code: 'carry-whole', facts: of };
      return last.to === columns
        ? { code: 'carry-to-end', facts: { ...of, from: last.from } }
        : { code: 'carry-and-leave', facts: { ...of, from: last.from, to: last.to } };
    }
    const firstUse = (uses[0] as { from: number }).from;
    const lastUse = (uses.at(-1) as { to: number }).to;
    const before = carried.find((each) => each.from < firstUse);
    const after = carried.filter((each) => each.from > lastUse);
    const between = carried.filter((each) => each.from > firstUse && each.from <= lastUse).length;
    return {
      code: 'carry',
      facts: {
        ...of,
        before: before?.from,
        between: between === 0 ? undefined : between === uses.length - 1 ? 'all' : 'some',
        // Where it is left; the last stitch of the row is its end.
        after: after.map(({ to }) => (to === columns ? 'end' : to)),
        stretches: carried.flatMap(({ from, to }) => [from, to]),
      },
    };
  }

  private otherActs(kind: number, row: number, i: number, letter: string): Told[] {
    const { moves } = this;
    const from = this.working(row, moves.from[i] as number);
    const of = { letter, cell: this.cell, course: this.course, from };
    if (kind === CLIMB) return [{ code: 'climb', facts: { letter, seam: isRound(this.chart.construction) } }];
    if (kind === FLOAT_UP) return [{ code: 'hang', facts: of }];
    if (kind === FLOAT || kind === FLOAT_RISING) {
      return [{ code: 'float', facts: { ...of, to: this.working(row, moves.to[i] as number) } }];
    }
    if (kind !== CUT || this.chart.construction === 'right-side') return [];
    const next = moves.to[i] as number;
    return [{ code: 'cut', facts: { ...of, again: next === row ? undefined : next + 1 } }];
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
