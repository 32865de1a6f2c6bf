import type { Fabric } from '../../craft/fabric/fabric.ts';
import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { Problem } from '../../craft/values/problem.ts';
import { thaw } from '../../plan/begun/frozen.ts';
import { workCourse } from '../../plan/steps/course.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { KeptWork } from '../../records/keptWork.ts';
import type { Position } from '../progress/progress.ts';

/** No row has more runs than this. */
const longestRun = 20_000;

/** How many runs each row of a fabric has. */
export function runsOfRows(fabric: Fabric, bound: BoundPattern, foundation: Foundation): number[] {
  return Array.from(
    { length: fabric.courses },
    (_, course) => workCourse(fabric, bound, foundation, course).runs.length,
  );
}

/** Whether a place of the counter is none of a piece. @param runs of each of its rows */
export function isOutside({ rows, runs: done }: Position, runs: readonly number[]): boolean {
  if (rows === runs.length) return done !== 0;
  return rows > runs.length || done >= (runs[rows] ?? 0);
}

/** Rows that a plan before this one may have had more. */
function mostRows({ former }: KeptWork, runs: readonly number[]): number {
  return Math.max(runs.length, ...former.map(({ begun }) => begun.courses.length));
}

function unlike(ids: readonly string[]): boolean {
  return new Set(ids).size === ids.length;
}

function runsOf(begun: FrozenWork): { runs: number[] } | { problems: readonly Problem[] } {
  const cloth = thaw(begun);
  if (!cloth.ok) return { problems: cloth.problems };
  return { runs: runsOfRows(cloth.value.fabric, cloth.value.bound, cloth.value.foundation) };
}

/**
 * What the craft says against a work that comes from a file: a cloth that does not hold together, steps and entries
 * outside it, rows of what was never begun, two parts with one id. Nothing where it is whole.
 */
export function brokenIn(work: KeptWork): readonly Problem[] {
  const { title } = work.wish;
  const problem = (code: string, path: string, facts = {}): Problem[] => [{ code, path, facts: { title, ...facts } }];
  if (!unlike(work.ticks.map(({ id }) => id)) || !unlike(work.log.map(({ id }) => id))) {
    return problem('kept-twice', 'ticks');
  }
  if (!work.begun) return work.ticks.length ? problem('kept-not-begun', 'ticks') : [];
  const now = runsOf(work.begun);
  if ('problems' in now) return now.problems;
  for (const { begun } of work.former) {
    const then = runsOf(begun);
    if ('problems' in then) return then.problems;
  }
  // A step is of the plan it was made by; where there were several, it lies in none of them beyond the longest.
  const most = mostRows(work, now.runs);
  const away = ({ rows, runs }: Position) =>
    work.former.length ? rows > most || runs > longestRun : isOutside({ rows, runs }, now.runs);
  if (work.ticks.some(({ from, to }) => away(from) || away(to)))
    return problem('kept-outside', 'ticks', { what: 'step' });
  const rowOf = (entry: KeptWork['log'][number]) =>
    'row' in entry ? entry.row : 'position' in entry ? entry.position.rows : 0;
  return work.log.some((entry) => rowOf(entry) > most) ? problem('kept-outside', 'log', { what: 'entry' }) : [];
}
