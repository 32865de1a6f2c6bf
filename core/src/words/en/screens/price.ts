import type { Told } from './told.ts';

/** What the screens of `price` say. */
export const priceSaid = {
  whatItCosts: 'What one costs you, three ways to a price, and what an hour then earns',
  partOnly: (part: Told) => `The ${part} alone, without the other side.`,
  priceOf: 'What is priced',
  of: { one: 'One of this project', set: 'One of the whole set' },
  allOfThem: (items: number) => `All ${items}: materials and work`,
  countingCosts: 'Counting its yarn and hours…',
  yarnOfOne: (items: number) => (items > 1 ? `Yarn of one of ${items}` : 'Yarn of one'),
  yarnOnAverage: (items: number) => `Yarn of one, on average of all ${items}`,
  priceOfBall: (letter: Told) => `A ball of ${letter}`,
  noMetres: 'no label',
  whatGoesWithIt: 'What goes with it',
  extras: { insert: 'Insert', label: 'Label', packaging: 'Packaging', other: 'Other' },
  yourHour: 'Your hour',
  hourIsToEarn: 'An hour is to earn',
  keptInSettings: 'Both are kept in your settings and hold for every project.',
  threeWays: 'Three ways to a price',
  materials: 'Yarn and what goes with it',
  hoursOfWork: 'Your work on one, at your pace',
  priceUnknown: (letters: Told) => `The price of ${letters} is not known, so materials are too low.`,
  ways: {
    hours: () => 'Materials, and every hour paid',
    materials: (times: number) => `${times} times the materials`,
    asked: () => 'What others ask for the like',
  },
  hourEarns: (money: Told) => `An hour earns ${money}.`,
  hourCosts: (money: Told) => `An hour costs you ${money}.`,
  whatOthersAsk: 'What others ask for the like',
  typeAmount: 'Type an amount, such as 3.40.',
  localRules:
    'Fees, tax and insurance are not in it. What may be sold, and with which labels, follows local law; ask where you sell.',
} as const;
