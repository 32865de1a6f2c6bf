import { melts } from '../../craft/gauge/fibres.ts';
import type { ItemKind } from './item.ts';

/** A cover that keeps a pot or a cup warm: a circle and straight sides. */
export const cosy: ItemKind = {
  item: 'cosy',
  width: 40,
  height: 16,
  limits: [10, 90],
  measure: 'around',
  uses: ['tube'],
  asks: [],
  mouth: true,
  rounds: true,
  begin: 'circle',
  cautions: ({ yarns }) => [
    { about: 'heat', code: 'cosy-is-no-potholder' },
    ...(yarns.some(melts) ? [{ about: 'heat', code: 'cosy-melts' } as const] : []),
  ],
  wish: {},
};
