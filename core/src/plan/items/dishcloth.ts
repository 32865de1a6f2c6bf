import type { ItemKind } from './item.ts';

/** A cloth for dishes. */
export const dishcloth: ItemKind = {
  item: 'dishcloth',
  width: 24,
  height: 24,
  limits: [12, 45],
  measure: 'flat',
  uses: ['small cloth'],
  asks: ['border'],
  folds: { across: 2, up: 2 },
  cautions: () => [{ about: 'heat', code: 'dishcloth-near-heat' }],
  wish: { policy: 'carry-always' },
};
