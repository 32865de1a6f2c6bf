/** What is changed in the rest of a work when it goes on by another plan. */
export const restKinds = [
  'planned',
  'enough',
  'shorter',
  'soonest',
  'ripped',
  'longer',
  'swapped',
  'thinner',
  'bare',
  'closing',
  'ending',
  'measured',
  'ripped-swapped',
  'shrink',
] as const;
export type RestKind = (typeof restKinds)[number];

/** Letters of two colours that change places. */
export type Exchanged = readonly [one: string, other: string];
