import type { Belief } from '../../craft/values/belief.ts';
import { courseAt } from './byCourse.ts';
import { type Balls, runsOutAt } from './remaining.ts';

/** Where a ball ends, in courses from 1, nine times out of ten. */
export interface BallEnd {
  /** Which ball, from 1. */
  readonly ball: number;
  readonly low: number;
  readonly mid: number;
  readonly high: number;
  /** The course after which to join the next ball so that it does not end within a row. */
  readonly joinAfter: number;
}

export interface RunsOutQuestion {
  /** Predicted metres of the colour in each course. */
  readonly metres: Float64Array;
  /** What is known of the hand. */
  readonly belief: Belief;
  readonly ballGrams: number;
  readonly metresPerGram: number;
  readonly balls: number;
}

/** Where each ball but the last runs out, from the running sum of the plan. docs/craft.md, “What to measure next”. */
export function ballEnds({ metres, belief, ballGrams, metresPerGram, balls }: RunsOutQuestion): BallEnd[] {
  return Array.from({ length: Math.max(0, balls - 1) }, (_, i) => {
    const used: Balls = { partGrams: 0, scale: 0, newBalls: i + 1, ballGrams, metresPerGram };
    const at = runsOutAt(used, belief);
    const course = (predicted: number) => Math.min(metres.length, courseAt(metres, predicted) + 1);
    const low = course(at.low);
    return { ball: i + 1, low, mid: course(at.mid), high: course(at.high), joinAfter: Math.max(1, low - 1) };
  });
}
