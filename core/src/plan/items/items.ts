import type { BoundPattern } from '../../craft/patterns/bind.ts';
import { rowColours } from '../../craft/technique/bands.ts';
import type { Policy } from '../../craft/technique/policy.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Item, Wish, WishInput } from '../../records/wish.ts';
import type { TubeMeasure } from '../fit/across.ts';

/** What an item usually is: the wish as it stands before the maker has said more. */
export interface ItemPreset {
  readonly item: Item;
  readonly name: string;
  /** cm; in rounds of a circle both are the diameter. */
  readonly width: number;
  readonly height: number;
  /** Least and greatest side that is still one, cm. */
  readonly limits: readonly [least: number, most: number];
  /** What the width of the item is the width of, where it is worked in rounds. */
  readonly measure: TubeMeasure;
  /** Its upper end stays open: things go in there. */
  readonly mouth?: true;
  /** Cloths that make one of it, where it is worked flat. */
  readonly panels?: 2;
  /** Sides at which its panels are joined. */
  readonly sides?: 3 | 4;
  /** It is made in rounds where its technique can be. */
  readonly rounds?: true;
  /** The way it is begun, where it is in rounds. */
  readonly begin?: 'ring' | 'chain' | 'circle';
  /** The rest of the wish, as far as it is not what every wish has. */
  readonly wish: Partial<
    Pick<WishInput, 'edges' | 'ending' | 'policy' | 'pieces' | 'border' | 'finish' | 'across' | 'closing'>
  >;
  /** Techniques it is usually made in, the usual one first. */
  readonly techniques: readonly string[];
}

const flat = ['carried', 'stripes', 'linen', 'step-check', 'chain-space', 'mosaic', 'flecks', 'wide-hdc'];
const inRounds = ['tube', 'carried', 'stripes', 'linen', 'step-check', 'mosaic'];

/** Sensible beginnings for every item. docs/craft.md, “Borders, seams, straps”. */
export const itemPresets: readonly ItemPreset[] = [
  {
    item: 'dishcloth',
    name: 'Dishcloth',
    width: 24,
    height: 24,
    limits: [12, 45],
    measure: 'flat',
    wish: { policy: 'carry-always' },
    techniques: flat,
  },
  {
    item: 'blanket',
    name: 'Blanket',
    width: 100,
    height: 150,
    limits: [40, 300],
    measure: 'flat',
    wish: { border: { rounds: 3 } },
    techniques: [...flat, 'granny', 'corner-to-corner', 'mesh', 'wedge-circle'],
  },
  {
    item: 'bag panel',
    name: 'Bag panel',
    width: 34,
    height: 38,
    limits: [10, 80],
    measure: 'flat',
    wish: {},
    techniques: flat,
  },
  {
    item: 'bag',
    name: 'Bag',
    width: 34,
    height: 38,
    limits: [10, 80],
    measure: 'flat',
    mouth: true,
    panels: 2,
    sides: 3,
    begin: 'chain',
    wish: { pieces: 2, finish: { seam: 'sc', strap: { drop: '28 cm', kind: 'sc along' } } },
    techniques: [...flat, 'tube'],
  },
  {
    item: 'scarf',
    name: 'Scarf',
    width: 20,
    height: 160,
    limits: [8, 250],
    measure: 'flat',
    wish: {},
    techniques: [...flat, 'granny'],
  },
  {
    item: 'mat',
    name: 'Mat',
    width: 40,
    height: 30,
    limits: [8, 120],
    measure: 'flat',
    wish: {},
    techniques: [...flat, 'corner-to-corner'],
  },
  {
    item: 'round mat',
    name: 'Round mat',
    width: 30,
    height: 30,
    limits: [8, 120],
    measure: 'diameter',
    wish: { ending: 'any', policy: 'carry-always' },
    techniques: ['wedge-circle'],
  },
  {
    item: 'potholder',
    name: 'Potholder',
    width: 20,
    height: 20,
    limits: [12, 30],
    measure: 'flat',
    rounds: true,
    begin: 'chain',
    wish: { finish: { ring: '6 cm', seam: 'slip stitch' } },
    techniques: inRounds,
  },
  {
    item: 'cushion cover',
    name: 'Cushion cover',
    width: 40,
    height: 40,
    limits: [20, 80],
    measure: 'flat',
    panels: 2,
    sides: 4,
    rounds: true,
    begin: 'chain',
    wish: { finish: { seam: 'slip stitch' } },
    techniques: [...inRounds, ...flat.filter((key) => !inRounds.includes(key))],
  },
  {
    item: 'strap',
    name: 'Strap',
    width: 4,
    height: 110,
    limits: [1, 250],
    measure: 'flat',
    wish: { edges: 'whole', ending: 'any' },
    techniques: flat,
  },
  {
    item: 'basket',
    name: 'Basket',
    width: 18,
    height: 14,
    limits: [6, 60],
    measure: 'diameter',
    mouth: true,
    rounds: true,
    begin: 'circle',
    wish: { policy: 'carry-always' },
    techniques: inRounds,
  },
  {
    item: 'cosy',
    name: 'Cosy',
    width: 40,
    height: 16,
    limits: [10, 90],
    measure: 'around',
    mouth: true,
    rounds: true,
    begin: 'circle',
    wish: {},
    techniques: inRounds,
  },
];

/** A cover is this much smaller than its insert, so that it sits full. */
const coverSmaller = 0.04;

/** The size of a cover for an insert, cm. */
export function coverFor(insert: number): number {
  return insert * (1 - coverSmaller);
}

/**
 * Length of a cover in one cloth that folds over with a flap, before it is seamed: both faces and the flap, in the unit
 * given.
 */
export function flapCover(face: number, flap: number): number {
  return 2 * face + flap;
}

/** Rows that are looked at to tell stripes of one row. */
const looked = 12;

/** Whether its colours change at most rows, so that a strand seldom waits at the edge where it is wanted. */
function hasOneRowStripes(bound: BoundPattern, technique: Technique): boolean {
  if (!technique.ordered) return false;
  const rows = rowColours(bound, technique, looked).map(({ colours }) => colours);
  const changes = rows.filter((colour, i) => i > 0 && colour !== rows[i - 1]).length;
  return changes > looked / 2;
}

/** What is usually done with the idle strands: one-row stripes of a blanket are carried, or their ends have no end. */
export function policyOf(item: Item, bound: BoundPattern, technique: Technique): Policy {
  const own = technique.policy ?? presetOf(item).wish.policy;
  return own ?? (item === 'blanket' && hasOneRowStripes(bound, technique) ? 'carry-always' : 'as-needed');
}

/** The preset of an item. */
export function presetOf(item: Item): ItemPreset {
  return itemPresets.find((each) => each.item === item) as ItemPreset;
}

/** What the width of a tube means: what the maker says, or what the item is measured by. docs/craft.md, “Rounds”. */
export function measureOf({ item, across }: Pick<Wish, 'item' | 'across'>): TubeMeasure {
  if (across === undefined) return presetOf(item).measure;
  return across === 'round' ? 'around' : across;
}

/**
 * Cloths that are joined to one of the item: the two panels of a bag or cover. @param tube whether it is worked in rounds
 */
export function panelsOf({ item, finish }: Pick<Wish, 'item' | 'finish'>, tube: boolean): 1 | 2 {
  if (tube || finish?.flap !== undefined) return 1;
  return presetOf(item).panels ?? 1;
}

/** How many of the item a wish makes: two panels are one bag. @param tube whether it is worked in rounds */
export function itemsIn(wish: Pick<Wish, 'item' | 'finish' | 'pieces'>, tube: boolean): number {
  return Math.max(1, Math.floor(wish.pieces / panelsOf(wish, tube)));
}
