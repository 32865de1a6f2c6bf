import { techniqueOf } from '@puntada/core/craft';
import type { Ending, WorkedCourse } from '@puntada/core/plan';
import { rowAdvice, type Terms } from '@puntada/core/words';
import type { Rows } from '@puntada/core/work';

/**
 * What to mind at one run of a row: where markers go and what comes to an end, at its beginning; what to look over, at
 * its last run. @param run from 0
 */
export function hintsAt(
  { fabric, bound, foundation, ending }: Rows & { readonly ending: Ending },
  course: WorkedCourse,
  run: number,
  terms: Terms,
): string[] {
  const technique = techniqueOf(bound.pattern);
  if (!technique.ok) return [];
  const { markers, ahead, lookOver } = rowAdvice(
    { fabric, bound, foundation, ending, technique: technique.value, terms },
    course.number,
  );
  return [...(run === 0 ? [...markers, ...ahead] : []), ...(run === course.runs.length - 1 ? [lookOver] : [])];
}
