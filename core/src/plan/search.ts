import type { WidthOffer } from '../fit/across.ts';
import type { HeightOffer } from '../fit/up.ts';
import type { Wish } from '../formats/wish.ts';
import { chooseSizes } from './choices.ts';
import { makePiece, type Piece } from './piece.ts';
import { type Prepared, prepare } from './prepare.ts';
import { fitSizes } from './sizes.ts';

/** What a maker wants most. */
export type Order = 'nearest' | 'squarest' | 'fewest balls' | 'fewest ends' | 'least time';

export interface SearchRequest {
  readonly wish: Wish;
  /** Keys of patterns; the wish's own where there are none. */
  readonly patterns: readonly string[];
  /** Rounds of border to try; the wish's own where there are none. */
  readonly borders: readonly number[];
  readonly order: Order;
  /** Sizes of each pattern and border that are laid. */
  readonly sizesEach: number;
}

/** One candidate, laid and measured. */
export interface Found {
  readonly wish: Wish;
  readonly prepared: Prepared;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly piece: Piece;
}

/** How far a search is. */
export interface Progress {
  readonly done: number;
  readonly of: number;
  readonly found: readonly Found[];
}

function ballsIn(piece: Piece): number {
  return piece.yarn.reduce((sum, need) => sum + (need.balls?.count ?? need.metres.mid / 100), 0);
}

const scores: Readonly<Record<Order, (found: Found) => number>> = {
  nearest: ({ width, height }) => Math.abs(width.difference) + Math.abs(height.difference),
  squarest: ({ width, height }) => Math.abs(Math.log(width.width.mid / height.height.mid)),
  'fewest balls': ({ piece }) => ballsIn(piece),
  'fewest ends': ({ piece }) => piece.ends,
  'least time': ({ piece }) => piece.time.mid,
};

/** The wishes that a search goes through; what does not fit a pattern is left to it. */
function candidates({ wish, patterns, borders }: SearchRequest): Wish[] {
  const keys = patterns.length ? patterns : [undefined];
  const rounds = borders.length ? borders : [undefined];
  return keys.flatMap((key) =>
    rounds.map((count): Wish => {
      const { choice: _chosen, foundation, ...rest } = wish;
      const own = key === undefined || key === wish.pattern.key;
      const border =
        count === 0
          ? undefined
          : { colour: 'A', by: 'gauge' as const, envelope: false, ...wish.border, rounds: count ?? 0 };
      return {
        ...rest,
        ...(own && foundation !== undefined ? { foundation } : {}),
        pattern: own ? wish.pattern : { key },
        border: count === undefined ? wish.border : border,
      };
    }),
  );
}

/**
 * Goes through patterns × borders × sizes. Each step lays one piece and says how far the search is, so that whoever
 * drives it can show progress, stop when time is up, or cancel; the found ones stand in the maker's order.
 */
export function* search(request: SearchRequest): Generator<Progress, Found[]> {
  const wishes = candidates(request);
  const score = scores[request.order];
  let found: Found[] = [];
  const of = wishes.length * request.sizesEach;
  let done = 0;
  for (const wish of wishes) {
    const prepared = prepare(wish);
    const sizes = prepared.ok ? fitSizes(prepared.value) : undefined;
    const choices =
      prepared.ok && sizes?.ok ? chooseSizes(prepared.value, sizes.value).slice(0, request.sizesEach) : [];
    for (const { width, height } of choices) {
      const piece = prepared.ok ? makePiece(prepared.value, width.stitches, height.rows) : undefined;
      if (prepared.ok && piece?.ok) {
        found = [...found, { wish, prepared: prepared.value, width, height, piece: piece.value }];
        found.sort((a, b) => score(a) - score(b));
      }
      done++;
      yield { done, of, found };
    }
    done += request.sizesEach - choices.length;
    yield { done, of, found };
  }
  return found;
}

/**
 * Drives a search until it is done, cancelled, or its time is up.
 * @param now a clock, ms @param budget ms @param cancelled asked after each step
 */
export function searchWithin(
  request: SearchRequest,
  { now, budget, cancelled }: { now: () => number; budget: number; cancelled: () => boolean },
): Progress & { readonly complete: boolean } {
  const started = now();
  let last: Progress = { done: 0, of: 0, found: [] };
  for (const progress of search(request)) {
    last = progress;
    if (cancelled() || now() - started > budget) return { ...last, complete: last.done === last.of };
  }
  return { ...last, complete: true };
}
