import type { Hand } from '@puntada/core/words';
import type { Side } from './drawing.ts';

/** How a fabric is to be seen. */
export interface ClothLook {
  /** `#rrggbb` of each colour, in the order of the pattern's letters. */
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** Whole pixels of one stitch. */
  readonly cellWidth: number;
  readonly cellHeight: number;
  /** Which face is seen; the right side unless said. */
  readonly face?: Side;
}
