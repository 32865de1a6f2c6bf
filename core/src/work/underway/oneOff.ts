import { cellsIn, type Fabric, facesRight, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import type { Told } from '../../craft/values/problem.ts';

/** One thing that a count which is wrong by a few may mean: its words tell where to look, and what then. */
export type LikelyCause = Told;

/**
 * What a count that is off at the end of a row may mean, the likeliest first. docs/craft.md, “Slips and cures”.
 * @param number of the row, from 1 @param off stitches too many, or too few where it is under 0
 */
export function oneOff(fabric: Fabric, bound: BoundPattern, number: number, off: number): LikelyCause[] {
  const course = number - 1;
  const count = cellsIn(fabric, course);
  const start = fabric.starts[course] as number;
  const first = stitchKind(fabric.kinds[start] as number);
  const round = isRoundMaking(fabric.making);
  const changes = changesIn(fabric, course);
  const causes: LikelyCause[] = [];
  const turning = first.opens;
  if (off < 0) {
    if (turning || !round) {
      causes.push({ code: turning ? 'left-out-turning' : 'left-out-last', facts: { round } });
    }
    if (changes > 0) {
      causes.push({ code: 'passed-over-at-change', facts: { changes } });
    }
    causes.push({ code: 'passed-over-in-run', facts: { changes } });
  } else {
    causes.push({ code: turning ? 'beside-turning' : 'into-turning' });
    causes.push({ code: 'two-in-one', facts: { changes } });
  }
  if (Math.abs(off) > 1) {
    causes.unshift({ code: 'whole-run', facts: { off: Math.abs(off), count } });
  }
  if (!facesRight(course, fabric.making)) {
    causes.push({ code: 'wrong-side' });
  }
  const { length } = bound.colours;
  if (length > 2) {
    causes.push({ code: 'other-colour' });
  }
  return causes;
}

function changesIn(fabric: Fabric, course: number): number {
  let changes = 0;
  for (let i = (fabric.starts[course] as number) + 1; i < (fabric.starts[course + 1] as number); i++) {
    if (fabric.colours[i] !== fabric.colours[i - 1]) changes++;
  }
  return changes;
}
