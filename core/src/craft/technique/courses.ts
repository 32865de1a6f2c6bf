import { baseFor, usualIncrease } from '../fabric/base.ts';
import type { Foundation } from '../foundation/foundation.ts';
import type { Technique } from './technique.ts';

/** What decides how many courses are worked for so many rows of a wish. */
interface Made {
  readonly technique: Pick<Technique, 'courses'>;
  readonly foundation: Foundation;
  /** Increases a round of the circle below straight sides; by rule of thumb where they are not told. */
  readonly increases?: number | undefined;
}

/** Rounds of the circle on which straight sides stand; 0 where they stand on a chain. */
export function roundsUnder({ foundation, increases }: Omit<Made, 'technique'>, count: number): number {
  return foundation.circle ? baseFor(count, increases ?? usualIncrease(foundation.stitch)).rounds.length : 0;
}

/**
 * Courses that are worked for so many rows as the wish counts them: diagonals for blocks, and the rounds of the circle on
 * which straight sides stand.
 */
export function coursesFor(made: Made, count: number, rows: number): number {
  return made.technique.courses?.(count, rows) ?? roundsUnder(made, count) + rows;
}
