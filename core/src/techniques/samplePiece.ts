import { checkFabric } from '../check/fabric.ts';
import { chainsFor, type Foundation, findFoundation } from '../fit/foundation.ts';
import { coursesFor } from '../lay/courses.ts';
import { courseCells, type Fabric } from '../lay/fabric.ts';
import { lay } from '../lay/lay.ts';
import { bindPattern, type PatternChoice } from '../patterns/bind.ts';
import { findPattern } from '../patterns/book.ts';
import { must } from '../problem.ts';
import { costsFor, type Policy } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route, totalsByColour } from '../route/route.ts';
import { type StitchKey, stitchKind } from '../stitches/kinds.ts';
import { techniqueOf } from './register.ts';

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
