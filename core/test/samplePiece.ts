import { findPattern } from '../src/craft/book/book.ts';
import { courseCells, type Fabric } from '../src/craft/fabric/fabric.ts';
import { chainsFor, type Foundation, findFoundation } from '../src/craft/foundation/foundation.ts';
import { bindPattern, type PatternChoice } from '../src/craft/notation/bind.ts';
import { type StitchKey, stitchKind } from '../src/craft/stitches/kinds.ts';
import { coursesFor } from '../src/craft/technique/courses.ts';
import type { Policy } from '../src/craft/technique/policy.ts';
import { techniqueOf } from '../src/craft/techniques/register.ts';
import { must } from '../src/craft/values/problem.ts';
import { checkFabric } from '../src/plan/check/fabric.ts';
import { lay } from '../src/plan/lay/lay.ts';
import { costsFor } from '../src/plan/route/costs.ts';
import { chartOf } from '../src/plan/route/ofFabric.ts';
import { route, totalsByColour } from '../src/plan/route/route.ts';

/** The foundation of a key that is known to exist. */
export function way(key: string): Foundation {
  return findFoundation(key) as Foundation;
}

/** A pattern of the book in one size, proved, as the tests look at it. */
export function piece(key: string, stitches: number, rows: number, wayKey?: string, choice: PatternChoice = {}) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern, choice));
  const technique = must(techniqueOf(pattern));
  const foundation = way(wayKey ?? (technique.foundations(bound)[0] as string));
  const courses = coursesFor({ technique, foundation }, stitches, rows);
  const fabric = lay({ bound, foundation, edges: 'whole', stitches, courses });
  must(checkFabric(fabric, { bound, technique, foundation }));
  const inRow = technique.width.stitches(stitches, foundation);
  return { fabric, bound, technique, foundation, chains: chainsFor(foundation, stitches), inRow };
}

/** What each colour's strand comes to under a policy. */
export function totals(fabric: Fabric, policy: Policy) {
  const costs = costsFor(policy, false, { stitchWidth: 5, rowHeight: 5 });
  const strands = route(chartOf(fabric), costs, policy === 'carry-always' ? policy : 'least-cost');
  return totalsByColour(strands, fabric.colourCount);
}

/** The kinds of a course in column order. */
export function kindsOf(fabric: Fabric, course: number): StitchKey[] {
  return Array.from(courseCells(fabric, course).kinds, (code) => stitchKind(code).key);
}

/** How many cells of one kind a course has. */
export function countOf(fabric: Fabric, course: number, key: StitchKey): number {
  return kindsOf(fabric, course).filter((each) => each === key).length;
}
