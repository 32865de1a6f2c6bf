import type { Problem } from '../../craft/values/problem.ts';
import { problemWords } from './problems.ts';

/** A plan that a changed swatch could not move. */
export function planLeft(problem: Problem | undefined): string {
  return `stayed as it was: ${problem ? problemWords(problem).message : ''}`;
}

/** A plan whose printed figures a changed swatch leaves alone. */
export const planUnchanged = 'shows the same figures as before';

/** A plan that a changed swatch moved. @param was nothing where it had no plan */
export function planMoved(was: string | undefined, now: string): string {
  return `was ${was ?? 'without a size'} and is now ${now}`;
}

/** What a project says after its swatch was changed. */
export function swatchNotice(swatch: string, change: string): string {
  return `You changed the swatch “${swatch}”. This plan ${change}.`;
}

/** What a project of a set says after another of it was changed. */
export function setNotice(title: string): string {
  return `You changed “${title}”. This one of the same set was changed along with it.`;
}

/** Where a project that is handed over has got to. */
export function standingWords(
  title: string,
  { piece, pieces, rows, of, runs }: Record<'piece' | 'pieces' | 'rows' | 'of' | 'runs', number>,
): string {
  const more = runs ? `, and ${runs} ${runs === 1 ? 'run' : 'runs'} of row ${rows + 1}` : '';
  const which = pieces > 1 ? `piece ${piece} of ${pieces}, ` : '';
  return `${title}: ${which}${rows} of ${of} rows are done${more}.`;
}

/** A project that is handed over before its first row. */
export function notStarted(title: string): string {
  return `${title} is not started.`;
}

/** What a document without a name is called. */
export const nameless = 'without a name';
