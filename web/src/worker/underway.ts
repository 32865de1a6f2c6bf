import type { Belief, Estimate, Result } from '@puntada/core/craft';
import { handBelief, prepareWork, type Sequence, secondsBy, unknownPace } from '@puntada/core/plan';
import {
  type LogEntry,
  type LogSteps,
  marksIn,
  ticksInLog,
  type Weighing,
  type Work,
  weighingsIn,
} from '@puntada/core/records';
import {
  colourQuestions,
  costsOfProject,
  handworkOfRows,
  type ItemStand,
  itemsAt,
  type Lasting,
  type LogTimes,
  lasting,
  logTimes,
  type ProjectCosts,
  paceOfSessions,
  type RestPlan,
  restPlans,
  sessionsOfWork,
} from '@puntada/core/work';
import { workCloth } from '../parts/workCloth.ts';

/** What the page of a set tells of one of its projects. */
export interface SetPart {
  readonly sequence: Sequence;
  readonly items: readonly ItemStand[];
  /** Seconds that it still takes. */
  readonly left: Estimate;
  /** m of each colour, row by row and step by step. */
  readonly metres: readonly (readonly number[])[];
  /** What is known of the hand before anything was weighed. */
  readonly belief: Belief;
}

/** The same for a work as long as another, or another revision of it, is not asked for. */
function ofLast<T>(count: (work: Work) => T): (work: Work) => T {
  let last: { readonly key: string; readonly found: T } | undefined;
  return (work) => {
    const key = `${work.id} ${work.revision}`;
    if (last?.key !== key) last = { key, found: count(work) };
    return last.found;
  };
}

const clothOfWork = ofLast(workCloth);

/** What a work holds, course by course and off the hook; nothing where it cannot be laid. */
export const workCosts = ofLast((work: Work): ProjectCosts | undefined => {
  const cloth = clothOfWork(work);
  const prepared = prepareWork(work);
  return cloth && prepared.ok ? costsOfProject(prepared.value, cloth) : undefined;
});

/** Whether the yarn of a begun work lasts, and on what; nothing where it is not known what there is. */
export function lastingOf(
  work: Work,
  weighings: readonly Weighing[],
): { lasting: Lasting[]; sequence: Sequence } | undefined {
  const costs = work.begun ? workCosts(work) : undefined;
  const prepared = prepareWork(work);
  if (!costs || !prepared.ok) return undefined;
  const { sequence } = costs;
  return { lasting: lasting(colourQuestions(prepared.value, costs, weighings), work.progress), sequence };
}

/** How far each item of a work is, what it still takes, and what of each yarn; nothing where it cannot be laid. */
export function setPart(work: Work): SetPart | undefined {
  const costs = workCosts(work);
  const prepared = prepareWork(work);
  if (!costs || !prepared.ok) return undefined;
  return {
    sequence: costs.sequence,
    items: itemsAt(costs.sequence, work.progress),
    left: secondsBy(work.wish.pace ?? unknownPace, handworkOfRows(costs, work.progress, 0)),
    metres: costs.metres,
    belief: handBelief(prepared.value),
  };
}

/** When a work was worked; nothing where it cannot be laid. */
export function timesOfWork(work: Work, entries: readonly LogEntry[], steps: LogSteps): LogTimes | undefined {
  const cloth = clothOfWork(work);
  const costs = workCosts(work);
  return cloth && costs && logTimes(cloth, costs, ticksInLog(steps), marksIn(entries), work.wish.pace);
}

/** Every way for the rest of a work from the cloth in hand on; none where no rows are to come. */
export function onward(work: Work, entries: readonly LogEntry[], steps: LogSteps): Result<RestPlan[]> {
  const cloth = clothOfWork(work);
  const costs = workCosts(work);
  if (!work.begun || !cloth || !costs) return { ok: true, value: [] };
  const pace = paceOfSessions(sessionsOfWork(cloth, costs, ticksInLog(steps), marksIn(entries)), work.wish.pace);
  const measures = entries.filter((entry) => entry.kind === 'measure');
  const weighings = weighingsIn(entries);
  const { wish, progress } = work;
  return restPlans({ wish, cloth, stands: progress, weighings, measures, pace });
}
