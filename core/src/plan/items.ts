import type { Item, WishInput } from '../formats/wish.ts';

/** What an item usually is: the wish as it stands before the maker has said more. */
export interface ItemPreset {
  readonly item: Item;
  readonly name: string;
  /** cm; in rounds of a circle both are the diameter. */
  readonly width: number;
  readonly height: number;
  /** Least and greatest side that is still one, cm. */
  readonly limits: readonly [least: number, most: number];
  /** The rest of the wish, as far as it is not what every wish has. */
  readonly wish: Partial<
    Pick<WishInput, 'edges' | 'ending' | 'policy' | 'pieces' | 'border' | 'finish' | 'across' | 'closing'>
  >;
  /** Techniques it is usually made in, the usual one first. */
  readonly techniques: readonly string[];
}

const flat = ['carried', 'stripes', 'linen', 'step-check', 'chain-space', 'mosaic', 'flecks', 'wide-hdc'];

/** Sensible beginnings for every item. docs/craft.md, “Borders, seams, straps”. */
export const itemPresets: readonly ItemPreset[] = [
  {
    item: 'dishcloth',
    name: 'Dishcloth',
    width: 24,
    height: 24,
    limits: [12, 45],
    wish: { policy: 'carry-always' },
    techniques: flat,
  },
  {
    item: 'blanket',
    name: 'Blanket',
    width: 100,
    height: 150,
    limits: [40, 300],
    wish: { border: { rounds: 3 } },
    techniques: [...flat, 'granny', 'corner-to-corner', 'mesh'],
  },
  { item: 'bag panel', name: 'Bag panel', width: 34, height: 38, limits: [10, 80], wish: {}, techniques: flat },
  {
    item: 'bag',
    name: 'Bag of two panels',
    width: 34,
    height: 38,
    limits: [10, 80],
    wish: { pieces: 2, finish: { seam: 'sc', strap: { drop: '28 cm', kind: 'sc along' } } },
    techniques: [...flat, 'tube'],
  },
  { item: 'scarf', name: 'Scarf', width: 20, height: 160, limits: [8, 250], wish: {}, techniques: [...flat, 'granny'] },
  {
    item: 'mat',
    name: 'Mat',
    width: 40,
    height: 30,
    limits: [8, 120],
    wish: {},
    techniques: [...flat, 'corner-to-corner'],
  },
  {
    item: 'round mat',
    name: 'Round mat',
    width: 30,
    height: 30,
    limits: [8, 120],
    wish: { ending: 'any', policy: 'carry-always' },
    techniques: ['wedge-circle'],
  },
  {
    item: 'potholder',
    name: 'Potholder',
    width: 20,
    height: 20,
    limits: [12, 30],
    wish: { edges: 'whole', finish: { ring: '6 cm', seam: 'slip stitch' } },
    techniques: ['tube'],
  },
  {
    item: 'cushion cover',
    name: 'Cushion cover',
    width: 40,
    height: 40,
    limits: [20, 80],
    wish: { edges: 'whole', finish: { seam: 'slip stitch' } },
    techniques: ['tube', ...flat],
  },
  {
    item: 'strap',
    name: 'Strap',
    width: 4,
    height: 110,
    limits: [1, 250],
    wish: { edges: 'whole', ending: 'any' },
    techniques: flat,
  },
];

/** A cover is this much smaller than its insert, so that it sits full. */
const coverSmaller = 0.04;

/** The size of a cover for an insert, cm. */
export function coverFor(insert: number): number {
  return insert * (1 - coverSmaller);
}

/** The preset of an item. */
export function presetOf(item: Item): ItemPreset {
  return itemPresets.find((each) => each.item === item) as ItemPreset;
}
