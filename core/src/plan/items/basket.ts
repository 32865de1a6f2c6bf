import type { ItemKind } from './item.ts';

/** A basket: a round bottom and straight sides. */
export const basket: ItemKind = {
  item: 'basket',
  width: 18,
  height: 14,
  limits: [6, 60],
  measure: 'diameter',
  uses: ['tube'],
  asks: [],
  mouth: true,
  rounds: true,
  begin: 'circle',
  wish: { policy: 'carry-always' },
};
