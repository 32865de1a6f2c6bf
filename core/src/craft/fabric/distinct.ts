import { type Cells, courseCells, type Fabric } from './fabric.ts';

function hashOf({ kinds, colours }: Cells): number {
  let hash = kinds.length;
  for (let x = 0; x < kinds.length; x++) {
    hash = (Math.imul(hash, 31) + (((kinds[x] as number) << 4) | (colours[x] as number))) | 0;
  }
  return hash;
}

function same(a: Cells, b: Cells): boolean {
  if (a.kinds.length !== b.kinds.length) return false;
  for (let x = 0; x < a.kinds.length; x++) {
    if (a.kinds[x] !== b.kinds[x] || a.colours[x] !== b.colours[x]) return false;
  }
  return true;
}

/** Courses that are cell for cell alike. */
export interface DistinctCourses {
  /** For each course, which of `first` it is like. */
  readonly of: Uint32Array;
  /** The first course of each kind. */
  readonly first: readonly number[];
}

/** Finds the courses of a fabric that are alike, so that each needs to be looked at once. Linear in cells. */
export function distinctCourses(fabric: Fabric): DistinctCourses {
  const of = new Uint32Array(fabric.courses);
  const first: number[] = [];
  const byHash = new Map<number, number[]>();
  for (let course = 0; course < fabric.courses; course++) {
    const cells = courseCells(fabric, course);
    const hash = hashOf(cells);
    const candidates = byHash.get(hash) ?? [];
    byHash.set(hash, candidates);
    const known = candidates.find((id) => same(courseCells(fabric, first[id] as number), cells));
    if (known === undefined) {
      of[course] = first.length;
      candidates.push(first.length);
      first.push(course);
    } else of[course] = known;
  }
  return { of, first };
}
