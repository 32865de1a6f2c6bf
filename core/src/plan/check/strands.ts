import { type Facts, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { type Chart, direction, EMPTY, eachRun, isRound } from '../route/chart.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP } from '../route/moves.ts';
import type { Strands } from '../route/strands.ts';

/** A strand that is not attached can be joined anywhere. */
const FREE = -1;

/** Follows each strand by its moves alone and sees whether it is where the hook wants it. */
class Follower {
  readonly problems: Problem[] = [];
  private readonly chart: Chart;
  private readonly strands: Strands;
  private readonly position: Int32Array;
  private readonly queues: Int32Array[];
  private readonly cursor: Int32Array;
  private readonly round: boolean;
  private readonly columns: number;
  /** Direction of the row being followed. */
  private way = 1;

  constructor(chart: Chart, strands: Strands) {
    this.chart = chart;
    this.strands = strands;
    this.round = isRound(chart.construction);
    this.columns = chart.columns;
    this.position = new Int32Array(chart.colourCount).fill(FREE);
    this.cursor = new Int32Array(chart.colourCount);
    const { moves } = strands;
    const counts = new Int32Array(chart.colourCount);
    for (let i = 0; i < moves.length; i++) (counts[moves.colour[i] as number] as number)++;
    this.queues = Array.from(counts, (count) => new Int32Array(count));
    counts.fill(0);
    for (let i = 0; i < moves.length; i++) {
      const colour = moves.colour[i] as number;
      const next = counts[colour] as number;
      (this.queues[colour] as Int32Array)[next] = i;
      counts[colour] = next + 1;
    }
  }

  /** The hook comes to a row. */
  enter(row: number): void {
    this.way = direction(this.chart.construction, row);
  }

  /** The hook begins a run: the strand must be here once the moves due before it are made. */
  begin(row: number, colour: number, start: number, end: number): void {
    const queue = this.queues[colour] as Int32Array;
    let next = this.cursor[colour] as number;
    while (next < queue.length && this.isDue(queue[next] as number, row, start)) {
      this.make(queue[next++] as number, colour);
    }
    this.cursor[colour] = next;
    const at = this.position[colour] as number;
    if (at !== FREE && this.place(at) !== this.place(start)) {
      this.report(row, 'hangs-elsewhere', { colour: colour + 1, wanted: start, at });
    }
    this.position[colour] = end;
  }

  private place(boundary: number): number {
    return this.round && boundary === this.columns ? 0 : boundary;
  }

  private isDue(move: number, row: number, start: number): boolean {
    const { moves } = this.strands;
    const moveRow = moves.row[move] as number;
    if (moveRow !== row) return moveRow < row;
    const until = moves.kind[move] === CUT ? moves.from[move] : moves.to[move];
    return (start - (until as number)) * this.way >= 0;
  }

  private make(move: number, colour: number): void {
    const { moves } = this.strands;
    const kind = moves.kind[move] as number;
    const row = moves.row[move] as number;
    const from = moves.from[move] as number;
    const to = moves.to[move] as number;
    const at = this.position[colour] as number;
    if (at === FREE) {
      // A band carried from the row's start is joined there.
      if (kind !== CARRY) this.report(row, 'moved-unjoined', { colour: colour + 1 });
    } else if (this.place(at) !== this.place(from)) {
      this.report(row, 'moved-from-elsewhere', { colour: colour + 1, from, at });
    }
    if (kind === CUT) {
      this.position[colour] = FREE;
      return;
    }
    if (kind === CARRY && (to - from) * direction(this.chart.construction, row) <= 0) {
      this.report(row, 'carried-back', { colour: colour + 1, from, to });
    }
    const edge = from === 0 || from === this.chart.columns;
    if ((kind === CLIMB && !edge) || (kind === FLOAT_UP && edge)) {
      this.report(row, 'goes-up-wrong', { colour: colour + 1, from });
    }
    if (kind === CLIMB || kind === FLOAT_UP) return;
    if (kind === CARRY || kind === FLOAT || kind === FLOAT_RISING) this.position[colour] = to;
  }

  private report(row: number, what: string, facts: Facts): void {
    this.problems.push({
      code: 'strand-misplaced',
      path: `row ${row + 1}`,
      facts: { ...facts, row: row + 1, what },
    });
  }
}

/** The first stitch whose colour no strand brings, or nothing. */
function unserved(chart: Chart, strands: Strands): Problem | undefined {
  const { columns, colours } = chart;
  const served = strands.chart.colours;
  const sameSize = served.length === colours.length;
  const single = strands.colourOf.every((colour, strand) => colour === strand);
  for (let i = 0; i < colours.length; i++) {
    const strand = served[i] as number;
    if (single && sameSize && strand === colours[i]) continue;
    if (sameSize && (strand === EMPTY ? EMPTY : strands.colourOf[strand]) === colours[i]) continue;
    const row = Math.floor(i / columns);
    const stitch = (direction(chart.construction, row) === 1 ? i % columns : columns - 1 - (i % columns)) + 1;
    return {
      code: 'strand-not-there',
      path: `row ${row + 1}, stitch ${stitch}`,
      facts: { row: row + 1, stitch, colour: (colours[i] as number) + 1 },
    };
  }
  return undefined;
}

/**
 * Proves that every colour is where the hook wants it, and that the moves cost what the search claimed.
 * @param whole the chart of the fabric
 */
export function checkStrands(whole: Chart, strands: Strands): Result<Strands> {
  const missed = whole.colours === strands.chart.colours ? undefined : unserved(whole, strands);
  if (missed) return refused(missed);
  const { chart } = strands;
  const follower = new Follower(chart, strands);
  for (let row = 0; row < chart.rows; row++) {
    follower.enter(row);
    eachRun(chart, row, (colour, start, end) => follower.begin(row, colour, start, end));
  }
  strands.totals.forEach((total, colour) => {
    if (Math.abs(total.cost - total.recounted) <= 1e-6 * Math.max(1, total.cost)) return;
    follower.problems.push({
      code: 'strand-cost',
      path: '',
      facts: { colour: colour + 1, recounted: total.recounted, cost: total.cost },
    });
  });
  return follower.problems.length ? refused(...follower.problems.slice(0, 5)) : good(strands);
}
