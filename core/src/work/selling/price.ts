/** What one piece costs its maker, beside the hours of the hand; money in the maker's own currency. */
export interface Costs {
  /** By colour: metres that it takes, and the price of a metre; nothing where a ball's price is not known. */
  readonly yarn: readonly { readonly letter: string; readonly metres: number; readonly perMetre: number | undefined }[];
  /** Insert, label, packaging and whatever else goes with it. */
  readonly extras: readonly number[];
  /** Hours of work on one. */
  readonly hours: number;
  /** What an hour of the hand is to earn. */
  readonly rate: number;
}

/** One way to a price, and what an hour earns at it. */
export interface PriceWay {
  readonly way: 'hours' | 'materials' | 'asked';
  readonly price: number;
  /** Nothing where there are no hours. */
  readonly hour: number | undefined;
}

/** Yarn and extras of one piece; `unknown` names the colours whose price is not known. */
export function materialsOf({ yarn, extras }: Costs): { readonly money: number; readonly unknown: readonly string[] } {
  // In whole cents, as they are shown: who adds them up comes to the same.
  const own = yarn.reduce((sum, { metres, perMetre }) => sum + Math.round(100 * metres * (perMetre ?? 0)) / 100, 0);
  return {
    money: own + extras.reduce((sum, each) => sum + each, 0),
    unknown: yarn.flatMap(({ letter, perMetre }) => (perMetre === undefined ? [letter] : [])),
  };
}

/** How often the materials are taken where a price is made of them alone. docs/craft.md, “Selling”. */
export const materialsTimes = 3;

/**
 * Three ways to a price: materials and every hour paid, so many times the materials, and what others ask for the like.
 * @param asked what others ask; nothing where it is not known
 */
export function pricesOf(costs: Costs, asked: number | undefined): PriceWay[] {
  const { money } = materialsOf(costs);
  const { hours, rate } = costs;
  const earns = (price: number) => (hours > 0 ? (price - money) / hours : undefined);
  const ways: [PriceWay['way'], number | undefined][] = [
    ['hours', money + hours * rate],
    ['materials', materialsTimes * money],
    ['asked', asked],
  ];
  return ways.flatMap(([way, price]) => (price === undefined ? [] : [{ way, price, hour: earns(price) }]));
}
