import type { WorkedCourse } from '../../plan/steps/course.ts';

/** When the maker wants to be told to tug the idle yarn: schools differ. */
export const tugs = ['never', 'change', 'row', 'loosely'] as const;
export type Tug = (typeof tugs)[number];

/**
 * To tug the idle strand, when the maker's school wants it: gently, so that no loop hangs out and nothing puckers.
 * @param run the run in hand, from 0 @param idle whether a colour hangs idle
 */
export function tugWords(tug: Tug, course: WorkedCourse, run: number, idle: boolean, word = 'row'): string | undefined {
  const own = course.runs[run];
  if (!own || tug === 'never') return undefined;
  if (tug === 'change') return own.changeTo ? `After the change tug ${own.colour} gently` : undefined;
  if (tug === 'loosely') return own.changeTo ? `Lay ${own.colour} in loosely; do not pull it` : undefined;
  const last = run === course.runs.length - 1;
  return last && idle ? `At the end of the ${word} tug the idle yarn gently` : undefined;
}
