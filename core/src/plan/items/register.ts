import { babyBlanket } from './babyBlanket.ts';
import { bag } from './bag.ts';
import { bagPanel } from './bagPanel.ts';
import { basket } from './basket.ts';
import { blanket } from './blanket.ts';
import { cosy } from './cosy.ts';
import { cushionCover } from './cushionCover.ts';
import { dishcloth } from './dishcloth.ts';
import type { ItemKind } from './item.ts';
import { mat } from './mat.ts';
import { potholder } from './potholder.ts';
import { roundMat } from './roundMat.ts';
import { scarf } from './scarf.ts';
import { strap } from './strap.ts';

const register: ItemKind[] = [
  dishcloth,
  blanket,
  babyBlanket,
  bag,
  scarf,
  potholder,
  cushionCover,
  mat,
  roundMat,
  basket,
  cosy,
  strap,
  bagPanel,
];

/** Every item, in the order in which it is offered. docs/craft.md, “Borders, seams, straps”. */
export const itemKinds: readonly ItemKind[] = register;

/** Adds an item from outside the register: the one seam by which a test brings its own. @internal */
export function addItem(item: ItemKind): void {
  register.push(item);
}

/** An item that this version does not know is made as a cloth that asks nothing of its own. */
const unknown: ItemKind = {
  item: 'cloth',
  width: 30,
  height: 30,
  limits: [1, 300],
  measure: 'flat',
  uses: ['small cloth', 'panel', 'tube', 'circle'],
  asks: ['border', 'strap', 'seam'],
  wish: {},
};

/** The item of a key. */
export function itemNamed(key: string): ItemKind {
  return register.find((each) => each.item === key) ?? unknown;
}
