/** The blocks of a corner-to-corner piece by how they begin. */
export interface CornerBlocks {
  readonly diagonals: number;
  /** Blocks on the longest diagonal, and how often it comes. */
  readonly longest: number;
  readonly longestTimes: number;
  readonly growing: number;
  readonly shrinking: number;
  readonly ordinary: number;
}

/**
 * Counts the blocks of a piece of wide × high blocks. docs/craft.md, “Corner to corner”.
 * @param levelAtGrowing whether the first diagonal that no longer grows starts at the growing end
 */
export function cornerBlocks(wide: number, high: number, levelAtGrowing = true): CornerBlocks {
  const long = Math.max(wide, high);
  const short = Math.min(wide, high);
  const half = (long - short) / 2;
  const diagonals = long + short - 1;
  const growing = short + (levelAtGrowing ? Math.ceil(half) : Math.floor(half));
  return {
    diagonals,
    longest: short,
    longestTimes: long - short + 1,
    growing,
    shrinking: diagonals - growing,
    ordinary: (long - 1) * (short - 1),
  };
}

/** Yarn in one block, mm. @param side of a block @param diameter of the yarn, mm */
export function cornerBlockYarn(start: 'growing' | 'shrinking' | 'ordinary', side: number, diameter: number): number {
  if (start === 'ordinary') return 17.25 * side + 39 * diameter;
  return 19.5 * side + (start === 'growing' ? 30 : 48) * diameter;
}
