import { chainsFor } from '@puntada/core/craft';
import { type Sequence, standingAt, type WorkedCourse, workCourse } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { clothOf, courseWord, nextStepWords, runLabel, stepName, type Terms } from '@puntada/core/words';
import { clothOfPiece, type WorkCloth } from './workCloth.ts';

/** What is to be done next in a work, in one line. */
export function nextStep(work: Work, cloth: WorkCloth, terms: Terms, sequence: Sequence | undefined): string {
  const { rows } = work.progress;
  const stands = sequence && standingAt(sequence, rows);
  const { fabric, bound, foundation } = clothOfPiece(cloth, stands?.piece ?? 0);
  if (work.state === 'wished') {
    return work.wish.choice ? nextStepWords.start(chainsFor(foundation, fabric.count)) : nextStepWords.chooseSize;
  }
  if (work.state === 'finished') return nextStepWords.finished;
  const which = sequence && stands ? clothOf(sequence, stands, work.wish.item) : '';
  const before = which ? `${which}: ` : '';
  if (stands?.unit?.kind === 'step') return before + stepName(stands.unit.step);
  const row = stands ? stands.rows : rows;
  if (row >= fabric.courses) return nextStepWords.allDone;
  const course = workCourse(fabric, bound, foundation, row);
  return `${before}${courseWord(fabric.making)} ${course.number}, ${course.side}: ${runsLine(course, terms)}`;
}

const shown = 3;

function runsLine(course: WorkedCourse, terms: Terms): string {
  const words = course.runs.slice(0, shown).map((run) => runLabel(run, terms));
  return course.runs.length > shown ? `${words.join(', ')} …` : words.join(', ');
}
