import type { ItemKind } from './item.ts';

/** One side of a bag. */
export const bagPanel: ItemKind = {
  item: 'bag panel',
  width: 34,
  height: 38,
  limits: [10, 80],
  measure: 'flat',
  uses: ['panel'],
  countsPanels: true,
  asks: ['strap'],
  wish: {},
};
