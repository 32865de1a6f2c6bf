import type { ToldUnit } from '../../craft/units/length.ts';
import { at, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';
import type { WidthOffer } from '../fit/across.ts';
import type { HeightOffer } from '../fit/up.ts';
import { fitSizes, type Sizes, sizeAt } from '../sizes/sizes.ts';
import { type Prepared, prepare } from '../wish/prepare.ts';
import { circleWarning, unusedWarning, washWarning } from '../wish/sense.ts';
import { makePiece, type Piece } from './piece.ts';
import { manyEndsOf } from './policies.ts';

/** A whole plan of one flat piece. */
export interface Plan {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly piece: Piece;
  readonly warnings: readonly Problem[];
}

/** The size the maker chose, or the one nearest to the wish; a choice passes through the same rules as a wish. */
function chosenSize(prepared: Prepared, sizes: Sizes): Result<{ width: WidthOffer; height: HeightOffer }> {
  const { choice } = prepared.wish;
  if (!choice) return good({ width: sizes.across.chosen, height: sizes.up.chosen });
  const asked = fitSizes({
    ...prepared,
    width: { by: 'stitches', count: choice.stitches },
    height: { by: 'rows', count: choice.rows },
  });
  if (!asked.ok) return refused(...asked.problems.map((problem) => at('choice', problem)));
  return good(sizeAt(prepared, choice.stitches, choice.rows));
}

/** Runs the whole pipe for the chosen size of a wish, or the nearest one. @param told how it is told, in its own units unless said */
export function planWish(wish: Wish, told: ToldUnit = wish.units): Result<Plan> {
  const prepared = prepare(wish, told);
  if (!prepared.ok) return prepared;
  const sizes = fitSizes(prepared.value);
  if (!sizes.ok) return sizes;
  const size = chosenSize(prepared.value, sizes.value);
  if (!size.ok) return size;
  const piece = makePiece(prepared.value, size.value.width.stitches, size.value.height.rows);
  if (!piece.ok) return piece;
  return good({
    prepared: prepared.value,
    sizes: sizes.value,
    width: size.value.width,
    height: size.value.height,
    piece: piece.value,
    warnings: [
      ...sizes.value.warnings,
      ...endsWarning(prepared.value, piece.value),
      ...washWarning(prepared.value.wish),
      ...circleWarning(wish, prepared.value),
      ...unusedWarning(prepared.value.bound.colours, piece.value.share),
    ],
  });
}

/** A word on many ends, with what carrying would cost instead; nothing where they are few. */
export function endsWarning(prepared: Prepared, piece: Piece): Problem[] {
  const many = manyEndsOf(prepared, piece);
  if (!many) return [];
  const { carried } = many;
  const more = Math.max(0, carried.extraMetres - many.extraMetres);
  const spared = Math.max(0, many.minutes - carried.minutes);
  return [
    {
      code: 'many-ends',
      path: 'policy',
      facts: {
        ends: many.ends,
        perSquareMetre: Math.round(many.perSquareMetre),
        carriedEnds: carried.ends,
        metres: Math.round(more),
        minutes: Math.round(spared),
      },
    },
  ];
}
