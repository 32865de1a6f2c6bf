import type { WorkSummary } from '../../records/answers.ts';

/** What leads to the row in hand, in the same words everywhere. @param word what a row of it is called */
export function goOnWords({ progress, size }: Pick<WorkSummary, 'progress' | 'size'>, word = 'row'): string {
  if (size && progress.rows >= size.rows) return `Look at the last ${word}`;
  return `Go on at ${word} ${progress.rows + 1}`;
}
