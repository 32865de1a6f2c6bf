import type { ItemKind } from '../../src/plan/items/item.ts';

/** An item that the product does not know: a signal flag, hemmed with a border, which no child may have. */
export const flag: ItemKind = {
  item: 'signal flag',
  width: 20,
  height: 12,
  limits: [5, 60],
  measure: 'flat',
  uses: ['panel'],
  asks: ['border'],
  folds: { across: 1, up: 1 },
  cautions: () => [{ about: 'small children', code: 'strap-and-child' }],
  wish: { border: { rounds: 1, colour: 'B' } },
};
