import { findPattern } from '../../craft/book/book.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { parseLength } from '../../craft/units/length.ts';
import { at, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import type { Wish, WishInput } from '../../records/wish.ts';

/** A finished piece as a maker counts and measures it. */
export interface FinishedPiece {
  readonly pattern: string;
  readonly numbers?: Readonly<Record<string, number>> | undefined;
  readonly units: Wish['units'];
  /** Stitches of a row, or repeats of the pattern across it. */
  readonly across: { readonly count: number; readonly of: 'stitches' | 'repeats' };
  readonly up: { readonly count: number; readonly of: 'rows' | 'repeats' };
  /** As typed; the cloth without its border. */
  readonly width: string;
  readonly height: string;
}

/** What it says of a wish for the same again: its counts, and the gauge that follows from its size. */
export type PieceWish = Pick<WishInput, 'width' | 'height' | 'pattern' | 'units'> & {
  readonly gauge: Extract<Wish['gauge'], { from: 'counted' }>;
};

/** A wish from a finished piece. A piece that was measured is the best swatch there is. */
export function wishFromPiece(piece: FinishedPiece): Result<PieceWish> {
  const pattern = findPattern(piece.pattern);
  if (!pattern.ok) return pattern;
  const bound = bindPattern(pattern.value, { numbers: piece.numbers });
  if (!bound.ok) return bound;
  const problems: Problem[] = [];
  const { across, up } = bound.value;
  const stitches =
    piece.across.of === 'stitches'
      ? piece.across.count
      : piece.across.count * across.works.multiple + across.works.extra;
  const rows = piece.up.of === 'rows' ? piece.up.count : piece.up.count * up.works.multiple + up.works.extra;
  for (const [path, count] of [
    ['across', stitches],
    ['up', rows],
  ] as const) {
    if (Number.isInteger(count) && count > 0 && count <= 1000) continue;
    problems.push({
      code: 'not-on-one-piece',
      path,
      facts: { count, what: path === 'across' ? 'stitches' : 'rows' },
    });
  }
  for (const path of ['width', 'height'] as const) {
    const read = parseLength(piece[path], piece.units);
    if (!read.ok) problems.push(...read.problems.map((problem) => at(path, problem)));
  }
  if (problems.length) return refused(...problems);
  return good({
    units: piece.units,
    pattern: { key: piece.pattern, ...(piece.numbers ? { numbers: piece.numbers } : {}) },
    width: { by: 'stitches', count: stitches },
    height: { by: 'rows', count: rows },
    gauge: {
      from: 'counted',
      stitches: { count: stitches, over: piece.width },
      rows: { count: rows, over: piece.height },
    },
  });
}
