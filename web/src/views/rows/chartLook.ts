import type { HangingStrand } from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';

/** Room for row numbers at either side and for stitch numbers below, px. */
export const gutter = 44;
export const footer = 26;

export interface ChartLook {
  readonly shades: readonly string[];
  readonly letters: readonly string[];
  readonly hand: Hand;
  /** px of a cell */
  readonly cell: number;
  /** Rows from 1. */
  readonly selected: number;
  /** The first row not yet worked, where the work is begun. */
  readonly inHand: number | undefined;
  /** Where every strand hangs when a row (from 0) is done; absent while that is not shown. */
  readonly hanging?: ((row: number) => readonly HangingStrand[]) | undefined;
}

/** Letters smaller than this are not read, but guessed, px. */
const smallestLetter = 11;

export function letterSize(px: number): number {
  return Math.max(smallestLetter, Math.round(px));
}
