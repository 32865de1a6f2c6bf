import { type Chart, eachRun } from './chart.ts';
import { CARRY, CUT, type MoveList } from './moves.ts';

/** The boundary at which a strand hangs after a row, or this when it is not attached. */
export const OFF = -1;

/** Indices of the moves of each row, in the order of the list. A cut stands in the row after whose use it is made. */
export function movesByRow(moves: MoveList, rows: number): Int32Array[] {
  const counts = new Int32Array(rows);
  for (let i = 0; i < moves.length; i++) (counts[moves.row[i] as number] as number)++;
  const byRow = Array.from(counts, (count) => new Int32Array(count));
  counts.fill(0);
  for (let i = 0; i < moves.length; i++) {
    const row = moves.row[i] as number;
    const next = counts[row] as number;
    (byRow[row] as Int32Array)[next] = i;
    counts[row] = next + 1;
  }
  return byRow;
}

/** The last row in which each strand is used; −1 where it never is. */
export function lastUses(chart: Chart): Int32Array {
  const last = new Int32Array(chart.colourCount).fill(-1);
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (colour) => {
      last[colour] = row;
    });
  }
  return last;
}

/**
 * Where every strand hangs after every row: boundaries, row-major by colour, `OFF` where it is not attached.
 * A strand that will not be used again is fastened off after its last row.
 */
export function hangingMap(chart: Chart, moves: MoveList): Int32Array {
  const { rows, colourCount } = chart;
  const map = new Int32Array(rows * colourCount).fill(OFF);
  const position = new Int32Array(colourCount).fill(OFF);
  const byRow = movesByRow(moves, rows);
  const lastRow = lastUses(chart);
  for (let row = 0; row < rows; row++) {
    eachRun(chart, row, (colour, _start, end) => {
      position[colour] = end;
    });
    for (const i of byRow[row] as Int32Array) {
      const colour = moves.colour[i] as number;
      if (moves.from[i] !== position[colour]) continue;
      if (moves.kind[i] === CARRY) position[colour] = moves.to[i] as number;
      else if (moves.kind[i] === CUT && (moves.to[i] as number) > row) position[colour] = OFF;
    }
    for (let colour = 0; colour < colourCount; colour++) {
      if ((lastRow[colour] as number) <= row) position[colour] = OFF;
      map[row * colourCount + colour] = position[colour] as number;
    }
  }
  return map;
}
