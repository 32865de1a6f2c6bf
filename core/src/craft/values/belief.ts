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
/** Added when a colour gets a belief of its own from another of the same yarn. */
const colourSd = 0.02;
/** Drift of the hand over what is still to be made. */
export const driftSd = 0.02;

/** Before anything was weighed. */
export function firstBelief(gauge: 'measured' | 'typical'): Belief {
  return { mean: 0, sd: Math.hypot(sharedSd, ownSd, gauge === 'typical' ? tableSd : 0) };
}

/** What one colour's belief tells of another colour of the same yarn. */
export function forOtherColour(belief: Belief): Belief {
  return { mean: belief.mean, sd: Math.hypot(belief.sd, colourSd) };
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

/** A belief in another kind of stitch, and how it hangs together with the first. */
export interface Transfer {
  readonly belief: Belief;
  /** Covariance of the two logarithms after the reading. */
  readonly covariance: number;
}

/**
 * What a reading of one kind of stitch tells of another of the same hand, yarn and hook.
 * @param first what was known of both before the reading
 */
export function transfer(first: Belief, wanted: Belief, reading: Reading): Transfer {
  const shared = sharedSd ** 2;
  const total = first.sd ** 2 + reading.error ** 2;
  return {
    belief: {
      mean: wanted.mean + (shared / total) * (reading.ratio - first.mean),
      sd: Math.sqrt(wanted.sd ** 2 - shared ** 2 / total),
    },
    covariance: (shared * reading.error ** 2) / total,
  };
}

/** Beliefs in several kinds of stitch with all their covariances; `covariances[i][i]` is the variance of the i-th. */
export interface Beliefs {
  readonly means: readonly number[];
  readonly covariances: readonly (readonly number[])[];
}

/** Several kinds of stitch before anything was weighed: they share the hand. */
export function firstBeliefs(kinds: number, gauge: 'measured' | 'typical'): Beliefs {
  const own = firstBelief(gauge).sd ** 2;
  return {
    means: new Array<number>(kinds).fill(0),
    covariances: Array.from({ length: kinds }, (_, i) =>
      Array.from({ length: kinds }, (_unused, j) => (i === j ? own : sharedSd ** 2)),
    ),
  };
}

/**
 * What is known after one ball that served several kinds of stitch.
 * @param predicted metres of each kind @param used metres of the ball, tails taken off @param error relative sd of `used`
 */
export function learnMixed(beliefs: Beliefs, predicted: readonly number[], used: number, error: number): Beliefs {
  const total = predicted.reduce((sum, metres) => sum + metres, 0);
  const shares = predicted.map((metres) => metres / total);
  const gains = beliefs.covariances.map((row) => row.reduce((sum, value, j) => sum + value * (shares[j] as number), 0));
  const variance = gains.reduce((sum, gain, i) => sum + gain * (shares[i] as number), 0) + error ** 2;
  const expected = beliefs.means.reduce((sum, mean, i) => sum + mean * (shares[i] as number), 0);
  const surprise = Math.log(used / total) - expected;
  return {
    means: beliefs.means.map((mean, i) => mean + ((gains[i] as number) * surprise) / variance),
    covariances: beliefs.covariances.map((row, i) =>
      row.map((value, j) => value - ((gains[i] as number) * (gains[j] as number)) / variance),
    ),
  };
}
