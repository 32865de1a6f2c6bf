import type { Reading } from '../../craft/values/belief.ts';
import { type Facts, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';

/** A swatch stands for the real work only so far (edges, mood, size). */
const swatchError = 0.04;
/** What is done stands for what comes. */
const doneError = 0.02;
/** A ball's label weight is off by this part of it. */
const labelWeight = 0.02;

/** A scale that reads to ± so many grams is off by no more than that, evenly. */
function evenly(bound: number): number {
  return bound / Math.sqrt(3);
}

function wrong(path: string, code: string, facts: Facts = {}): Problem {
  return { code, path, facts };
}

function ratioOf(used: number, predicted: number, error: number): Result<Reading> {
  if (!(predicted > 0)) {
    return refused(wrong('predicted', 'nothing-worked-between'));
  }
  if (!(used > 0)) {
    return refused(wrong('used', 'no-yarn-left-for-stitches'));
  }
  return good({ ratio: Math.log(used / predicted), error });
}

export interface SwatchWeight {
  readonly grams: number;
  /** The scale reads to ± this, g. */
  readonly scale: number;
  readonly metresPerGram: number;
  /** Yarn in the tails, m. */
  readonly tails: number;
  /** m, without tails. */
  readonly predicted: number;
}

/** A weighed swatch. Refused when it weighs less than three times what the scale can miss. */
export function weighedSwatch(swatch: SwatchWeight): Result<Reading> {
  const { grams, scale, metresPerGram, tails, predicted } = swatch;
  if (grams < 3 * scale) return refused(tooLight('grams', grams, scale));
  return ratioOf(grams * metresPerGram - tails, predicted, Math.hypot(evenly(scale) / grams, swatchError));
}

function tooLight(path: string, grams: number, scale: number): Problem {
  return wrong(path, 'too-light-for-scale', { grams, scale, least: 3 * scale });
}

export interface BallWeights {
  /** g, at the beginning and now. */
  readonly before: number;
  readonly after: number;
  /** Whether `before` is the label's weight and was not read. */
  readonly beforeIsLabel?: boolean;
  readonly scale: number;
  readonly metresPerGram: number;
  readonly tails: number;
  readonly predicted: number;
}

/** A ball weighed with part of the work done. A later weighing of the same ball takes the place of an earlier one. */
export function weighedBall(ball: BallWeights): Result<Reading> {
  const { before, after, scale, metresPerGram, tails, predicted } = ball;
  const grams = before - after;
  if (grams <= 0) {
    return refused(wrong('after', 'ball-grew', { after, before }));
  }
  if (grams < 3 * scale) return refused(tooLight('after', grams, scale));
  const start = ball.beforeIsLabel ? labelWeight * before : evenly(scale);
  return ratioOf(
    grams * metresPerGram - tails,
    predicted,
    Math.hypot(Math.hypot(start, evenly(scale)) / grams, doneError),
  );
}
