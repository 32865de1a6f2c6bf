import type { ItemKind } from './item.ts';

/** A strap alone. */
export const strap: ItemKind = {
  item: 'strap',
  width: 4,
  height: 110,
  limits: [1, 250],
  measure: 'flat',
  long: true,
  narrow: true,
  uses: ['panel'],
  asks: ['drop'],
  cautions: ({ smallChildren }) => (smallChildren ? [{ about: 'small children', code: 'strap-and-child' }] : []),
  wish: { edges: 'whole', ending: 'any' },
};
