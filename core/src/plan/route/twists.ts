import { type Chart, type Construction, EMPTY } from './chart.ts';
import { hangingMap, OFF } from './hangs.ts';
import type { StrandWay } from './strands.ts';

/** Whether the work is turned after a row, from 0. */
function isTurned(construction: Construction, row: number): boolean {
  if (construction === 'paired') return row % 2 === 1;
  return construction === 'flat' || construction === 'turned-rounds';
}

/**
 * Half-twists of the balls after each row where the work is always turned the same way: one at every turn at which
 * two strands or more are attached; gone where no two are. Turned to and fro by turns they undo each other. Work that
 * is not turned has none.
 */
export function halfTwists({ chart, moves }: Pick<StrandWay, 'chart' | 'moves'>): Int32Array {
  const twists = new Int32Array(chart.rows);
  const map = hangingMap(chart, moves);
  let sum = 0;
  for (let row = 0; row < chart.rows - 1; row++) {
    let attached = 0;
    for (let strand = 0; strand < chart.colourCount; strand++) {
      if (map[row * chart.colourCount + strand] !== OFF) attached++;
    }
    if (attached < 2) sum = 0;
    else if (isTurned(chart.construction, row)) sum++;
    twists[row] = sum;
  }
  if (chart.rows) twists[chart.rows - 1] = sum;
  return twists;
}

export type Turn = 'clockwise' | 'anticlockwise';

/**
 * Which way to turn the work after a row so that the balls do not twist: one way and the other by turns. Nothing where
 * it is not turned, or where fewer than two strands hang on it. @param twists `halfTwists` @param row from 0
 */
export function turnAfter(twists: Int32Array, row: number): Turn | undefined {
  const [before, after] = [row ? (twists[row - 1] as number) : 0, twists[row] ?? 0];
  if (after === 0 || after === before) return undefined;
  return after % 2 === 1 ? 'clockwise' : 'anticlockwise';
}

/** Colours that are worked less far apart than this part of the width lie as their letters do. */
const apart = 0.25;

/**
 * The order in which the balls lie for the whole work, each on the side of the cloth where its strand is worked, so
 * that no ball is lifted over another. The right hand begins row 1 at its right.
 * @param divided colours have bobbins, which keep the order of the cloth @returns strands, from left to right
 */
export function ballOrder(chart: Chart, hand: 'right' | 'left', divided: boolean): number[] {
  const { columns, colours, colourCount } = chart;
  const [sum, cells] = [new Float64Array(colourCount), new Float64Array(colourCount)];
  for (let i = 0; i < colours.length; i++) {
    const strand = colours[i] as number;
    if (strand === EMPTY || strand >= colourCount) continue;
    sum[strand] = (sum[strand] as number) + (i % columns) + 0.5;
    cells[strand] = (cells[strand] as number) + 1;
  }
  const step = divided ? 1 : apart * columns;
  const way = hand === 'right' ? -1 : 1;
  const place = (strand: number) =>
    way * Math.round((sum[strand] as number) / Math.max(1, cells[strand] as number) / step);
  return Array.from({ length: colourCount }, (_, strand) => strand).sort((a, b) => place(a) - place(b) || a - b);
}
