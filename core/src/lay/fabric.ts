import type { BoundPattern } from '../patterns/bind.ts';

/**
 * A laid fabric: every stitch of every course. Cells are course-major; column 0 is the edge where course 1 begins,
 * which is the right edge of the right side for a right hand. A course is counted from 0 here, from 1 before people.
 */
export interface Fabric {
  readonly making: 'flat';
  readonly courses: number;
  readonly stitches: number;
  /** Stitch kind of each cell (`stitchKinds`), length courses × stitches. */
  readonly kinds: Uint8Array;
  /** Colour of each cell, 0 for A, length courses × stitches. */
  readonly colours: Uint8Array;
  readonly colourCount: number;
}

/** Whether a course runs from column 0 upwards. In turned rows every second one comes back. */
export function runsForward(course: number): boolean {
  return course % 2 === 0;
}

/** The colour letters of a pattern by their number. */
export function colourLetter(bound: BoundPattern, colour: number): string {
  return bound.pattern.colours[colour] ?? '?';
}

/** The column of the n-th stitch worked in a course (n from 0). */
export function columnWorked(fabric: Fabric, course: number, n: number): number {
  return runsForward(course) ? n : fabric.stitches - 1 - n;
}

/** How many stitches each colour has in the whole fabric. */
export function stitchesByColour(fabric: Fabric): number[] {
  const counts = new Array<number>(fabric.colourCount).fill(0);
  for (const colour of fabric.colours) counts[colour] = (counts[colour] ?? 0) + 1;
  return counts;
}
