import type { BoundPattern } from '../patterns/bound.ts';
import { evaluate } from '../patterns/count.ts';
import type { Run } from '../patterns/model.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { techniqueNamed } from '../techniques/register.ts';
import type { Problem } from '../values/problem.ts';

function widthOf(runs: readonly Run[], bound: BoundPattern): number {
  return runs.reduce((sum, run) => sum + evaluate(run.count, { i: 1, j: 1, ...bound.numbers }), 0);
}

function wedgeProblems(bound: BoundPattern): Problem[] {
  const ring = bound.pattern.rows.find(({ role }) => role === 'setup');
  // As many as repeat, where colours come more than once.
  const colours = Math.max(bound.colours.length, ring?.unit.length ?? 0);
  const wedges = bound.across.works.multiple;
  if (wedges % colours === 0) return [];
  return [
    {
      code: 'wedges-not-divided',
      path: 'pattern.numbers',
      facts: { wedges, colours },
    },
  ];
}

/**
 * Rows whose runs do not add up: the repeat of every row is as wide as the multiple, or goes into it, or holds it a
 * whole number of times. The row below is named where it does.
 */
export function sumProblems(bound: BoundPattern): Problem[] {
  const { pattern, across } = bound;
  if (techniqueNamed(pattern.technique)?.circle) return wedgeProblems(bound);
  const { multiple } = across.works;
  const fits = (sum: number) => sum > 0 && (sum % multiple === 0 || multiple % sum === 0);
  const sums = repeatedRows(pattern).map((row) => widthOf(row.unit, bound));
  return sums.flatMap((sum, i) => {
    if (fits(sum)) return [];
    const below = sums[i - 1];
    const left = below !== undefined && fits(below) ? below : undefined;
    return [
      {
        code: 'row-sum',
        path: `row ${i + 1}`,
        facts: { row: i + 1, pattern: pattern.name, sum, multiple, left },
      },
    ];
  });
}
