import { blanket } from './blanket.ts';
import type { ItemKind } from './item.ts';

/** A blanket for a pram or a cot, with the cautions of what a small child has. */
export const babyBlanket: ItemKind = {
  ...blanket,
  item: 'baby blanket',
  width: 75,
  height: 90,
  limits: [40, 130],
  wish: { border: { rounds: 2 }, smallChildren: true },
};
