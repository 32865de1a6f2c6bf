import type { WorkedCourse, WorkedRun } from '../../plan/steps/course.ts';
import { ordinal } from '../en/lists.ts';
import { changeOfRun, closingWords } from '../rows/rows.ts';
import type { Terms } from '../terms/termed.ts';
import { oneStitch, openingWords, stitchWord } from '../terms/terms.ts';
import { runStitches } from './runLabel.ts';

/** Where the colour comes in, announced on the stitch that finishes in the new one, or at the join or chain that brings it. */
export function closeWords(course: WorkedCourse, run: WorkedRun, terms: Terms): string {
  const { changeTo, changeAt, count } = run;
  if (isFleck(run)) return 'draw up in this colour, close in A';
  if (changeTo && changeAt === 'stitch' && !run.opening) {
    return count === 1 ? `close it in ${changeTo}` : `close the ${ordinal(count)} in ${changeTo}`;
  }
  if (changeTo) return changeOfRun(course, run, { terms }) ?? 'no change';
  return run.kinds.length > 1
    ? `the last one is ${oneStitch(run.kinds[(count - 1) % run.kinds.length] ?? 'sc', terms)}`
    : 'no change';
}

function isFleck({ kinds }: WorkedRun): boolean {
  return kinds.length === 1 && kinds[0] === 'fleck';
}

/** What the stitches of a run are: a counted chain with what it counts as, chains with what they pass over. */
export function kindWords(run: WorkedRun, terms: Terms): string {
  const [first] = run.kinds;
  if (run.opening && first) return openingWords(first, { terms }, run.opening);
  if (run.kinds.length > 1) return `${runStitches(run, terms)} by turns`;
  if (first === 'ch') {
    const what = run.skips === 'chain' ? 'chain' : 'stitch';
    return `ch, skip ${run.count} ${run.count === 1 ? what : what === 'chain' ? 'chains' : 'stitches'}`;
  }
  return runStitches(run, terms);
}

/** A run as it is said: whole words, and the change while there is still time for it. */
export function spokenRun(course: WorkedCourse, run: WorkedRun, terms: Terms): string {
  const [first] = run.kinds;
  const wording = { terms, style: 'whole' } as const;
  const stitches =
    run.opening && first
      ? openingWords(first, wording, run.opening)
      : `${run.count} ${run.kinds.map((kind) => stitchWord(kind, terms, 'whole')).join(' and ')}`;
  const turns = run.kinds.length > 1 ? ' by turns' : '';
  const change = run.changeTo || isFleck(run) ? `, ${spokenChange(course, run, terms)}` : '';
  const close = run === course.runs.at(-1) ? closingWords(course.close, wording) : '';
  return `${stitches}${turns} in ${run.colour}${change}${close ? `; then ${close}` : ''}`;
}

function spokenChange(course: WorkedCourse, run: WorkedRun, terms: Terms): string {
  if (run.changeAt === 'stitch' || isFleck(run)) return closeWords(course, run, terms);
  return changeOfRun(course, run, { terms, style: 'whole' }) ?? '';
}
