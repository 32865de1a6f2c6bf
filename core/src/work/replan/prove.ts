import { courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { type Facts, good, type Result, refused } from '../../craft/values/problem.ts';
import { thaw } from '../../plan/begun/frozen.ts';
import { checkStrands } from '../../plan/check/strands.ts';
import { CUT, type MoveList } from '../../plan/route/moves.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { shifted } from '../../plan/route/shifted.ts';
import type { FrozenWork } from '../../records/begun.ts';

function alike(a: Uint8Array, b: Uint8Array): boolean {
  return a.length === b.length && a.every((each, i) => each === b[i]);
}

/** How many courses from the first on are the same, stitch for stitch. Diagonals grow alike in pieces of any width. */
export function sameCourses(a: Fabric, b: Fabric): number {
  if (a.making !== b.making || (a.making !== 'diagonals' && a.count !== b.count)) return 0;
  const most = Math.min(a.courses, b.courses);
  for (let course = 0; course < most; course++) {
    const [one, other] = [courseCells(a, course), courseCells(b, course)];
    if (!alike(one.kinds, other.kinds) || !alike(one.colours, other.colours)) return course;
  }
  return most;
}

/** The moves that were made below a row; a cut counts as made here only with the joining that follows it. */
function made({ length, kind, colour, row, from, to }: MoveList, below: number): string[] {
  const found: string[] = [];
  for (let i = 0; i < length; i++) {
    if ((row[i] as number) >= below || (kind[i] === CUT && (to[i] as number) >= below)) continue;
    found.push([kind[i], colour[i], row[i], from[i], to[i]].join(' '));
  }
  return found.sort();
}

/**
 * Proves that a work can go on by another plan: what is worked stays stitch for stitch, no strand is moved otherwise
 * than it was, and every colour is where the hook wants it in all that is to come.
 * @param stays courses that are worked
 */
export function proveOnward(work: FrozenWork, next: FrozenWork, stays: number): Result<FrozenWork> {
  const broken = (path: string, what: string, facts: Facts = {}) =>
    refused({ code: 'onward-broken', path, facts: { ...facts, what } });
  const [old, now] = [thaw(work), thaw(next)];
  if (!old.ok) return old;
  if (!now.ok) return now;
  if (work.foundation !== next.foundation || work.pattern !== next.pattern) {
    return broken('begun', 'beginning');
  }
  const same = sameCourses(old.value.fabric, now.value.fabric);
  if (same < stays) {
    return broken(`row ${same + 1}`, 'row', { row: same + 1 });
  }
  const { strands, fabric } = now.value;
  const before = shifted(old.value.strands.moves, old.value.fabric, fabric);
  if (made(before, stays).join() !== made(strands.moves, stays).join()) {
    return broken('begun.moves', 'moves');
  }
  const proof = checkStrands(chartOf(now.value.fabric), { ...strands, totals: [], bobbins: [] });
  return proof.ok ? good(next) : proof;
}
