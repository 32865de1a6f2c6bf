/**
 * What is known of one hand's yarn: really used metres = predicted metres × M, with ln M normal. One belief a colour,
 * kind of stitch and hook. docs/craft.md, “Learning from what was weighed”.
 */
export interface Belief {
  /** Mean of ln M. */
  readonly mean: number;
  /** Standard deviation of ln M. */
  readonly sd: number;
}

/** Shared by all kinds of stitch of one hand, yarn and hook. */
export const sharedSd = 0.09;
/** Of one kind of stitch alone. */
const ownSd = 0.07;
/** Added while the gauge comes from the table. */
const tableSd = 0.1;
/** Drift of the hand over what is still to be made. */
export const driftSd = 0.02;

/** Before anything was weighed. */
export function firstBelief(gauge: 'measured' | 'typical'): Belief {
  return { mean: 0, sd: Math.hypot(sharedSd, ownSd, gauge === 'typical' ? tableSd : 0) };
}

/** One reading of yarn really used. */
export interface Reading {
  /** ln (used ÷ predicted). */
  readonly ratio: number;
  /** Its relative standard deviation. */
  readonly error: number;
}

/** The weight that a reading gets against what was known, 0 to 1. */
export function weightOf(belief: Belief, reading: Reading): number {
  return belief.sd ** 2 / (belief.sd ** 2 + reading.error ** 2);
}

/** What is known after a reading. */
export function learn(belief: Belief, reading: Reading): Belief {
  const weight = weightOf(belief, reading);
  return { mean: belief.mean + weight * (reading.ratio - belief.mean), sd: belief.sd * Math.sqrt(1 - weight) };
}

/** Whether a reading is so far off that the maker is asked first (wrong unit, wet yarn, two strands). */
export function isDoubtful(belief: Belief, reading: Reading): boolean {
  return Math.abs(reading.ratio - belief.mean) > 3 * Math.hypot(belief.sd, reading.error);
}
