import type { WorkedRun } from '../../plan/steps/course.ts';
import { runWords } from '../rows/rows.ts';
import type { Terms } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';

/** The stitches of a run, short: `sc`, or `sc, dc` where two take turns. */
export function runStitches(run: WorkedRun, terms: Terms): string {
  return run.kinds.map((kind) => stitchWord(kind, terms)).join(', ');
}

/** A run, short: `4 sc B`, `ch 3 (counts as the first dc) B`. */
export function runLabel(run: WorkedRun, terms: Terms): string {
  if (run.kinds.length > 1) return `${runStitches(run, terms)} by turns, ${run.count} in ${run.colour}`;
  return runWords(run, { terms });
}
