import { codeOf, type StitchKey } from '../stitches/kinds.ts';
import type { Cells } from './fabric.ts';

/** The flat circle on which straight sides stand. docs/craft.md, “A circle, then sides”. */
export interface Base {
  /** Increases in each round, which are the stitches of round 1. */
  readonly increases: number;
  /** Stitches of each round; the last has as many as the sides. */
  readonly rounds: readonly number[];
  /** Increases of the last round, where it only makes up the number; 0 where the circle comes out by itself. */
  readonly adjusting: number;
}

/** Increases a round of a flat circle by rule of thumb, where no gauge is asked. */
const usualIncreases: Partial<Record<StitchKey, number>> = { sc: 6, hdc: 8, dc: 12 };

/** @param stitch main stitch of the base */
export function usualIncrease(stitch: StitchKey): number {
  return usualIncreases[stitch] ?? 6;
}

/**
 * The rounds of a base for so many stitches of side: whole rounds of increases, then, where they do not come out, one
 * round that adds what is missing.
 *
 * @example baseFor(50, 8) // 8, 16, 24, 32, 40, 48, and 50 with 2 increases
 */
export function baseFor(stitches: number, increases: number): Base {
  const whole = Math.max(1, Math.floor(stitches / increases));
  const rounds = Array.from({ length: whole }, (_, round) => (round + 1) * increases);
  const adjusting = stitches - whole * increases;
  if (adjusting > 0) rounds.push(stitches);
  return { increases, rounds, adjusting: Math.max(0, adjusting) };
}

interface BaseStitches {
  readonly ring: StitchKey;
  readonly plain: StitchKey;
  readonly inc: StitchKey;
}

const baseStitches: Partial<Record<StitchKey, BaseStitches>> = {
  sc: { ring: 'sc@ring', plain: 'sc', inc: 'sc-inc' },
  hdc: { ring: 'hdc@ring', plain: 'hdc', inc: 'hdc-inc' },
  dc: { ring: 'dc@ring', plain: 'dc', inc: 'inc' },
};

/** The stitches of a base in a main stitch. */
export function stitchesOfBase(stitch: StitchKey): BaseStitches {
  return baseStitches[stitch] ?? (baseStitches.sc as BaseStitches);
}

/** Where in a round of `below` stitches the n increases lie, evenly apart: true at each place that takes one. */
export function increasePlaces(below: number, increases: number): boolean[] {
  return Array.from(
    { length: below },
    (_, x) => Math.floor(((x + 1) * increases) / below) > Math.floor((x * increases) / below),
  );
}

/** The rounds of a base, all in one colour. @param colour 0 for A */
export function layBase({ rounds, increases }: Base, stitch: StitchKey, colour: number): Cells[] {
  const { ring, plain, inc } = stitchesOfBase(stitch);
  const codes = { ring: codeOf(ring), plain: codeOf(plain), inc: codeOf(inc) };
  return rounds.map((stitches, round) => {
    const below = rounds[round - 1];
    if (below === undefined) {
      return { kinds: new Uint8Array(increases).fill(codes.ring), colours: new Uint8Array(increases).fill(colour) };
    }
    const places = increasePlaces(below, stitches - below);
    return {
      kinds: Uint8Array.from(places, (takes) => (takes ? codes.inc : codes.plain)),
      colours: new Uint8Array(below).fill(colour),
    };
  });
}
