import { good, type Result, refused } from '../../craft/values/problem.ts';
import type { WidthOffer } from '../fit/across.ts';
import { offerWidth, widthRule } from '../fit/across.ts';
import { admits, nearest, neighbours } from '../fit/progression.ts';
import { type HeightOffer, heightRule, offerHeight } from '../fit/up.ts';
import { acrossRequest, upRequest } from '../sizes/sizes.ts';
import type { Prepared } from '../wish/prepare.ts';
import { makePiece, type Piece } from './piece.ts';

/** A size that the yarn at hand allows, with the chance that it does. */
export interface StashSize {
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly piece: Piece;
  /** The chance of the colour that is shortest. */
  readonly chance: number;
}

/** What the yarn in the drawer is to be enough with. */
const sureFromStash = 0.9;

/** The chance that every colour is enough; 0 where it is not known what lies in the drawer. */
function chanceOfPiece(piece: Piece): number {
  return Math.min(...piece.yarn.map((need) => need.drawer?.chance ?? 0));
}

/** How far a search for the largest size has come. */
export interface SearchStep {
  /** Sizes tried by now. */
  readonly tried: number;
  /** The largest by now that the yarn makes. */
  readonly stitches: number;
  readonly rows: number;
}

/**
 * Searches the largest whole piece with like edges, in the proportion of the wish, that the drawer makes with a
 * chance of nine in ten. Sizes are tried by halves, since a larger one always takes more yarn. It stops after each
 * try, to tell how far it has come and to be given up.
 * @returns a refusal where the drawer is not known, or makes no whole repeat
 */
export function* searchLargest(prepared: Prepared, sure = sureFromStash): Generator<SearchStep, Result<StashSize>> {
  if (!prepared.yarns.some((yarn) => yarn.balls !== undefined || yarn.partGrams !== undefined)) {
    return refused({
      code: 'drawer-unknown',
      path: 'yarns',
    });
  }
  const sizes = sizesByStep(prepared);
  let best = sizes.at(0);
  if (!best.ok) return best;
  if (best.value.chance < sure || !admits(sizes.across, best.value.width.stitches)) {
    return refused({
      code: 'drawer-too-little',
      path: 'yarns',
      facts: { chance: Math.floor(best.value.chance * 100) },
    });
  }
  let tried = 1;
  let low = 0;
  let high = 1;
  const step = (size: StashSize): SearchStep => ({ tried, stitches: size.width.stitches, rows: size.height.rows });
  for (; high < 4096; high *= 2) {
    yield step(best.value);
    const next = sizes.at(high);
    tried++;
    if (!next.ok || next.value.chance < sure) break;
    best = next;
    low = high;
  }
  while (high - low > 1) {
    yield step(best.value);
    const middle = (low + high) >> 1;
    const next = sizes.at(middle);
    tried++;
    if (next.ok && next.value.chance >= sure) {
      best = next;
      low = middle;
    } else high = middle;
  }
  return best;
}

/** The sizes that keep the proportion of the wish, each a notch wider than the one before. */
function sizesByStep(prepared: Prepared) {
  const across = widthRule(prepared, prepared.wish.edges === 'centred' ? 'centred' : 'mirrored');
  const up = heightRule(prepared.bound, prepared.technique, 'as-begun');
  const proportion = wishedProportion(prepared);
  const at = (k: number): Result<StashSize> => {
    const width = offerWidth(acrossRequest(prepared), across.least + k * across.step);
    const rowsFor = (height: number) => height / offerHeight(upRequest(prepared), 1).height.mid;
    const height = offerHeight(upRequest(prepared), nearest(up, rowsFor(width.width.mid * proportion)));
    const piece = makePiece(prepared, width.stitches, height.rows);
    if (!piece.ok) return piece;
    return good({ width, height, piece: piece.value, chance: chanceOfPiece(piece.value) });
  };
  return { across, at };
}

/** The whole search at one go. */
export function largestFromStash(prepared: Prepared, sure = sureFromStash): Result<StashSize> {
  const search = searchLargest(prepared, sure);
  for (;;) {
    const { done, value } = search.next();
    if (done) return value;
  }
}

/** Height against width as wished; a square where it was not wished in lengths. */
function wishedProportion({ width, height }: Prepared): number {
  return width.by === 'length' && height.by === 'length' ? height.mm / width.mm : 1;
}

/** A smaller size that saves balls, and how many. */
export interface Saving {
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly balls: number;
  readonly step: 'narrower' | 'shorter';
}

function ballsOf(piece: Piece): number | undefined {
  const counts = piece.yarn.map((need) => need.balls?.count);
  return counts.some((count) => count === undefined)
    ? undefined
    : (counts as number[]).reduce((sum, count) => sum + count, 0);
}

/** Where one step narrower, or one step shorter, saves a ball or more. */
export function savings(prepared: Prepared, width: WidthOffer, height: HeightOffer, piece: Piece): Saving[] {
  const now = ballsOf(piece);
  if (now === undefined) return [];
  const across = widthRule(prepared, prepared.wish.edges);
  const up = heightRule(prepared.bound, prepared.technique, prepared.wish.ending);
  const steps: [Saving['step'], number, number][] = [
    ['narrower', width.stitches - across.step, height.rows],
    ['shorter', width.stitches, neighbours(up, height.rows).find((rows) => rows < height.rows) ?? 0],
  ];
  return steps.flatMap(([step, stitches, rows]) => {
    if (stitches < across.least || rows < up.least) return [];
    const smaller = makePiece(prepared, stitches, rows);
    const balls = smaller.ok ? ballsOf(smaller.value) : undefined;
    if (balls === undefined || balls >= now) return [];
    const saved = now - balls;
    return [
      {
        width: offerWidth(acrossRequest(prepared), stitches),
        height: offerHeight(upRequest(prepared), rows),
        balls: saved,
        step,
      },
    ];
  });
}
