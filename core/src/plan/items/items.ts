import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { rowColours } from '../../craft/technique/bands.ts';
import type { Policy } from '../../craft/technique/policy.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { techniques } from '../../craft/techniques/register.ts';
import type { Wish } from '../../records/wish.ts';
import type { TubeMeasure } from '../fit/across.ts';
import { itemNamed } from './register.ts';

/**
 * Keys of the techniques that an item is usually made in, the usual one first: what lies double is made in rounds where
 * it can be, so that those which are always in rounds come first.
 */
export function techniquesFor(item: string): readonly string[] {
  const { uses, rounds } = itemNamed(item);
  const fitting = techniques.filter((each) => each.uses.some((use) => uses.includes(use)));
  const always = (each: Technique) => rounds && each.makings.every((made) => made !== 'flat' && made !== 'right-side');
  const keys = [...fitting.filter(always), ...fitting.filter((each) => !always(each))];
  return keys.map(({ key }) => key);
}

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

/**
 * What is usually done with the idle strands: one-row stripes of a blanket in two colours are carried, or their ends have no
 * end. An odd number of one-row colours climbs the side edge, so nothing need lie inside. docs/craft.md, “One-row stripes”.
 */
export function policyOf(item: string, bound: BoundPattern, technique: Technique): Policy {
  const own = technique.policy ?? itemNamed(item).wish.policy;
  return (
    own ??
    (itemNamed(item).large && bound.colours.length % 2 === 0 && hasOneRowStripes(bound, technique)
      ? 'carry-always'
      : 'as-needed')
  );
}

/** What the width of a tube means: what the maker says, or what the item is measured by. docs/craft.md, “Rounds”. */
export function measureOf({ item, across }: Pick<Wish, 'item' | 'across'>): TubeMeasure {
  if (across === undefined) return itemNamed(item).measure;
  return across === 'round' ? 'around' : across;
}

/**
 * Cloths of a wish that are joined to one of the item: the two panels of a bag or cover; one, where the other side is a
 * project of its own. @param tube whether it is worked in rounds
 */
export function panelsOf({ item, finish, set }: Pick<Wish, 'item' | 'finish' | 'set'>, tube: boolean): 1 | 2 {
  if (tube || finish?.flap !== undefined || set?.part !== undefined) return 1;
  return itemNamed(item).panels ?? 1;
}

/** How many of the item a wish makes: two panels are one bag. @param tube whether it is worked in rounds */
export function itemsIn(wish: Pick<Wish, 'item' | 'finish' | 'pieces' | 'set'>, tube: boolean): number {
  return Math.max(1, Math.floor(wish.pieces / panelsOf(wish, tube)));
}
