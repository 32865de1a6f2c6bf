import type { WorkSummary } from '../../records/answers.ts';

/** What leads to the row in hand, in the same words everywhere. @param word what a row of it is called */
export function goOnWords(
  { progress, size, state }: Pick<WorkSummary, 'progress' | 'size'> & Partial<Pick<WorkSummary, 'state'>>,
  word = 'row',
): string {
  // Behind the rows of a cloth stand its steps, and the other cloths of the project.
  if (size && progress.rows >= size.rows) return state === 'begun' ? 'Go on' : `Look at the last ${word}`;
  return `Go on at ${word} ${progress.rows + 1}`;
}
