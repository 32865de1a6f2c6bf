import type { ItemKind } from './item.ts';

/** A cover for a cushion: two panels, one cloth with a flap, or a tube. */
export const cushionCover: ItemKind = {
  item: 'cushion cover',
  width: 40,
  height: 40,
  limits: [20, 80],
  measure: 'flat',
  uses: ['tube', 'panel'],
  asks: ['insert', 'border', 'seam', 'flap'],
  panels: 2,
  sides: 4,
  rounds: true,
  begin: 'chain',
  wish: { finish: { seam: 'slip stitch' } },
};
