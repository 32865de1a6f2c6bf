import type { ItemKind } from './item.ts';

/** A bag of two panels, or in rounds, with its strap. */
export const bag: ItemKind = {
  item: 'bag',
  width: 34,
  height: 38,
  limits: [10, 80],
  measure: 'flat',
  uses: ['panel', 'tube'],
  asks: ['strap', 'seam'],
  mouth: true,
  panels: 2,
  countsPanels: true,
  sides: 3,
  begin: 'chain',
  cautions: () => [{ about: 'load', code: 'strap-bears-load' }],
  wish: { pieces: 2, finish: { seam: 'sc', strap: { drop: '28 cm', kind: 'sc along' } } },
};
