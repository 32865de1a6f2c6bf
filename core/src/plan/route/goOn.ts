import { type Chart, direction, eachRun, isRound, stitchesBetween } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, MoveList } from './moves.ts';
import { finished, identity, route, type Way } from './route.ts';
import type { Strands, StrandWay } from './strands.ts';

/** Where a strand was last used, and where it is next wanted. */
interface Uses {
  readonly lastRow: number;
  readonly lastEnd: number;
  readonly nextRow: number;
  readonly start: number;
}

const never = -1;

/** The last use of every strand below a row, and the first from that row on. */
function usesAround(chart: Chart, row: number): Uses[] {
  const uses = identity(chart.colourCount).map(() => ({ lastRow: never, lastEnd: 0, nextRow: never, start: 0 }));
  for (let r = 0; r < chart.rows; r++) {
    eachRun(chart, r, (colour, start, end) => {
      const own = uses[colour] as { lastRow: number; lastEnd: number; nextRow: number; start: number };
      if (r < row) [own.lastRow, own.lastEnd] = [r, end];
      else if (own.nextRow === never) [own.nextRow, own.start] = [r, start];
    });
  }
  return uses;
}

/** What one move costs. */
function priceOf(chart: Chart, costs: StrandCosts, moves: MoveList, i: number): number {
  const { stitchWidth, rowHeight, perMm, perFloat } = costs;
  const kind = moves.kind[i];
  if (kind === CUT) return cutCost(costs);
  if (kind === CLIMB) return rowHeight * perMm;
  if (kind === FLOAT_UP) return rowHeight * perMm + perFloat;
  const row = moves.row[i] as number;
  const n = stitchesBetween(chart, row, moves.from[i] as number, moves.to[i] as number);
  if (kind === CARRY) return carryCost(costs, n);
  const round = stitchesBetween(chart, row, 0, chart.columns);
  const rises = kind !== FLOAT;
  const across = rises && isRound(chart.construction) ? Math.min(n, round - n) : n;
  const length = rises ? Math.hypot(across * stitchWidth, rowHeight) : across * stitchWidth;
  return length * perMm + across * perFloat;
}

/** Where a strand hangs when the hook comes to the row, as the moves made so far leave it. */
interface Hangs {
  readonly at: number;
  /** Rows climbed or floated up since it was last held by the hook. */
  readonly stretch: number;
}

/** The moves already made, and how each strand hangs after them. */
class Past {
  readonly moves = new MoveList();
  readonly cost: number[];
  readonly hangs: Hangs[];
  /** Which strands were cut or fastened off. */
  readonly off: boolean[];
  /** The cut that waits for its next use, by its place among the moves. */
  private readonly open: (number | undefined)[];
  private readonly uses: readonly Uses[];
  private readonly construction: Chart['construction'];

  constructor(before: StrandWay, chart: Chart, row: number, costs: StrandCosts, uses: readonly Uses[]) {
    this.uses = uses;
    this.construction = chart.construction;
    this.cost = uses.map(({ lastRow }) => (lastRow === never ? 0 : cutCost(costs)));
    // What the old plan had no more use for was fastened off after its last row.
    this.off = usesAround(before.chart, row).map(({ nextRow }) => nextRow === never);
    this.hangs = uses.map(({ lastEnd }) => ({ at: lastEnd, stretch: 0 }));
    this.open = uses.map(() => undefined);
    const old = before.moves;
    for (let i = 0; i < old.length; i++) {
      const [kind, colour, at] = [old.kind[i] as number, old.colour[i] as number, old.row[i] as number];
      const [from, to] = [old.from[i] as number, old.to[i] as number];
      if (at >= row) continue;
      const waits = kind === CUT && to >= row;
      // A cut whose colour comes no more is only the end of that strand.
      if (waits && (uses[colour] as Uses).nextRow === never) {
        this.off[colour] = true;
        continue;
      }
      this.moves.add(kind, colour, at, from, waits ? (uses[colour] as Uses).nextRow : to);
      this.cost[colour] = (this.cost[colour] as number) + priceOf(chart, costs, this.moves, this.moves.length - 1);
      if (waits) {
        this.open[colour] = this.moves.length - 1;
        this.off[colour] = true;
      } else if (kind !== CUT) this.follow(colour, kind, at, from, to);
    }
  }

  /** A move after the last use of its strand takes it from there. */
  private follow(colour: number, kind: number, row: number, from: number, to: number): void {
    const { lastRow, lastEnd } = this.uses[colour] as Uses;
    // A float that rises brings the strand to a use of that very row.
    if (row < lastRow || kind === FLOAT_RISING) return;
    if (row === lastRow && (from - lastEnd) * direction(this.construction, row) < 0) return;
    const stretch = (this.hangs[colour] as Hangs).stretch + 1;
    this.hangs[colour] = { at: to, stretch: kind === CLIMB || kind === FLOAT_UP ? stretch : 0 };
  }

  isCut(colour: number): boolean {
    return this.open[colour] !== undefined;
  }
}

/**
 * The way on from a row that is reached. What was done below it stays as it was made, each strand goes on from where
 * it hangs, and from its next use on it goes as `route` would take it. One strand a colour.
 * @param before the way by which the rows below were worked @param chart of the whole piece as it is now to be;
 * below `row` it is the same @param row the first row that is not yet worked, from 0
 */
export function goOn(
  before: StrandWay,
  chart: Chart,
  row: number,
  costs: StrandCosts,
  way: Exclude<Way, 'bobbins'>,
): Strands {
  const uses = usesAround(chart, row);
  const past = new Past(before, chart, row, costs, uses);
  const { moves, cost } = past;
  const anew = route(chart, costs, way);
  const linker = new Linker(chart, costs);
  const add = (colour: number, more: number) => {
    cost[colour] = (cost[colour] as number) + more;
  };
  uses.forEach(({ lastRow, lastEnd, nextRow, start }, colour) => {
    if (nextRow === never) return;
    const hangs = past.hangs[colour] as Hangs;
    if (lastRow === never) add(colour, cutCost(costs));
    else if (!past.off[colour])
      add(colour, linker.linkOn(colour, { row, ...hangs }, { row: lastRow, end: lastEnd, nextRow, start }, moves));
    else if (!past.isCut(colour)) {
      moves.add(CUT, colour, lastRow, hangs.at, nextRow);
      add(colour, cutCost(costs));
    }
    for (const i of laterMoves(anew, chart, colour, { row: nextRow, start, first: lastRow === never })) {
      const { kind, row: rows, from, to } = anew.moves;
      moves.add(kind[i] as number, colour, rows[i] as number, from[i] as number, to[i] as number);
      add(colour, priceOf(chart, costs, moves, moves.length - 1));
    }
  });
  return finished(chart, chart, identity(chart.colourCount), costs, moves, cost);
}

/** The moves of a strand from a use on. @param use `first` where it is its very first, to which it may be carried from the edge */
function laterMoves(
  { moves }: Strands,
  chart: Chart,
  colour: number,
  use: { readonly row: number; readonly start: number; readonly first: boolean },
): number[] {
  const found: number[] = [];
  const way = direction(chart.construction, use.row);
  for (let i = 0; i < moves.length; i++) {
    const row = moves.row[i] as number;
    if (moves.colour[i] !== colour || row < use.row) continue;
    const arrives = row === use.row && moves.kind[i] !== CUT && ((moves.to[i] as number) - use.start) * way <= 0;
    if (use.first || !arrives) found.push(i);
  }
  return found;
}
