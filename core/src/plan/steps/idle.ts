import { cellsIn, cellWorked, type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import type { Chart } from '../route/chart.ts';

/** What one idle strand does while one run is worked. */
export interface IdleStrand {
  readonly colour: string;
  /** Cells of the run that are worked over it, counted from its first one; nothing where it hangs all the while. */
  readonly over?: Stretch | undefined;
}

/** A part of a course, from and to. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Columns of its chart that a cell takes. @param course from 0 @param at of the fabric */
function columnsOfCell(fabric: Fabric, { cellOf, spans, columns }: Chart, course: number, at: number): number {
  if (!cellOf) return 1;
  const [start, end] = [fabric.starts[course] as number, fabric.starts[course + 1] as number];
  if (spans) {
    const behind = at + 1 === end ? course * columns + (spans[2 * course + 1] as number) : (cellOf[at + 1] as number);
    return behind - (cellOf[at] as number);
  }
  if (!isRoundMaking(fabric.making)) return 1;
  // A round of wedges, or of the circle below straight sides: all of its stitches share all of the columns.
  const makes = (cell: number) => stitchKind(fabric.kinds[cell] as number).makes;
  let all = 0;
  for (let cell = start; cell < end; cell++) all += makes(cell);
  return (makes(at) * columns) / all;
}

/**
 * Where the cells of a course begin and end along its chart, in columns from where the course begins: one figure more than
 * there are cells. @param course from 0
 */
export function cellEdges(fabric: Fabric, chart: Chart, course: number): Float64Array {
  const cells = cellsIn(fabric, course);
  const edges = new Float64Array(cells + 1);
  for (let n = 0; n < cells; n++) {
    edges[n + 1] = (edges[n] as number) + columnsOfCell(fabric, chart, course, cellWorked(fabric, course, n));
    // Thirds of a wedge add up to a wedge.
    const whole = Math.round(edges[n + 1] as number);
    if (Math.abs((edges[n + 1] as number) - whole) < 1e-6) edges[n + 1] = whole;
  }
  return edges;
}

/**
 * The cell at whose beginning a place along the course lies, or lies nearest; of two the later.
 * @param part of a cell that a column is, where cells lie half a cell beside those below: the place is then counted as the
 * orders of a row count it, in whole cells
 */
export function nearestEdge(edges: Float64Array, place: number, part?: number): number {
  if (part !== undefined) {
    let n = 0;
    while (n + 1 < edges.length && Math.round((edges[n + 1] as number) * part) <= Math.round(place * part)) n++;
    return n;
  }
  let best = 0;
  for (let n = 1; n < edges.length; n++) {
    if (Math.abs((edges[n] as number) - place) <= Math.abs((edges[best] as number) - place)) best = n;
  }
  return best;
}

/**
 * Which cells of a run are worked over a strand that is carried along stretches of its course; nothing where none is.
 * @param stretches in columns from where the course begins @param run its cells, from 0
 */
export function cellsOver(
  edges: Float64Array,
  stretches: readonly Stretch[],
  run: Stretch,
  part?: number,
): Stretch | undefined {
  for (const { from, to } of stretches) {
    const first = Math.max(run.from, nearestEdge(edges, from, part));
    const last = Math.min(run.to, nearestEdge(edges, to, part));
    if (last > first) return { from: first - run.from + 1, to: last - run.from };
  }
  return undefined;
}
