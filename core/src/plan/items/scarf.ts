import type { ItemKind } from './item.ts';

/** A scarf. */
export const scarf: ItemKind = {
  item: 'scarf',
  width: 20,
  height: 160,
  limits: [8, 250],
  measure: 'flat',
  long: true,
  uses: ['long cloth'],
  asks: [],
  folds: { across: 2, up: 2 },
  wish: {},
};
