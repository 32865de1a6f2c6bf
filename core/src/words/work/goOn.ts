import type { WorkSummary } from '../../records/answers.ts';

/** What leads to the row in hand, in the same words everywhere. @param word what a row of it is called */
export function goOnWords(
  {
    progress,
    size,
    state,
    fromChain,
  }: Pick<WorkSummary, 'progress' | 'size'> & Partial<Pick<WorkSummary, 'state' | 'fromChain'>>,
  word = 'row',
): string {
  // Before the rows of the first cloth stands its chain; behind them its steps, and the other cloths of the project.
  const rows = Math.max(0, progress.rows - (fromChain ? 1 : 0));
  if (size && rows >= size.rows) return state === 'begun' ? 'Go on' : `Look at the last ${word}`;
  return `Go on at ${word} ${rows + 1}`;
}
