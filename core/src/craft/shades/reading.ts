import type { BoundPattern } from '../patterns/bound.ts';
import { evaluate } from '../patterns/count.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { difference, lightnessOf, lightOf } from './colour.ts';
import { type Eyes, eyes, lightSeen } from './eyes.ts';

/** How well two yarns can be told apart. */
export interface ShadeReading {
  /** Difference in lightness, 0 to 100: what is left in grey and from far. */
  readonly lightness: number;
  /** Difference all in all, hue included. */
  readonly all: number;
  /** The same for eyes that see less. */
  readonly seenBy: readonly { readonly eyes: Eyes; readonly difference: number }[];
  readonly verdict: 'clear' | 'soft' | 'hardly';
  /** Stitches of the narrowest figure, where they are so small that they need more contrast. */
  readonly small?: 1 | 2 | undefined;
}

/** Under so much, the two yarns of a wide figure melt together. */
const hardlyBelow = 20;
/** Over so much a figure is seen from across the room. */
const clearFrom = 38;
/** Figures of one or two stitches need more, for each stitch borrows from its neighbours. */
const moreForSmall = 10;

/** Stitches of the narrowest run of a pattern: how small its figures are. */
export function smallestRun({ pattern, numbers }: BoundPattern): number {
  const known = { i: 1, j: 2, ...numbers };
  const runs = repeatedRows(pattern).flatMap((row) => row.unit.map((run) => evaluate(run.count, known)));
  const counts = runs.filter((count) => count > 0);
  return counts.length ? Math.min(...counts) : 1;
}

/**
 * How two yarns read in a pattern: by lightness first, since grey, dusk and many eyes leave only that.
 * docs/craft.md, “Contrast”. @param run stitches of its narrowest run
 */
export function readShades(a: string, b: string, run = 4): ShadeReading {
  const lightness = Math.abs(lightnessOf(a) - lightnessOf(b));
  const small = run <= 2 ? moreForSmall : 0;
  const verdict = lightness < hardlyBelow + small / 2 ? 'hardly' : lightness < clearFrom + small ? 'soft' : 'clear';
  return {
    lightness,
    all: difference(lightOf(a), lightOf(b)),
    seenBy: eyes.map((each) => ({ eyes: each, difference: difference(lightSeen(a, each), lightSeen(b, each)) })),
    verdict,
    small: small ? (run === 1 ? 1 : 2) : undefined,
  };
}
