import { oneStitch, stitchWord, type Terms, type WorkedRun } from '@puntada/core';

/** The change is announced on the stitch that finishes in the new colour. */
export function closeWords(run: WorkedRun, terms: Terms): string {
  if (run.changeTo) {
    return run.count === 1 ? `close it in ${run.changeTo}` : `close the ${ordinal(run.count)} in ${run.changeTo}`;
  }
  return run.kinds.length > 1
    ? `the last one is ${oneStitch(run.kinds[(run.count - 1) % run.kinds.length] ?? 'sc', terms)}`
    : 'no change';
}

function ordinal(n: number): string {
  const teen = n % 100 >= 11 && n % 100 <= 13;
  const end = teen ? 'th' : ({ 1: 'st', 2: 'nd', 3: 'rd' }[n % 10] ?? 'th');
  return `${n}${end}`;
}

/** A run as it is said: whole words, and the change while there is still time for it. */
export function spokenRun(run: WorkedRun, terms: Terms): string {
  const stitches = run.kinds.map((kind) => stitchWord(kind, terms, 'whole')).join(' and ');
  const turns = run.kinds.length > 1 ? ' by turns' : '';
  return `${run.count} ${stitches}${turns} in ${run.colour}${run.changeTo ? `, ${closeWords(run, terms)}` : ''}`;
}
