import { type Belief, isDoubtful, learn } from '../../craft/values/belief.ts';
import { tailMetres } from '../../craft/values/forecast.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import type { Yarn } from '../../craft/yarn/yarn.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { chanceOf, type Remaining, remaining, runsOutAt } from '../../plan/measure/remaining.ts';
import type { Sequence } from '../../plan/steps/sequence.ts';
import type { Weighing } from '../../records/logEntry.ts';
import { weighedBall } from '../calibrate/readings.ts';
import type { Position } from '../progress/progress.ts';

export interface ColourQuestion {
  readonly yarn: Yarn;
  /** Predicted metres of the colour in each course, or in each row and step of a whole project. */
  readonly metres: readonly number[];
  readonly units?: Sequence['units'] | undefined;
  /** What was known before anything was weighed in this work. */
  readonly belief: Belief;
  /** All weighings of the colour. */
  readonly weighings: readonly Weighing[];
  readonly now: Position;
  /** The part of the row in hand that is worked, 0 to 1. */
  readonly part: number;
}

/** What the balls on the scale say of one colour. */
export interface ColourNow {
  /** Metres used by the rule up to now. */
  readonly predicted: number;
  /** Metres really used up to the last weighing, and by the rule up to there. */
  readonly used: number | undefined;
  readonly usedByRule: number | undefined;
  readonly belief: Belief;
  /** The last weighing is so far off that it should be looked at again. */
  readonly doubtful: boolean;
  /** Metres still to be used. */
  readonly left: Remaining;
  /** The chance that what is at hand is enough, where that is known. */
  readonly chance: number | undefined;
  /** Rows, from 1, between which the yarn at hand ends; undefined where it lasts. */
  readonly endsAt: { readonly low: number; readonly high: number } | undefined;
}

function upTo(metres: readonly number[], position: Position, part: number): number {
  let sum = 0;
  for (let course = 0; course < position.rows; course++) sum += metres[course] ?? 0;
  return sum + part * (metres[position.rows] ?? 0);
}

/** The last weighing of each ball; a later one takes the place of an earlier. */
export function lastOfEach(weighings: readonly Weighing[]): Weighing[] {
  const balls = new Map<number, Weighing>();
  for (const each of [...weighings].sort((a, b) => a.at - b.at)) balls.set(each.ball, each);
  return [...balls.values()].sort((a, b) => a.ball - b.ball);
}

/** The course, from 1, in which so many metres from here are used up; undefined beyond the last. */
function courseAfter(metres: readonly number[], now: Position, part: number, length: number): number | undefined {
  let left = length + part * (metres[now.rows] ?? 0);
  for (let course = now.rows; course < metres.length; course++) {
    left -= metres[course] ?? 0;
    if (left < 0) return course + 1;
  }
  return undefined;
}

/** What is known of a colour from its weighed balls. @returns a refusal where a weighing cannot be */
export function colourNow(question: ColourQuestion): Result<ColourNow> {
  const { yarn, metres, belief, now, part } = question;
  const { metresPerGram } = yarnFigures(yarn);
  const balls = lastOfEach(question.weighings);
  const last = balls.reduce<Weighing | undefined>((a, b) => (a && a.at > b.at ? a : b), undefined);
  const predicted = upTo(metres, now, part);
  const left = metres.reduce((sum, each) => sum + each, 0) - predicted;
  if (!last) {
    return good({
      predicted,
      used: undefined,
      usedByRule: undefined,
      belief,
      doubtful: false,
      left: remaining(Math.max(left, 1e-6), belief),
      ...atHand(question, belief, undefined, left),
    });
  }
  const usedByRule = upTo(metres, last.position, 0);
  const before = balls.reduce((sum, each) => sum + each.before, 0);
  const after = balls.reduce((sum, each) => sum + each.after, 0);
  const tails = tailMetres * balls.length;
  const { scale } = last;
  const reading = weighedBall({
    before,
    after,
    scale,
    metresPerGram,
    tails,
    predicted: usedByRule,
    beforeIsLabel: balls.some((each) => each.beforeIsLabel),
  });
  if (!reading.ok) return reading;
  const known = learn(belief, reading.value);
  return good({
    predicted,
    used: (before - after) * metresPerGram,
    usedByRule,
    belief: known,
    doubtful: isDoubtful(belief, reading.value),
    left: remaining(Math.max(left, 1e-6), known),
    ...atHand(question, known, last, left),
  });
}

/** What is at hand, as far as it is known: the ball on the work and the whole ones beside it. */
function atHand(
  { yarn, metres, now, part }: ColourQuestion,
  belief: Belief,
  last: Weighing | undefined,
  left: number,
): Pick<ColourNow, 'chance' | 'endsAt'> {
  const { balls: whole = 0, ballGrams = 0, partGrams = 0 } = yarn;
  const unknown = yarn.balls === undefined && yarn.partGrams === undefined;
  if (unknown || (whole > 0 && !ballGrams)) return { chance: undefined, endsAt: undefined };
  const { metresPerGram } = yarnFigures(yarn);
  // What was used since the last weighing comes off the ball on the work, by what is now known of the hand.
  const since = last ? upTo(metres, now, part) - upTo(metres, last.position, 0) : upTo(metres, now, part);
  // Where there is no whole ball, what is left of one is on the work.
  const [first, beside] = whole > 0 ? [ballGrams, partGrams] : [partGrams, 0];
  let onWork = (last ? last.after : first) - (since * Math.exp(belief.mean)) / metresPerGram;
  let newBalls = Math.max(0, whole - (last?.ball ?? 1));
  for (; onWork < 0 && newBalls > 0; newBalls--) onWork += ballGrams;
  const grams = Math.max(0, onWork + beside);
  const balls = { partGrams: grams, scale: last?.scale ?? 1, newBalls, ballGrams, metresPerGram };
  if (balls.partGrams + newBalls === 0) return { chance: left > 0 ? 0 : 1, endsAt: undefined };
  const chance = chanceOf(balls, Math.max(left, 1e-6), belief);
  const out = runsOutAt(balls, belief);
  const low = courseAfter(metres, now, part, out.low);
  const high = courseAfter(metres, now, part, out.high);
  return { chance, endsAt: low === undefined ? undefined : { low, high: high ?? metres.length } };
}
