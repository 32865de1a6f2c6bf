import type { PatternedRound } from '@puntada/core/plan';

/** Where the cloth lies within its border, px. */
interface Inner {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Rect extends Inner {}

/** Runs of the second colour in a round: the first stitch of each, and how many. */
function runsOf(cells: string): { from: number; count: number }[] {
  return [...cells.matchAll(/x+/g)].map((run) => ({ from: run.index, count: run[0].length }));
}

/** Where the second colour of a patterned border lies about a cloth. @param depth of the whole border, px */
export function borderRects(rounds: readonly PatternedRound[], { x, y, width, height }: Inner, depth: number): Rect[] {
  const thick = depth / rounds.length;
  return rounds.flatMap(({ across, up, corner }, n) => {
    const [near, far] = [n * thick, (n + 1) * thick];
    const [wide, high] = [width + 2 * near, height + 2 * near];
    const [stitch, row] = [wide / across.length, high / up.length];
    const flat = runsOf(across).flatMap(({ from, count }) =>
      [y - far, y + height + near].map((top) => ({
        x: x - near + from * stitch,
        y: top,
        width: count * stitch,
        height: thick,
      })),
    );
    const upright = runsOf(up).flatMap(({ from, count }) =>
      [x - far, x + width + near].map((left) => ({
        x: left,
        y: y - near + from * row,
        width: thick,
        height: count * row,
      })),
    );
    const corners =
      corner === 'x'
        ? [x - far, x + width + near].flatMap((left) =>
            [y - far, y + height + near].map((top) => ({ x: left, y: top, width: thick, height: thick })),
          )
        : [];
    return [...flat, ...upright, ...corners];
  });
}

/** A part of a ring, in turns from 0 to 1. */
export interface Arc {
  readonly radius: number;
  readonly from: number;
  readonly to: number;
}

/** The same about a circle: arcs as broad as a round. @param inner radius of the cloth, px */
export function borderArcs(rounds: readonly PatternedRound[], inner: number, depth: number): Arc[] {
  const thick = depth / rounds.length;
  return rounds.flatMap(({ across }, n) =>
    runsOf(across).map(({ from, count }) => ({
      radius: inner + (n + 0.5) * thick,
      from: from / across.length,
      to: (from + count) / across.length,
    })),
  );
}
