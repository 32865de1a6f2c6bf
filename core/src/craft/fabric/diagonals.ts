/** Blocks high, from blocks wide and diagonals. */
export function blocksHigh(diagonals: number, wide: number): number {
  return diagonals - wide + 1;
}

/** The blocks of a diagonal: `from` and `to` are columns of blocks, counted from the edge where the work begins. */
export function diagonalSpan(diagonal: number, wide: number, high: number): { from: number; to: number } {
  return { from: Math.max(0, diagonal - high + 1), to: Math.min(wide - 1, diagonal) };
}
