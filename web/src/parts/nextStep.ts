import { chainsFor } from '@puntada/core/craft';
import { type WorkedCourse, workCourse } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { courseWord, nextStepWords, runLabel, type Terms } from '@puntada/core/words';
import type { WorkCloth } from './workCloth.ts';

/** What is to be done next in a work, in one line. */
export function nextStep(work: Work, cloth: WorkCloth, terms: Terms): string {
  const { fabric, bound, foundation } = cloth;
  if (work.state === 'wished') {
    return work.wish.choice ? nextStepWords.start(chainsFor(foundation, fabric.count)) : nextStepWords.chooseSize;
  }
  const { rows } = work.progress;
  if (rows >= fabric.courses) return work.state === 'finished' ? nextStepWords.finished : nextStepWords.weaveIn;
  const course = workCourse(fabric, bound, foundation, rows);
  return `${courseWord(fabric.making)} ${course.number}, ${course.side}: ${runsLine(course, terms)}`;
}

const shown = 3;

function runsLine(course: WorkedCourse, terms: Terms): string {
  const words = course.runs.slice(0, shown).map((run) => runLabel(run, terms));
  return course.runs.length > shown ? `${words.join(', ')} …` : words.join(', ');
}
