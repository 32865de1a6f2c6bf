import type { Manner } from '../terms/terms.ts';
import { rowBody, type WrittenRow } from './rows.ts';

/** One row as it may be grouped: the line that is printed, and what it says without its number. */
export interface GroupedRow {
  readonly line: string;
  /** What the row says and what is done with its yarns: rows are alike only if both are. */
  readonly body: string;
}

/** Everything that a row says, to the last word: rows are alike only if all of it is. */
export function alikeBody(row: WrittenRow, manner?: Manner): string {
  return [rowBody(row, manner), row.change, row.end, ...row.strands].join('\n');
}

/** How many rows from here repeat those `period` rows back. */
function repeated(bodies: readonly string[], from: number, period: number): number {
  let n = 0;
  while (from + n < bodies.length && bodies[from + n] === bodies[from + n - period]) n++;
  return n;
}

const longestPeriod = 60;

/**
 * Printed rows with those that come again told once: `Rows 5–18: as rows 3–4.` A group is told where it saves rows.
 * @param rows every row, numbered from 1 @param word what a course is called
 */
export function groupRows(rows: readonly GroupedRow[], word: string): string[] {
  const bodies = rows.map(({ body }) => body);
  const grouped: string[] = [];
  for (let i = 0; i < rows.length; ) {
    let best = { period: 0, length: 0 };
    for (let period = 1; period <= Math.min(i, longestPeriod); period++) {
      const length = repeated(bodies, i, period);
      if (length > best.length) best = { period, length };
    }
    if (best.length < 1) {
      grouped.push((rows[i++] as GroupedRow).line);
      continue;
    }
    const { period, length } = best;
    const told = Math.min(i, i - period + length);
    const source = period === 1 ? `${word.toLowerCase()} ${i}` : `${word.toLowerCase()}s ${i + 1 - period}–${told}`;
    grouped.push(
      length === 1
        ? `${word} ${i + 1}: as ${word.toLowerCase()} ${i + 1 - period}.`
        : `${word}s ${i + 1}–${i + length}: as ${source}.`,
    );
    i += length;
  }
  return grouped;
}
