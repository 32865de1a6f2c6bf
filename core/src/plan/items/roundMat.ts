import type { ItemKind } from './item.ts';

/** A mat that is a circle. */
export const roundMat: ItemKind = {
  item: 'round mat',
  width: 30,
  height: 30,
  limits: [8, 120],
  measure: 'diameter',
  uses: ['circle'],
  asks: ['border'],
  wish: { ending: 'any', policy: 'carry-always' },
};
