import { chainsFor } from '@puntada/core/craft';
import { type WorkedCourse, workCourse } from '@puntada/core/plan';
import { courseWord, runLabel, type Terms } from '@puntada/core/words';
import type { Work } from '../api/api.ts';
import type { WorkCloth } from './workCloth.ts';

/** What is to be done next in a work, in one line. */
export function nextStep(work: Work, cloth: WorkCloth, terms: Terms): string {
  const { fabric, bound, foundation } = cloth;
  if (work.state === 'wished') {
    return work.wish.choice ? beginWords(chainsFor(foundation, fabric.count)) : 'Choose a size.';
  }
  const { rows } = work.progress;
  if (rows >= fabric.courses) return work.state === 'finished' ? 'Finished.' : 'All rows done: weave in the ends.';
  const course = workCourse(fabric, bound, foundation, rows);
  return `${courseWord(fabric.making)} ${course.number}, ${course.side}: ${runsLine(course, terms)}`;
}

function beginWords(chains: number): string {
  return chains ? `Start with ${chains} chains.` : 'Start with a magic ring.';
}

const shown = 3;

function runsLine(course: WorkedCourse, terms: Terms): string {
  const words = course.runs.slice(0, shown).map((run) => runLabel(run, terms));
  return course.runs.length > shown ? `${words.join(', ')} …` : words.join(', ');
}
