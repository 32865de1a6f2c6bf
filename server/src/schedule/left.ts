import {
  type CourseCosts,
  costsByCourse,
  type OwnPace,
  paceOf,
  planWish,
  prepare,
  type Session,
  secondsLeft,
  sessionsOf,
  type ThawedWork,
  techniqueOf,
  thaw,
  type Wish,
  workCourse,
  yarnFigures,
} from '@puntada/core';
import type { Db } from '../db/database.ts';
import { ticksOf } from '../progress/queries.ts';
import { findWork, type WorkDetail, type WorkSummary } from '../works/queries.ts';

/** What a begun work holds, course by course. */
interface Known {
  readonly cloth: ThawedWork;
  readonly costs: CourseCosts;
}

function knownOf(wish: Wish, work: WorkDetail): Known | undefined {
  const thawed = work.begun ? thaw(work.begun) : undefined;
  const prepared = prepare(wish);
  if (!thawed?.ok || !prepared.ok) return undefined;
  const cloth = thawed.value;
  const technique = techniqueOf(cloth.bound.pattern);
  if (!technique.ok) return undefined;
  const { gauge, yarns } = prepared.value;
  const { fabric, strands, foundation } = cloth;
  const costs = costsByCourse({
    fabric,
    strands,
    foundation,
    technique: technique.value,
    stitchWidth: gauge.stitchWidth.mid,
    rowHeight: gauge.rowHeight.mid,
    diameters: yarns.map((yarn) => yarnFigures(yarn).diameter),
  });
  return { cloth, costs };
}

/** A work that waits to be finished, with the time it still takes in this maker's own pace. */
export interface TimeLeft {
  readonly id: string;
  readonly left: ReturnType<typeof secondsLeft>;
  readonly rows: number;
}

/**
 * The time each work still takes. What a begun work takes goes by its own sessions, a wish by those of all works.
 * What each course holds is counted once for each plan of a work.
 */
export function timesLeft() {
  const known = new Map<string, Known | undefined>();

  async function begun(db: Db, summary: WorkSummary): Promise<(Known & { sessions: Session[] }) | undefined> {
    const key = `${summary.id} ${summary.revision}`;
    if (!known.has(key)) {
      const detail = await findWork(db, summary.id);
      known.set(key, detail && knownOf(summary.wish, detail));
    }
    const found = known.get(key);
    if (!found) return undefined;
    const { fabric, bound, foundation } = found.cloth;
    const runsOf = (row: number) => (row < fabric.courses ? workCourse(fabric, bound, foundation, row).runs.length : 1);
    return { ...found, sessions: sessionsOf(await ticksOf(db, summary.id), found.costs, runsOf) };
  }

  function ofBegun({ id, progress }: WorkSummary, { costs, sessions }: Known & { sessions: Session[] }): TimeLeft {
    const inRow = costs.seconds[progress.rows] ?? 0;
    const part = progress.runs ? inRow / 2 : 0;
    const expected = costs.seconds.slice(progress.rows).reduce((sum, each) => sum + each, 0) - part;
    const rows = costs.seconds.length - progress.rows;
    return { id, rows, left: secondsLeft(expected, paceOf(sessions)) };
  }

  function ofWish({ id, wish }: WorkSummary, pace: OwnPace): TimeLeft | undefined {
    const plan = planWish(wish);
    if (!plan.ok) return undefined;
    return { id, rows: plan.value.piece.rows, left: secondsLeft(plan.value.piece.time.mid, pace) };
  }

  /** @param works those to be told of */
  return async (db: Db, works: readonly WorkSummary[]): Promise<TimeLeft[]> => {
    const told: TimeLeft[] = [];
    const all: Session[] = [];
    for (const work of works.filter((each) => each.state === 'begun')) {
      const found = await begun(db, work);
      if (!found) continue;
      all.push(...found.sessions);
      told.push(ofBegun(work, found));
    }
    const pace = paceOf(all);
    for (const work of works.filter((each) => each.state === 'wished')) {
      const found = ofWish(work, pace);
      if (found) told.push(found);
    }
    return told;
  };
}
