/** Stitches to add in each round for a circle that lies flat. docs/craft.md, “Flat circles”. @param height @param width mm */
export function flatIncrease(width: number, height: number): number {
  return (2 * Math.PI * height) / width;
}

/**
 * Increases a round by which a circle lies flat: those of the rule of thumb where they do, else the nearest whole number.
 * @param usual by rule of thumb @param width @param height of a stitch, mm
 *
 * @example flattestIncrease(6, 100 / 14, 6.25) // 6, though 5.5 would be exact
 */
export function flattestIncrease(usual: number, width: number, height: number): number {
  if (circleLies(fullness(usual, width, height)) === 'flat') return usual;
  return Math.max(3, Math.round(flatIncrease(width, height)));
}

export type CircleLie = 'cups' | 'shallow dome' | 'flat' | 'edge waves' | 'ruffles';

/** What is added, as a part of what a flat circle takes. @param added stitches a round */
export function fullness(added: number, width: number, height: number): number {
  return added / flatIncrease(width, height);
}

/** How a circle will lie. */
export function circleLies(ratio: number): CircleLie {
  if (ratio < 0.85) return 'cups';
  if (ratio < 0.93) return 'shallow dome';
  if (ratio <= 1.1) return 'flat';
  return ratio <= 1.2 ? 'edge waves' : 'ruffles';
}
