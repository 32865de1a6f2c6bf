import type { StitchKey } from '../../craft/stitches/kinds.ts';
import { type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';

/** Stitches of a border in sc, counted. docs/craft.md, “Borders, seams, straps”. */
export interface Border {
  /** Stitches along top and bottom, between the corners. */
  readonly across: number;
  /** Stitches along each side, between the corners. */
  readonly up: number;
  /** Stitches of each round. */
  readonly rounds: readonly number[];
  readonly stitches: number;
}

const cornerStitches = 3;

/** Stitches that a side takes by the maker's rule: 1 a row of sc, 3 in 2 of hdc, 2 a row of dc; not rounded. */
export function sideByRule(stitch: StitchKey, rows: number): number {
  return rows * (stitch === 'dc' ? 2 : stitch === 'sc' ? 1 : 1.5);
}

/** Stitches that a side takes by gauge, which lies flatter. @param side @param borderStitch mm */
export function sideByGauge(side: number, borderStitch: number): number {
  return Math.round(side / borderStitch);
}

/** A border of sc rounds, 3 in each corner. */
export function border(across: number, up: number, rounds: number): Border {
  const first = 2 * across + 2 * up + 4 * cornerStitches;
  const counts = Array.from({ length: rounds }, (_, round) => first + 8 * round);
  return { across, up, rounds: counts, stitches: counts.reduce((sum, count) => sum + count, 0) };
}

/** Yarn of a border with a chain and a joining slip stitch a round, m; without tails. */
export function borderMetres(made: Border, size: StitchSize): number {
  const each = yarnInStitch('ch', size) + yarnInStitch('join', size);
  return (made.stitches * yarnInStitch('sc', size) + made.rounds.length * each) / 1000;
}
