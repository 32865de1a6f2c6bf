import type { ItemKind } from './item.ts';

/** A blanket, or a throw. */
export const blanket: ItemKind = {
  item: 'blanket',
  width: 100,
  height: 150,
  limits: [40, 300],
  measure: 'flat',
  uses: ['large cloth'],
  asks: ['border', 'bed'],
  folds: { across: 3, up: 4 },
  large: true,
  cautions: ({ smallChildren }) => (smallChildren ? [{ about: 'small children', code: 'blanket-and-baby' }] : []),
  wish: { border: { rounds: 3 } },
};
