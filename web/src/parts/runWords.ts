import type { WorkedRun } from '@puntada/core/plan';
import { runWords, stitchWord, type Terms } from '@puntada/core/words';

/** The stitches of a run, short: `sc`, or `sc, dc` where two take turns. */
export function runStitches(run: WorkedRun, terms: Terms): string {
  return run.kinds.map((kind) => stitchWord(kind, terms)).join(', ');
}

/** A run, short: `4 sc B`, `ch 3 (counts as the first dc) B`. */
export function runLabel(run: WorkedRun, terms: Terms): string {
  if (run.kinds.length > 1) return `${runStitches(run, terms)} by turns, ${run.count} in ${run.colour}`;
  return runWords(run, terms);
}
