import { stitchWord, type Terms, type WorkedRun } from '@puntada/core';

/** The stitches of a run, short: `sc`, or `sc, dc` where two take turns. */
export function runStitches(run: WorkedRun, terms: Terms): string {
  return run.kinds.map((kind) => stitchWord(kind, terms)).join(', ');
}

/** A run, short: `4 sc B`. */
export function runLabel(run: WorkedRun, terms: Terms): string {
  const words = runStitches(run, terms);
  if (run.kinds.length > 1) return `${words} by turns, ${run.count} in ${run.colour}`;
  return run.kinds[0] === 'hdc-ch2' ? `${words} ${run.colour}` : `${run.count} ${words} ${run.colour}`;
}
