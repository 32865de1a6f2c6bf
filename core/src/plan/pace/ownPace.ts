import type { Act } from '../../craft/stitches/acts.ts';
import { type Estimate, ninety, spread } from '../../craft/values/estimate.ts';
import { type Handwork, paceSd, secondsIn, steadySeconds } from './hours.ts';

/** How long one hand takes for one thing that it does, beside the rest of what it does. */
export interface ActPace {
  readonly act: Act;
  /** 1.1 takes a tenth longer than the ratio of the whole hand says. */
  readonly factor: number;
  /** Standard deviation of the factor. */
  readonly sd: number;
  /** Its part of the time that the ratio was found in, 0 to 1. */
  readonly share: number;
}

/** How this hand stands to a steady one. */
export interface OwnPace {
  /** 1.2 takes a fifth longer. */
  readonly ratio: number;
  /** Standard deviation of its logarithm. */
  readonly sd: number;
  /** What was clocked, the most of it first; nothing before anything was. */
  readonly acts: readonly ActPace[];
}

/** A hand of which nothing was clocked. */
export const unknownPace: OwnPace = { ratio: 1, sd: paceSd, acts: [] };

/** A step that a clock ran for. */
export interface ClockedStep {
  readonly seconds: number;
  /** What was worked in it. */
  readonly work: Handwork;
}

/** Hours at work vary from one evening to the next by this much. */
const eveningSd = 0.25;
/** One thing that a hand does stands to the rest of it by this much, before it was clocked. */
const actSd = 0.15;
/** A step of a minute varies by this much; shorter ones by more, as the root of their length. */
const minuteSd = 0.35;

/**
 * The pace of the evenings, drawn towards what was known as long as there is little of it.
 * @param evenings the clocked steps of each @param before what was known of the hand
 */
export function paceOf(evenings: readonly (readonly ClockedStep[])[], before: OwnPace = unknownPace): OwnPace {
  const steadyOf = knownSeconds();
  const worked = evenings
    .map((steps) => ({ steps, ...together(steps, steadyOf) }))
    .filter(({ seconds, expected }) => expected > 60 && seconds > 60);
  const expected = worked.reduce((sum, each) => sum + each.expected, 0);
  if (!expected) return before;
  const seconds = worked.reduce((sum, each) => sum + each.seconds, 0);
  const reading = Math.log(seconds / expected);
  const error = eveningSd / Math.sqrt(worked.length);
  const weight = before.sd ** 2 / (before.sd ** 2 + error ** 2);
  const known = Math.log(before.ratio);
  return {
    ratio: within(5, Math.exp(known + weight * (reading - known))),
    sd: before.sd * Math.sqrt(1 - weight),
    acts: actsOf(worked, expected, before, steadyOf),
  };
}

/** No hand is further off; what says so was no work at the hook. */
function within(most: number, factor: number): number {
  return Math.min(most, Math.max(1 / most, factor));
}

type SecondsOf = (work: Handwork) => number;

/** Steps that are alike share their work, of which the seconds are added up once. */
function knownSeconds(): SecondsOf {
  const known = new Map<Handwork, number>();
  return (work) => {
    const found = known.get(work) ?? secondsIn(work);
    known.set(work, found);
    return found;
  };
}

function together(steps: readonly ClockedStep[], steadyOf: SecondsOf): { seconds: number; expected: number } {
  let [seconds, expected] = [0, 0];
  for (const step of steps) {
    seconds += step.seconds;
    expected += steadyOf(step.work);
  }
  return { seconds, expected };
}

interface Evening {
  readonly steps: readonly ClockedStep[];
  readonly seconds: number;
  readonly expected: number;
}

/** A step that took so many times as long as the middle one of its evening, or as short, was no steady work. */
const unsteady = 3;

/** The steps of an evening that were steady work: nobody rang in between, and none was made up for afterwards. */
function steadySteps(steps: readonly ClockedStep[], steadyOf: SecondsOf): ClockedStep[] {
  const paces = steps.map(({ seconds, work }) => seconds / steadyOf(work));
  const inOrder = paces.filter(Number.isFinite).sort((a, b) => a - b);
  const middle = inOrder[Math.floor(inOrder.length / 2)] ?? 0;
  return steps.filter((_, i) => {
    const apart = (paces[i] as number) / middle;
    return apart < unsteady && apart > 1 / unsteady;
  });
}

/**
 * What each steady step took against its evening, as a sum of what the hand did in it: a linear Gaussian model, taken
 * in one kind of step after another.
 */
function actsOf(evenings: readonly Evening[], expected: number, before: OwnPace, steadyOf: SecondsOf): ActPace[] {
  const times = new Map<Handwork, number>();
  for (const { steps } of evenings) {
    for (const { work } of steps) times.set(work, (times.get(work) ?? 0) + 1);
  }
  const shares = new Map<Act, number>();
  for (const [work, often] of times) {
    for (const [act, seconds] of work) shares.set(act, (shares.get(act) ?? 0) + (often * seconds) / expected);
  }
  const acts = [...shares.keys()];
  const first = acts.map((act) => before.acts.find((each) => each.act === act));
  const mean = first.map((each) => each?.factor ?? 1);
  const covariance = first.map((each, i) => acts.map((_, j) => (i === j ? (each?.sd ?? actSd) ** 2 : 0)));
  // Steps that are alike share their work. What they tell together is what their mean tells, so much the surer.
  const readings = new Map<Handwork, { count: number; sum: number }>();
  for (const evening of evenings) {
    const steps = steadySteps(evening.steps, steadyOf);
    const all = together(steps, steadyOf);
    const hand = all.seconds / all.expected;
    for (const { seconds, work } of steps) {
      const own = readings.get(work) ?? { count: 0, sum: 0 };
      own.count++;
      own.sum += seconds / (steadyOf(work) * hand);
      readings.set(work, own);
    }
  }
  for (const [work, { count, sum }] of readings) {
    const steady = steadyOf(work);
    const parts = acts.map((act) => (work.get(act) ?? 0) / steady);
    learn(mean, covariance, parts, sum / count, (minuteSd ** 2 * 60) / (steady * count));
  }
  // The ratio is of the whole hand: what it does comes to one, each by its part of the time.
  const own = mean.map((each) => within(4, each));
  const whole = acts.reduce((sum, act, i) => sum + (shares.get(act) ?? 0) * (own[i] as number), 0);
  return acts
    .map((act, i) => ({
      act,
      factor: (own[i] as number) / whole,
      sd: Math.sqrt(covariance[i]?.[i] as number) / whole,
      share: shares.get(act) ?? 0,
    }))
    .sort((a, b) => b.share - a.share);
}

/** Takes in one reading of a weighted sum. @param parts weights @param error variance of the reading */
function learn(mean: number[], covariance: number[][], parts: readonly number[], reading: number, error: number) {
  const reach = covariance.map((row) => weighted(row, parts));
  const variance = weighted(reach, parts) + error;
  const surprise = reading - weighted(mean, parts);
  for (let i = 0; i < mean.length; i++) {
    const row = covariance[i] as number[];
    const share = (reach[i] as number) / variance;
    mean[i] = (mean[i] as number) + share * surprise;
    for (let j = 0; j < row.length; j++) row[j] = (row[j] as number) - share * (reach[j] as number);
  }
}

function weighted(values: readonly number[], parts: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += (values[i] as number) * (parts[i] as number);
  return sum;
}

/**
 * Seconds that this hand takes for work, with a range. The more its parts differ from those that were clocked, the
 * wider it is.
 */
export function secondsBy({ ratio, sd, acts }: OwnPace, work: Handwork): Estimate {
  const steady = secondsIn(work);
  const known = new Map(acts.map((each) => [each.act, each]));
  let mid = 0;
  for (const [act, seconds] of work) mid += ratio * seconds * (known.get(act)?.factor ?? 1);
  let apart = 0;
  if (acts.length && steady > 0) {
    for (const act of new Set([...work.keys(), ...known.keys()])) {
      const part = (work.get(act) ?? 0) / steady - (known.get(act)?.share ?? 0);
      apart += (part * (known.get(act)?.sd ?? actSd)) ** 2;
    }
  }
  const factor = Math.exp(ninety * Math.sqrt(sd ** 2 + apart));
  return { mid, low: mid / factor, high: mid * factor, source: acts.length ? 'piece' : 'typical' };
}

/** Seconds for one of a thing that this hand does, and those of a steady hand. */
export function secondsEach({ ratio, sd }: OwnPace, each: ActPace): { own: Estimate; steady: number } {
  const steady = steadySeconds(each.act);
  const own = spread(steady * ratio * each.factor, Math.hypot(sd, each.sd / each.factor), 'piece');
  return { own, steady };
}
