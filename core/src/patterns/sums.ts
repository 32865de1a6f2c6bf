import type { Problem } from '../problem.ts';
import type { BoundPattern } from './bind.ts';
import { evaluate } from './count.ts';
import { repeatedRows } from './rows.ts';

/**
 * Rows whose runs do not add up to the repeat: the unit of every row is as wide as the multiple, or goes into it, or
 * holds it a whole number of times. A wedge grows, so it has no sum.
 */
export function sumProblems(bound: BoundPattern): Problem[] {
  const { pattern, across, numbers } = bound;
  const { multiple } = across.works;
  if (pattern.technique === 'wedge-circle') {
    const colours = bound.colours.length;
    if (multiple % colours === 0) return [];
    return [
      {
        code: 'pattern-sum' as const,
        path: 'pattern.numbers',
        message: `${multiple} wedges do not divide among ${colours} colours.`,
        hint: `Take a multiple of ${colours}.`,
      },
    ];
  }
  return repeatedRows(pattern).flatMap((row, i) => {
    const sum = row.unit.reduce((total, run) => total + evaluate(run.count, { i: 1, j: 1, ...numbers }), 0);
    if (sum > 0 && (sum % multiple === 0 || multiple % sum === 0)) return [];
    return [
      {
        code: 'pattern-sum' as const,
        path: `row ${i + 1}`,
        message: `Row ${i + 1} of ${pattern.name} adds up to ${sum}, where the repeat has ${multiple}.`,
        hint: 'Count its runs again: one is too short or too long.',
      },
    ];
  });
}
