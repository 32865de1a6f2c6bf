import type { BoundPattern } from '../patterns/bound.ts';
import type { Making } from '../patterns/model.ts';
import { stitchKinds } from '../stitches/kinds.ts';

/**
 * A laid fabric: every cell of every course, a cell being one stitch, cluster or block. Cells are course-major;
 * column 0 is the edge (or the seam) where course 1 begins, which is the right edge of the right side for a right
 * hand. Courses may differ in their number of cells. A course is counted from 0 here, from 1 before people.
 */
export interface Fabric {
  readonly making: Making;
  readonly courses: number;
  /** What the pattern's widths count: stitches, clusters, windows, blocks or wedges. */
  readonly count: number;
  /** Cells of the widest course. */
  readonly stitches: number;
  /** Where each course begins in `kinds` and `colours`, and at last where they end: length courses + 1. */
  readonly starts: Uint32Array;
  /** Stitch kind of each cell (`stitchKinds`). */
  readonly kinds: Uint8Array;
  /** Colour of each cell, 0 for A. */
  readonly colours: Uint8Array;
  readonly colourCount: number;
}

/** More stitches than this are not laid in one piece. */
export const mostStitches = 1_500_000;

/** More cells than this no course has. */
export const mostInCourse = 20_000;

/** The cells of one course, in column order. */
export interface Cells {
  readonly kinds: Uint8Array;
  readonly colours: Uint8Array;
}

/** Whether a course runs from column 0 upwards. Turned rows come back; in a pair of meshes two rows run the same way. */
export function runsForward(course: number, making: Making = 'flat'): boolean {
  if (making === 'rounds' || making === 'right-side') return true;
  if (making === 'paired') return course % 4 < 2;
  // A base row, then two rows out and two rows back: the second net begins where the first did.
  if (making === 'netted') return course === 0 || (course - 1) % 4 >= 2;
  return course % 2 === 0;
}

/** Whether the right side faces the maker. */
export function facesRight(course: number, making: Making = 'flat'): boolean {
  return runsForward(course, making);
}

/** Whether every course ends where it began. */
export function isRoundMaking(making: Making): boolean {
  return making === 'rounds' || making === 'turned-rounds';
}

/** Cells of one course. */
export function cellsIn(fabric: Fabric, course: number): number {
  return (fabric.starts[course + 1] as number) - (fabric.starts[course] as number);
}

/** The cells of one course, in column order, without copying. */
export function courseCells(fabric: Fabric, course: number): Cells {
  const from = fabric.starts[course] as number;
  const to = fabric.starts[course + 1] as number;
  return { kinds: fabric.kinds.subarray(from, to), colours: fabric.colours.subarray(from, to) };
}

/** Where the n-th cell worked in a course lies in the fabric (n from 0). */
export function cellWorked(fabric: Fabric, course: number, n: number): number {
  const start = fabric.starts[course] as number;
  return runsForward(course, fabric.making) ? start + n : (fabric.starts[course + 1] as number) - 1 - n;
}

const makes = Uint8Array.from(stitchKinds, (kind) => kind.makes);
const takes = Uint8Array.from(stitchKinds, (kind) => kind.takes);

/** Stitches that a course leaves for the next. */
export function stitchesMade(cells: Cells): number {
  let sum = 0;
  for (let x = 0; x < cells.kinds.length; x++) sum += makes[cells.kinds[x] as number] ?? 1;
  return sum;
}

/** Stitches that a course takes from the one below. */
export function stitchesTaken(cells: Cells): number {
  let sum = 0;
  for (let x = 0; x < cells.kinds.length; x++) sum += takes[cells.kinds[x] as number] ?? 1;
  return sum;
}

/** A fabric from its courses. */
export function assemble(making: Making, count: number, courses: readonly Cells[], colourCount: number): Fabric {
  const starts = new Uint32Array(courses.length + 1);
  let stitches = 0;
  courses.forEach((cells, course) => {
    starts[course + 1] = (starts[course] as number) + cells.kinds.length;
    stitches = Math.max(stitches, cells.kinds.length);
  });
  const size = starts[courses.length] as number;
  const kinds = new Uint8Array(size);
  const colours = new Uint8Array(size);
  courses.forEach((cells, course) => {
    kinds.set(cells.kinds, starts[course]);
    colours.set(cells.colours, starts[course]);
  });
  return { making, courses: courses.length, count, stitches, starts, kinds, colours, colourCount };
}

/** The colour letters of a pattern by their number. */
export function colourLetter(bound: BoundPattern, colour: number): string {
  return bound.colours[colour] ?? '?';
}

const counted = Uint8Array.from(stitchKinds, (kind) => kind.stitches);

/** How many stitches each colour has in the whole fabric: an increase is two, a cluster or a block three. */
export function stitchesByColour(fabric: Fabric): number[] {
  const counts = new Array<number>(fabric.colourCount).fill(0);
  const { kinds, colours } = fabric;
  for (let i = 0; i < kinds.length; i++) {
    const colour = colours[i] as number;
    counts[colour] = (counts[colour] ?? 0) + (counted[kinds[i] as number] as number);
  }
  return counts;
}

/** Courses of the flat circle at the bottom of a piece with straight sides; 0 where it has none. */
export function baseCourses(fabric: Fabric): number {
  if (fabric.courses === 0 || !isRoundMaking(fabric.making)) return 0;
  if (stitchKinds[fabric.kinds[0] as number]?.key.endsWith('@ring') !== true) return 0;
  for (let course = fabric.courses - 1; course > 0; course--) {
    if (stitchesMade(courseCells(fabric, course)) !== cellsIn(fabric, course)) return course + 1;
  }
  return 1;
}

/** The straight sides of a piece that stands on a circle; any other fabric as it is. */
export function sidesOf(fabric: Fabric): Fabric {
  const base = baseCourses(fabric);
  if (base === 0) return fabric;
  const from = fabric.starts[base] as number;
  return {
    ...fabric,
    courses: fabric.courses - base,
    stitches: fabric.count,
    starts: fabric.starts.slice(base).map((start) => start - from),
    kinds: fabric.kinds.subarray(from),
    colours: fabric.colours.subarray(from),
  };
}
