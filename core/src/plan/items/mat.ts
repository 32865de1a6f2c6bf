import type { ItemKind } from './item.ts';

/** A mat for a table or a floor. */
export const mat: ItemKind = {
  item: 'mat',
  width: 40,
  height: 30,
  limits: [8, 120],
  measure: 'flat',
  uses: ['mat'],
  asks: ['border'],
  folds: { across: 2, up: 2 },
  wish: {},
};
