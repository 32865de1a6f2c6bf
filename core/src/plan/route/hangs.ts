import { type Chart, eachRun, isSamePlace } from './chart.ts';
import { CARRY, CLIMB, CUT, FLOAT_UP, type MoveList } from './moves.ts';

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

/** Where a strand hangs once its last use and all of its moves are behind it. */
export interface LastPlace {
  readonly strand: number;
  readonly row: number;
  readonly boundary: number;
}

/** Where every strand is after its last stitch, and whatever is done with it after that. */
export function lastPlaces({ chart, moves }: { readonly chart: Chart; readonly moves: MoveList }): LastPlace[] {
  const found = new Map<number, { strand: number; row: number; boundary: number }>();
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (strand, _start, end) => found.set(strand, { strand, row, boundary: end }));
  }
  for (let i = 0; i < moves.length; i++) {
    const own = found.get(moves.colour[i] as number);
    const [kind, row, from] = [moves.kind[i] as number, moves.row[i] as number, moves.from[i] as number];
    // Moves are in the order of working: what goes on from where a strand is left is done after its last stitch.
    const goesOn = kind === CARRY || kind === CLIMB || kind === FLOAT_UP;
    if (!own || !goesOn || row < own.row || !isSamePlace(chart, from, own.boundary)) continue;
    if (kind === CARRY) own.boundary = moves.to[i] as number;
    own.row = row;
  }
  return [...found.values()];
}

/**
 * Where every strand hangs after every row: boundaries, row-major by colour, `OFF` where it is not attached.
 * A strand that is neither used nor moved again is fastened off after its last row.
 */
export function hangingMap(chart: Chart, moves: MoveList): Int32Array {
  const { rows, colourCount } = chart;
  const map = new Int32Array(rows * colourCount).fill(OFF);
  const position = new Int32Array(colourCount).fill(OFF);
  const byRow = movesByRow(moves, rows);
  const lastRow = new Int32Array(colourCount).fill(-1);
  for (const { strand, row } of lastPlaces({ chart, moves })) lastRow[strand] = row;
  for (let row = 0; row < rows; row++) {
    eachRun(chart, row, (colour, _start, end) => {
      position[colour] = end;
    });
    for (const i of byRow[row] as Int32Array) {
      const colour = moves.colour[i] as number;
      if (!isSamePlace(chart, moves.from[i] as number, position[colour] as number)) continue;
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
