import { exactly, type Working, type WorkingPart } from '../../plan/workings/working.ts';

/** What one project takes of a yarn that is to be bought. */
export interface ShoppingNeed {
  readonly work: string;
  readonly letter: string;
  /** Whole balls it takes; unknown where the label is. */
  readonly balls: number | undefined;
  /** Balls that are set aside or at hand already. */
  readonly has: number;
}

function ballsOf({ balls = 0, has }: ShoppingNeed): number {
  return Math.max(0, balls - has);
}

/** Balls still to be bought for all of them. */
export function ballsToBuy(needs: readonly ShoppingNeed[]): number {
  return needs.reduce((total, need) => total + ballsOf(need), 0);
}

function partsOf(needs: readonly ShoppingNeed[], each: number): WorkingPart[] {
  return needs
    .filter((need) => need.balls !== undefined)
    .map((need) => ({
      code: 'balls-for',
      facts: { work: need.work, letter: need.letter, balls: need.balls ?? 0, has: need.has, buy: ballsOf(need) },
      amount: exactly(each * ballsOf(need)),
    }));
}

/** The balls to buy of a yarn, project by project; nothing where the label of one is unknown. */
export function buyingWorking(needs: readonly ShoppingNeed[]): Working | undefined {
  if (needs.some(({ balls }) => balls === undefined)) return undefined;
  return { of: 'balls', unit: 'balls', by: 'sum', parts: partsOf(needs, 1), total: exactly(ballsToBuy(needs)) };
}

/** What they cost. @param price of one ball, in the maker's money */
export function priceWorking(needs: readonly ShoppingNeed[], price: number): Working {
  const buying = needs.filter((need) => ballsOf(need) > 0);
  return {
    of: 'price',
    unit: 'money',
    by: 'sum',
    parts: partsOf(buying, price),
    total: exactly(price * ballsToBuy(needs)),
  };
}
