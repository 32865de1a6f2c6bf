import { evaluate } from '../patterns/count.ts';
import type { StitchPattern } from '../patterns/model.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';
import { bindPattern } from './bind.ts';
import { type LikelySlip, likelySlips } from './slips.ts';
import { sumProblems } from './sums.ts';

/** What a maker's own pattern is told before it is planned: what cannot be, and what looks like a slip. */
export function reviewPattern(pattern: StitchPattern): Result<LikelySlip[]> {
  const bound = bindPattern(pattern);
  if (!bound.ok) return bound;
  const problems: Problem[] = sumProblems(bound.value);
  if (problems.length) return refused(...problems);
  const rows = repeatedRows(pattern).map((row) =>
    [...row.start, ...row.unit, ...row.end].map((run) => ({
      count: evaluate(run.count, { i: 1, j: 1, ...bound.value.numbers }),
      colour: run.colour ?? row.colour ?? run.stitch ?? 'A',
    })),
  );
  return good(likelySlips(rows));
}
