import { type Belief, driftSd, sharedSd } from './belief.ts';
import { normalBelow } from './normal.ts';

/** A label's metres per gram are off by this much. */
const labelError = 0.03;
const ballWeightError = 0.015;

/** Tail of one yarn end, m. */
export const tailMetres = 0.15;
/** Yarn lost at each join of a new ball, m. */
export const joinMetres = 0.3;

/** Relative sd of the yarn that remains to be used, with what is known of the hand and its drift. docs/craft.md, “How sure the yarn is”. */
export function forecastError(belief: Belief): number {
  return Math.hypot(belief.sd, driftSd);
}

export interface BallQuestion {
  /** Predicted metres without tails. */
  readonly metres: number;
  /** Relative sd of those metres (`forecastError`). */
  readonly error: number;
  /** Yarn ends of the work in this colour, each with a tail. */
  readonly ends: number;
  readonly ballGrams: number;
  readonly metresPerGram: number;
  /** Relative sd of metres per gram: the label's own, or more where there is no label. */
  readonly meterageError?: number;
}

/** What the chance that yarn is enough follows from. */
export interface ChanceFacts {
  /** m on the balls. */
  readonly wound: number;
  /** m of it that become tails, and that are lost where a ball is joined. */
  readonly tails: number;
  readonly joins: number;
  /** m that are left for the cloth. */
  readonly usable: number;
  /** Relative sd of what is needed against what is there. */
  readonly error: number;
  readonly chance: number;
}

/**
 * Chance that so many new balls are enough, with what is left of one begun, and what it follows from. A new ball after
 * the first brings two ends and a join. @param part grams of a ball begun
 */
export function chanceFacts(question: BallQuestion, balls: number, part = 0): ChanceFacts {
  const { metres, ends, ballGrams, metresPerGram } = question;
  const grams = balls * ballGrams + part;
  const joined = Math.max(0, balls + (part > 0 ? 1 : 0) - 1);
  const wound = grams * metresPerGram;
  const tails = tailMetres * (ends + 2 * joined);
  const joins = joinMetres * joined;
  const usable = wound - tails - joins;
  const weighing = grams > 0 ? (ballWeightError * ballGrams * Math.sqrt(balls)) / grams : 0;
  const error = Math.hypot(question.error, weighing, question.meterageError ?? labelError);
  const chance = metres <= 0 ? 1 : usable <= 0 ? 0 : normalBelow(Math.log(usable / metres) / error);
  return { wound, tails, joins, usable, error, chance };
}

/** The chance alone. */
export function chanceEnough(question: BallQuestion, balls: number, part = 0): number {
  return chanceFacts(question, balls, part).chance;
}

/** Fewest whole balls whose chance of being enough is at least `sure` (0.95 for buying). */
export function ballsNeeded(question: BallQuestion, sure = 0.95): { balls: number; chance: number } {
  const least = question.metres / (question.ballGrams * question.metresPerGram);
  let balls = Math.max(1, Math.floor(least));
  let chance = chanceEnough(question, balls);
  while (chance < sure && balls < 10000) chance = chanceEnough(question, ++balls);
  return { balls, chance };
}

/**
 * Several works of one yarn and one hand as one question: what is uncertain about the hand is shared, what is uncertain
 * about each stitch is each one’s own. The sum of their means with the spread of their sum, told by its median.
 * docs/craft.md, “How sure the yarn is”. @param questions at least one, all of the same balls
 */
export function pooledQuestion(questions: readonly BallQuestion[]): BallQuestion {
  const [first] = questions as readonly [BallQuestion];
  const each = questions.map(({ metres, error }) => {
    const variance = Math.max(0, error ** 2 - driftSd ** 2);
    return { mean: metres * Math.exp(variance / 2), variance };
  });
  const mean = each.reduce((sum, one) => sum + one.mean, 0);
  const variance = each.reduce(
    (sum, one, i) =>
      sum +
      each.reduce((row, other, j) => {
        const shared = Math.min(sharedSd ** 2, one.variance, other.variance);
        return row + one.mean * other.mean * Math.expm1(i === j ? one.variance : shared);
      }, 0),
    0,
  );
  const spread = mean ? Math.log1p(variance / mean ** 2) : 0;
  return {
    ...first,
    metres: mean * Math.exp(-spread / 2),
    error: Math.sqrt(spread + driftSd ** 2),
    ends: questions.reduce((sum, { ends }) => sum + ends, 0),
    meterageError: Math.max(...questions.map(({ meterageError = labelError }) => meterageError)),
  };
}
