import type { StitchKey } from '../stitches/kinds.ts';
import type { Numbers } from './count.ts';
import type { StitchPattern } from './model.ts';
import type { PlacedFigure } from './placed.ts';

/** Loops of the row below that stitches are worked into. docs/craft.md, “Where the hook goes”. */
export type Loops = 'both' | 'back' | 'front';

export interface BoundMultiple {
  readonly multiple: number;
  readonly extra: number;
}

export interface BoundExtent {
  readonly word: string;
  readonly works: BoundMultiple;
  readonly alike: BoundMultiple;
}

/** A pattern with all its numbers chosen. */
export interface BoundPattern {
  readonly pattern: StitchPattern;
  readonly numbers: Numbers;
  /** The stitch of runs that name none, and of the first stitch of a row. */
  readonly stitch: StitchKey;
  /** What a run that names no stitch is worked as. */
  readonly cell: StitchKey;
  readonly loops: Loops;
  /** Letters of the colours it is worked in. */
  readonly colours: readonly string[];
  readonly across: BoundExtent;
  readonly up: BoundExtent;
  /** Stitches in one whole repeat, all colours of it. */
  readonly repeatStitches: number;
  /** Courses in one whole repeat of stitch and colour. */
  readonly repeatCourses: number;
  /** Figures that are put on it once. */
  readonly placed?: readonly PlacedFigure[] | undefined;
}

export function leastCommonMultiple(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y) [x, y] = [y, x % y];
  return (a / x) * b;
}
