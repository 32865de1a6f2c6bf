import { countedStitch, stitchWord, type Terms, type WorkedRun } from '@puntada/core';

/** The stitches of a run, short: `sc`, or `sc, dc` where two take turns. */
export function runStitches(run: WorkedRun, terms: Terms): string {
  return run.kinds.map((kind) => stitchWord(kind, terms)).join(', ');
}

const opening = /^(ch \d|edge ch|block on|block after)/;

/** A run, short: `4 sc B`. */
export function runLabel(run: WorkedRun, terms: Terms): string {
  const [first] = run.kinds;
  if (run.kinds.length > 1 || !first) return `${runStitches(run, terms)} by turns, ${run.count} in ${run.colour}`;
  const word = stitchWord(first, terms);
  return opening.test(word) ? `${word} ${run.colour}` : `${countedStitch(run.count, first, terms)} ${run.colour}`;
}
