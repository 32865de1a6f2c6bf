import type { Estimate } from '../../craft/values/estimate.ts';
import { type BallQuestion, chanceEnough, pooledQuestion } from '../../craft/values/forecast.ts';
import { exactly, type Working, type WorkingPart } from '../../plan/workings/working.ts';

/** What one project takes of a yarn. */
export interface ShoppingNeed {
  readonly work: string;
  readonly letter: string;
  /** m, tails included. */
  readonly metres: Estimate;
  /** What the chance of balls follows from; unknown where the label is. */
  readonly question?: BallQuestion | undefined;
  /** The chance with which its yarn is to be enough. */
  readonly sure: number;
}

/** What is at hand of a yarn. */
export interface AtHand {
  /** Whole balls, set aside for these projects or free. */
  readonly balls: number;
  /** Opened ones, together, g. */
  readonly grams: number;
}

/** What is to be bought of a yarn for all projects that take it. */
export interface Shopping {
  readonly buy: number;
  /** That what is at hand and what is bought are enough for all of them. */
  readonly chance: number;
  /** That what is at hand is enough for all of them. */
  readonly held: number;
  /** The chance that was asked for: the highest of the projects’. */
  readonly sure: number;
  /** What is needed of it, in balls. */
  readonly needed: number;
  /** Of what is at hand alone: the first project, in their order, whose yarn would not be sure; nothing where all is. */
  readonly firstShort: ShoppingNeed | undefined;
}

const mostBalls = 10_000;

/** The fewest balls that make it as sure as it is wished. */
function fewest(question: BallQuestion, { balls, grams }: AtHand, sure: number): { buy: number; chance: number } {
  let buy = 0;
  let chance = chanceEnough(question, balls, grams);
  while (chance < sure && buy < mostBalls) chance = chanceEnough(question, balls + ++buy, grams);
  return { buy, chance };
}

/**
 * What is to be bought of one yarn: the metres of all projects first, then whole balls. Two cloths of 31 and 36 m are one
 * ball of 85 m. @param needs in the order in which they are made @returns nothing where the label of one is unknown
 */
export function shoppingOf(needs: readonly ShoppingNeed[], has: AtHand): Shopping | undefined {
  const questions = needs.flatMap(({ question }) => (question ? [question] : []));
  const [first] = questions;
  if (!first || questions.length < needs.length) return undefined;
  const sure = Math.max(...needs.map((need) => need.sure));
  const short = needs.findIndex(
    (_, i) => chanceEnough(pooledQuestion(questions.slice(0, i + 1)), has.balls, has.grams) < sure,
  );
  return {
    ...fewest(pooledQuestion(questions), has, sure),
    held: chanceEnough(pooledQuestion(questions), has.balls, has.grams),
    sure,
    needed: needs.reduce((sum, need) => sum + ballsIn(need, first), 0),
    firstShort: needs[short],
  };
}

function ballsIn({ metres }: ShoppingNeed, { ballGrams, metresPerGram }: BallQuestion): number {
  return metres.mid / (ballGrams * metresPerGram);
}

/** How the balls to buy come about: what each project takes, what is added to be sure, less what is at hand. */
export function buyingWorking(needs: readonly ShoppingNeed[], has: AtHand): Working | undefined {
  const shopping = shoppingOf(needs, has);
  const question = needs[0]?.question;
  if (!shopping || !question) return undefined;
  const { buy, sure, needed } = shopping;
  const held = has.balls + has.grams / question.ballGrams;
  const over = buy + held - needed;
  const parts: WorkingPart[] = [
    ...needs.map((need) => ({
      code: 'pool-need',
      facts: { work: need.work, letter: need.letter, metres: need.metres },
      amount: exactly(ballsIn(need, question)),
      source: need.metres.source,
    })),
    ...(over > 0
      ? [{ code: buy ? 'balls-more' : 'pool-spare', facts: { sure }, amount: exactly(over) }]
      : [{ code: 'pool-fewer', facts: {}, amount: exactly(over) }]),
    ...(held > 0 ? [{ code: 'pool-has', facts: { ...has }, amount: exactly(-held) }] : []),
  ];
  return { of: 'balls', unit: 'balls', by: 'sum', parts, total: exactly(buy) };
}

/** What they cost. @param price of one ball, in the maker's money */
export function priceWorking(buy: number, price: number): Working {
  const amount = exactly(buy * price);
  const parts = [{ code: 'balls-at', facts: { buy, price }, amount }];
  return { of: 'price', unit: 'money', by: 'sum', parts, total: amount };
}
