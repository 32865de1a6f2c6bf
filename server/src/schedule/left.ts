import {
  cellsWorked,
  costsOfWork,
  type OwnPace,
  paceOf,
  planWish,
  prepare,
  type Session,
  secondsLeft,
  secondsOfRows,
  sessionsOfWork,
  type ThawedWork,
  thaw,
  type WorkCosts,
} from '@puntada/core';
import type { Db } from '../db/database.ts';
import { ticksOf } from '../progress/queries.ts';
import { findWork, type WorkDetail, type WorkSummary } from '../works/queries.ts';

/** A begun work and what it holds. */
interface Known {
  readonly cloth: ThawedWork;
  readonly costs: WorkCosts;
}

function knownOf({ wish, begun }: WorkDetail): Known | undefined {
  const cloth = begun ? thaw(begun) : undefined;
  const prepared = prepare(wish);
  if (!cloth?.ok || !prepared.ok) return undefined;
  return { cloth: cloth.value, costs: costsOfWork(prepared.value, cloth.value) };
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

  async function begun(db: Db, { id, revision }: WorkSummary): Promise<Known | undefined> {
    const key = `${id} ${revision}`;
    if (!known.has(key)) {
      const detail = await findWork(db, id);
      known.set(key, detail && knownOf(detail));
    }
    return known.get(key);
  }

  function ofBegun({ id, progress }: WorkSummary, { cloth, costs }: Known, sessions: readonly Session[]): TimeLeft {
    const expected = secondsOfRows(costs, progress, cellsWorked(cloth, progress));
    const rows = cloth.fabric.courses - progress.rows;
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
      const sessions = sessionsOfWork(found.cloth, found.costs, await ticksOf(db, work.id));
      all.push(...sessions);
      told.push(ofBegun(work, found, sessions));
    }
    const pace = paceOf(all);
    for (const work of works.filter((each) => each.state === 'wished')) {
      const found = ofWish(work, pace);
      if (found) told.push(found);
    }
    return told;
  };
}
