import { type Chart, direction, eachRun } from './chart.ts';
import { CUT, FLOAT_RISING, MoveList } from './moves.ts';
import { insideOf } from './route.ts';
import type { StrandWay } from './strands.ts';

/**
 * The way of the strands in a cloth that ends sooner, row for row the same as far as it goes: whatever its colours are
 * divided among. A strand that comes no more is fastened off after its last stitch, unless it was moved on already.
 * @param chart of the shorter cloth, in colours @param row the first row that is not yet worked, from 0
 * @returns nothing where the two are not as wide
 */
export function cutShort(before: StrandWay, chart: Chart, row: number): StrandWay | undefined {
  const { columns, rows } = chart;
  if (columns !== before.chart.columns || rows > before.chart.rows) return undefined;
  const { colourCount, colours } = before.chart;
  const shorter: Chart = { ...chart, colourCount, colours: colours.subarray(0, rows * columns) };
  const last = lastPlaces(shorter);
  const moves = new MoveList();
  const old = before.moves;
  for (let i = 0; i < old.length; i++) {
    const [kind, strand, at] = [old.kind[i] as number, old.colour[i] as number, old.row[i] as number];
    const [from, to] = [old.from[i] as number, old.to[i] as number];
    const use = last[strand];
    const isPast = at < row && !(kind === CUT && to >= row);
    const isNeeded = use !== undefined && (kind === CUT ? to < rows : comesBefore(shorter, { kind, at, from }, use));
    if (isPast || isNeeded) moves.add(kind, strand, at, from, to);
  }
  return { chart: shorter, colourOf: before.colourOf, moves, inside: insideOf(shorter, moves) };
}

interface Place {
  readonly row: number;
  /** The boundary at which its last run ends. */
  readonly end: number;
}

/** Where every strand is last used. */
function lastPlaces(chart: Chart): (Place | undefined)[] {
  const last: (Place | undefined)[] = [];
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (strand, _start, end) => {
      last[strand] = { row, end };
    });
  }
  return last;
}

/** Whether a move is made before a strand's last use is done. A float that rises brings it to a use of that very row. */
function comesBefore(
  chart: Chart,
  { kind, at, from }: { kind: number; at: number; from: number },
  { row, end }: Place,
): boolean {
  if (at !== row) return at < row;
  return kind === FLOAT_RISING || (end - from) * direction(chart.construction, row) > 0;
}
