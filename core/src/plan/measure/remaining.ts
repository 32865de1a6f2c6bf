import type { Belief } from '../../craft/values/belief.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { forecastError, joinMetres, tailMetres } from '../../craft/values/forecast.ts';
import { normalBelow } from '../../craft/values/normal.ts';

const ninety = 1.6449;
const newBallError = 0.015;

/** Yarn still to be used, m: the middle, the mean and the range that holds nine times out of ten. */
export interface Remaining extends Estimate {
  readonly mean: number;
}

/** @param predicted metres still to make, by the model */
export function remaining(predicted: number, belief: Belief): Remaining {
  return lognormal(Math.log(predicted) + belief.mean, forecastError(belief));
}

function lognormal(mean: number, sd: number): Remaining {
  const mid = Math.exp(mean);
  const factor = Math.exp(ninety * sd);
  return { mid, mean: mid * Math.exp(sd ** 2 / 2), low: mid / factor, high: mid * factor, source: 'piece' };
}

/** The balls at hand for one colour. */
export interface Balls {
  /** A ball that hangs on the work, g; 0 for none. */
  readonly partGrams: number;
  /** The scale that weighed it reads to ± this, g. */
  readonly scale: number;
  readonly newBalls: number;
  readonly ballGrams: number;
  readonly metresPerGram: number;
}

/** Ends and joins that the balls bring: a ball on the work has one end left, a new one two. In m. */
export function endsAndJoins(balls: Balls): number {
  const part = balls.partGrams > 0 ? 1 : 0;
  const joins = Math.max(0, balls.newBalls + part - 1);
  return tailMetres * (part + 2 * balls.newBalls) + joinMetres * joins;
}

/** Metres that can be worked from the balls. */
export function usableMetres(balls: Balls): number {
  return (balls.partGrams + balls.newBalls * balls.ballGrams) * balls.metresPerGram - endsAndJoins(balls);
}

/** Relative sd of the balls' weight. */
export function ballsSd(balls: Balls): number {
  const grams = balls.partGrams + balls.newBalls * balls.ballGrams;
  const reading = balls.partGrams > 0 ? balls.scale / Math.sqrt(3) : 0;
  return Math.hypot(reading, Math.sqrt(balls.newBalls) * newBallError * balls.ballGrams) / grams;
}

/** Chance that the balls are enough for what remains. @param predicted m */
export function chanceOf(balls: Balls, predicted: number, belief: Belief): number {
  const usable = usableMetres(balls);
  if (usable <= 0) return predicted > 0 ? 0 : 1;
  const sd = Math.hypot(forecastError(belief), ballsSd(balls));
  return normalBelow((Math.log(usable / predicted) - belief.mean) / sd);
}

/**
 * Where the balls end, in metres of prediction from here: look the figures up in the running sum of the plan's stitches.
 * `low` is where they end one time in twenty already.
 */
export function runsOutAt(balls: Balls, belief: Belief): Remaining {
  const sd = Math.hypot(forecastError(belief), ballsSd(balls));
  return lognormal(Math.log(usableMetres(balls)) - belief.mean, sd);
}
