import { techniqueOf } from '../../craft/techniques/register.ts';
import type { ToldUnit } from '../../craft/units/length.ts';
import { good, must, type Result } from '../../craft/values/problem.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';
import { multiplesOf } from '../fit/arithmetic.ts';
import { costsOfWish, measured, type RoutedBeside } from '../piece/piece.ts';
import { type Plan, planWish } from '../piece/plan.ts';
import { counted } from '../route/route.ts';
import { fitSizes, type Sizes, sizeAt } from '../sizes/sizes.ts';
import { type Prepared, prepare, prepareMade } from '../wish/prepare.ts';
import { wishAsBegun } from './asBegun.ts';
import type { ThawedCloth, ThawedWork } from './frozen.ts';
import { thaw } from './frozen.ts';

/** A work as it is stored: its wish, and the cloth on the hook once it is begun. */
export interface MadeWork {
  readonly wish: Wish;
  readonly begun?: FrozenWork | null | undefined;
}

/** The figures of a wish whose cloth is on the hook: pattern, foundation and gauge are those it was begun with. */
export function prepareCloth(wish: Wish, cloth: ThawedCloth, told: ToldUnit = wish.units): Result<Prepared> {
  const { bound, foundation, gauge } = cloth;
  const technique = must(techniqueOf(bound.pattern));
  return prepareMade(wish, told, { bound, foundation, technique }, gauge);
}

/** The figures of a work: of the cloth on the hook once it is begun, of its wish before. */
export function prepareWork({ wish, begun }: MadeWork, told: ToldUnit = wish.units): Result<Prepared> {
  if (!begun) return prepare(wish, told);
  const cloth = thaw(begun);
  return cloth.ok ? prepareCloth(wishAsBegun(wish, begun.apart), cloth.value, told) : cloth;
}

/** The cloths of a work that were made by plans before. @param pieces of the work: some may be a project of their own since */
function besideOf({ before = [] }: ThawedWork, pieces: number, told: ToldUnit): Result<RoutedBeside[]> {
  const beside: RoutedBeside[] = [];
  let left = pieces;
  for (const { pieces: made, wish, cloth } of before) {
    const prepared = prepareCloth(wish, cloth, told);
    if (!prepared.ok) return prepared;
    const strands = counted(cloth.strands, costsOfWish(prepared.value));
    beside.push({ pieces: Math.min(left, made), prepared: prepared.value, fabric: cloth.fabric, strands });
    left -= Math.min(left, made);
  }
  return good(beside);
}

/**
 * The plan of a work. Once it is begun nothing of it is planned anew: cloth and strands are those on the hook, whatever
 * became of the engine, the pattern book or the wish since.
 */
export function planWork({ wish, begun }: MadeWork, told: ToldUnit = wish.units): Result<Plan> {
  if (!begun) return planWish(wish, told);
  const cloth = thaw(begun);
  if (!cloth.ok) return cloth;
  const { fabric, strands } = cloth.value;
  const read = prepareCloth(wishAsBegun(wish, begun.apart), cloth.value, told);
  if (!read.ok) return read;
  const prepared = read.value;
  const rows = wish.choice?.rows ?? fabric.courses;
  const beside = besideOf(cloth.value, wish.pieces, told);
  if (!beside.ok) return beside;
  const routed = counted(strands, costsOfWish(prepared));
  const piece = measured(prepared, { fabric, strands: routed }, fabric.count, rows, beside.value);
  const size = sizeAt(prepared, fabric.count, rows);
  const sizes = fitSizes({
    ...prepared,
    width: { by: 'stitches', count: fabric.count },
    height: { by: 'rows', count: rows },
    wish: { ...prepared.wish, ending: 'any' },
  });
  // Its size may be one that today's rules would not offer: then it is the only one there is to tell.
  const offered = sizes.ok ? sizes.value : onlySize(prepared, fabric.count, rows);
  return good({ prepared, sizes: offered, ...size, piece, warnings: [] });
}

/** The one size of a cloth that is on the hook: there is nothing left to choose. @param rows as the wish counts them */
export function onlySize(prepared: Prepared, stitches: number, rows: number): Sizes {
  const { width, height } = sizeAt(prepared, stitches, rows);
  return {
    across: { offers: [width], chosen: width, multiples: multiplesOf(prepared), warnings: [] },
    up: { offers: [height], chosen: height, warnings: [] },
    warnings: [],
  };
}
