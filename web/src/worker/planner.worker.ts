import { makePiece, prepare, type Wish, type YarnNeed } from '@puntada/core';
import { expose } from 'comlink';

/** The figures of one size, without its stitches. */
export interface PieceFigures {
  readonly stitches: number;
  readonly rows: number;
  readonly share: readonly number[];
  readonly yarn: readonly YarnNeed[];
  readonly ends: number;
}

/** Lays, proves, routes and measures sizes away from the screen. A size that fails its proof is left out. */
function measureSizes(wish: Wish, sizes: readonly { stitches: number; rows: number }[]): PieceFigures[] {
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
