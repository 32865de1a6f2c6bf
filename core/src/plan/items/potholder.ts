import { meltingYarns } from './caution.ts';
import type { ItemKind } from './item.ts';

/** A double cloth to hold a hot pan with. */
export const potholder: ItemKind = {
  item: 'potholder',
  width: 20,
  height: 20,
  limits: [12, 30],
  measure: 'flat',
  uses: ['tube'],
  asks: ['ring', 'seam'],
  rounds: true,
  begin: 'chain',
  folds: { across: 2, up: 2 },
  cautions: () => [{ about: 'heat', code: 'potholder-dry' }],
  refuses: meltingYarns,
  wish: { finish: { ring: '6 cm', seam: 'slip stitch' } },
};
