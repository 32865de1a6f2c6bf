import type { Estimate, Source } from '../../craft/values/estimate.ts';
import type { Told } from '../../craft/values/problem.ts';

/** An amount and its range; of what is counted the three are one. */
export type Amount = Pick<Estimate, 'low' | 'mid' | 'high'>;

/** What an amount is counted in: things, mm, m, g, seconds, balls, a chance of 0 to 1, or the maker's money. */
export type WorkingUnit = 'count' | 'mm' | 'm' | 'g' | 's' | 'balls' | 'chance' | 'money';

/** One part of a figure: what it is, what it comes to, and where it comes from. Its words: `words/en/workings.ts`. */
export interface WorkingPart extends Told {
  /** What its own amount is counted in, where that is not the unit of the whole. */
  readonly unit?: WorkingUnit | undefined;
  readonly amount: Amount;
  /** Nothing where it follows from the pattern or the wish. */
  readonly source?: Source | undefined;
}

/** How a figure comes about, in the facts that computed it. */
export interface Working {
  readonly of: string;
  readonly unit: WorkingUnit;
  /** Its parts are added up; a chance follows from its parts by the spread of what is needed. */
  readonly by: 'sum' | 'chance';
  readonly parts: readonly WorkingPart[];
  readonly total: Amount;
}

/** An amount that is known to the stitch. */
export function exactly(amount: number): Amount {
  return { low: amount, mid: amount, high: amount };
}

export function amountOf({ low, mid, high }: Estimate): Amount {
  return { low, mid, high };
}
