import {
  type Estimate,
  type Hand,
  largestFromStash,
  makePiece,
  type PlanDocument,
  planDocument,
  planWish,
  prepare,
  type Result,
  readShape,
  type Terms,
  wishSchema,
  type YarnNeed,
} from '@puntada/core';
import { expose } from 'comlink';
import { z } from 'zod';

/** The figures of one size, without its stitches. */
export interface PieceFigures {
  readonly stitches: number;
  readonly rows: number;
  readonly share: readonly number[];
  readonly yarn: readonly YarnNeed[];
  readonly ends: number;
  /** Seconds. */
  readonly time: Estimate;
}

const count = z.number().int().min(1);
const request = z.strictObject({
  wish: wishSchema,
  sizes: z.array(z.strictObject({ stitches: count, rows: count })).max(50),
});
export type MeasureMessage = z.input<typeof request>;

/** Lays, proves, routes and measures sizes away from the screen. A size that fails its proof is left out. */
function measureSizes(message: MeasureMessage): PieceFigures[] {
  const { wish, sizes } = request.parse(message);
  const prepared = prepare(wish);
  if (!prepared.ok) return [];
  return sizes.flatMap(({ stitches, rows }) => {
    const piece = makePiece(prepared.value, stitches, rows);
    if (!piece.ok) return [];
    const { share, yarn, ends, time } = piece.value;
    return [{ stitches, rows, share, yarn, ends, time }];
  });
}

/** The whole plan of a wish as its open document, or what is in the way. */
function planWhole(wish: unknown, terms: Terms, hand: Hand): Result<PlanDocument> {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return read;
  const plan = planWish(read.value);
  return plan.ok ? { ok: true, value: planDocument(plan.value, terms, hand) } : plan;
}

/** The largest whole piece that the drawer makes, nine times in ten. */
function largestOf(wish: unknown): Result<{ stitches: number; rows: number; chance: number }> {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return read;
  const prepared = prepare(read.value);
  if (!prepared.ok) return prepared;
  const largest = largestFromStash(prepared.value);
  if (!largest.ok) return largest;
  const { width, height, chance } = largest.value;
  return { ok: true, value: { stitches: width.stitches, rows: height.rows, chance } };
}

const planner = { measureSizes, planWhole, largestOf };
export type Planner = typeof planner;
expose(planner);
