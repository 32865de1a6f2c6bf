import type { Problem } from '../values/problem.ts';
import type { BoundPattern } from './bind.ts';
import { evaluate } from './count.ts';
import type { Run } from './model.ts';
import { repeatedRows } from './rows.ts';

function widthOf(runs: readonly Run[], bound: BoundPattern): number {
  return runs.reduce((sum, run) => sum + evaluate(run.count, { i: 1, j: 1, ...bound.numbers }), 0);
}

function wedgeProblems(bound: BoundPattern): Problem[] {
  const colours = bound.colours.length;
  const wedges = bound.across.works.multiple;
  if (wedges % colours === 0) return [];
  return [
    {
      code: 'pattern-sum',
      path: 'pattern.numbers',
      message: `${wedges} wedges do not divide among ${colours} colours.`,
      hint: `Take a multiple of ${colours}.`,
    },
  ];
}

/**
 * Rows whose runs do not add up: the repeat of every row is as wide as the multiple, or goes into it, or holds it a
 * whole number of times. The row below is named where it does.
 */
export function sumProblems(bound: BoundPattern): Problem[] {
  const { pattern, across } = bound;
  if (pattern.technique === 'wedge-circle') return wedgeProblems(bound);
  const { multiple } = across.works;
  const fits = (sum: number) => sum > 0 && (sum % multiple === 0 || multiple % sum === 0);
  const sums = repeatedRows(pattern).map((row) => widthOf(row.unit, bound));
  return sums.flatMap((sum, i) => {
    if (fits(sum)) return [];
    const below = sums[i - 1];
    const left = below !== undefined && fits(below) ? below : undefined;
    return [
      {
        code: 'pattern-sum' as const,
        path: `row ${i + 1}`,
        message:
          left === undefined
            ? `Row ${i + 1} of ${pattern.name} adds up to ${sum}, where the repeat has ${multiple}.`
            : `Row ${i + 1} makes ${sum} stitches where row ${i} left ${left}.`,
        hint: 'Count its runs again: one is too short or too long.',
      },
    ];
  });
}
