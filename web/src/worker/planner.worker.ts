import { makePiece, prepare, wishSchema, type YarnNeed } from '@puntada/core';
import { expose } from 'comlink';
import { z } from 'zod';

/** The figures of one size, without its stitches. */
export interface PieceFigures {
  readonly stitches: number;
  readonly rows: number;
  readonly share: readonly number[];
  readonly yarn: readonly YarnNeed[];
  readonly ends: number;
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
    const { share, yarn, ends } = piece.value;
    return [{ stitches, rows, share, yarn, ends }];
  });
}

const planner = { measureSizes };
export type Planner = typeof planner;
expose(planner);
