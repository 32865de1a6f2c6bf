import { cellsIn, type Fabric } from './fabric.ts';

/** A cloth as it is seen from the right side: blocks on the diagonal lie where they belong, all else course by course. */
export interface SeenGrid {
  readonly wide: number;
  readonly high: number;
  /** The colour of a cell, nothing where there is none. Columns from 0 where row 1 begins, rows from 0 at the bottom. */
  colour(column: number, row: number): number | undefined;
}

/** The cells of a cloth in columns and rows. */
export function seenGrid(fabric: Fabric): SeenGrid {
  if (fabric.making !== 'diagonals') {
    return {
      wide: fabric.stitches,
      high: fabric.courses,
      colour: (column, row) =>
        column < cellsIn(fabric, row) ? fabric.colours[(fabric.starts[row] as number) + column] : undefined,
    };
  }
  const wide = fabric.count;
  const high = fabric.courses - wide + 1;
  return {
    wide,
    high,
    colour: (column, row) => {
      const first = Math.max(0, column + row - high + 1);
      return fabric.colours[(fabric.starts[column + row] as number) + column - first];
    },
  };
}
