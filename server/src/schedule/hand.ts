import type { Estimate } from '@puntada/core/craft';
import { type OwnPace, planWish, prepareCloth, secondsBy, type ThawedWork, thaw } from '@puntada/core/plan';
import {
  cellsWorked,
  costsOfWork,
  handworkOfRows,
  paceOfSessions,
  type Session,
  sessionsOfWork,
  type WorkCosts,
} from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import { pausesOf } from '../log/queries.ts';
import { ticksOf } from '../progress/queries.ts';
import { findWork, listWorks, type WorkDetail, type WorkSummary } from '../works/queries.ts';

/** A begun work and what it holds. */
interface Known {
  readonly cloth: ThawedWork;
  readonly costs: WorkCosts;
}

function knownOf({ wish, begun }: WorkDetail): Known | undefined {
  const cloth = begun ? thaw(begun) : undefined;
  if (!cloth?.ok) return undefined;
  const prepared = prepareCloth(wish, cloth.value);
  if (!prepared.ok) return undefined;
  return { cloth: cloth.value, costs: costsOfWork(prepared.value, cloth.value) };
}

/** A work that waits to be finished, with the time it still takes in this maker's own pace. */
export interface TimeLeft {
  readonly id: string;
  readonly left: Estimate;
  readonly rows: number;
}

/**
 * What is known of the maker's hand: its pace, from all works that were worked at, and the time that works still take.
 * What each course holds is counted once for each plan of a work.
 */
export class Hand {
  private readonly db: Db;
  private readonly known = new Map<string, Known | undefined>();

  constructor(db: Db) {
    this.db = db;
  }

  private async knownOf({ id, revision }: WorkSummary): Promise<Known | undefined> {
    const key = `${id} ${revision}`;
    if (!this.known.has(key)) {
      const detail = await findWork(this.db, id);
      this.known.set(key, detail && knownOf(detail));
    }
    return this.known.get(key);
  }

  private async sessions(work: WorkSummary): Promise<Session[]> {
    const known = await this.knownOf(work);
    if (!known) return [];
    const [ticks, pauses] = [await ticksOf(this.db, work.id), await pausesOf(this.db, work.id)];
    return sessionsOfWork(known.cloth, known.costs, ticks, pauses);
  }

  /** The pace of all sessions at all works. */
  async pace(): Promise<OwnPace> {
    const all: Session[] = [];
    for (const work of await listWorks(this.db)) {
      if (work.state !== 'wished') all.push(...(await this.sessions(work)));
    }
    return paceOfSessions(all);
  }

  /** The time each work still takes: a begun work by its own sessions, a wish by those of all works. */
  async timesLeft(works: readonly WorkSummary[]): Promise<TimeLeft[]> {
    const told: TimeLeft[] = [];
    const wishes = works.filter(({ state }) => state === 'wished');
    for (const work of works.filter(({ state }) => state === 'begun')) {
      const known = await this.knownOf(work);
      if (known) told.push(ofBegun(work, known, await this.sessions(work)));
    }
    if (!wishes.length) return told;
    const pace = await this.pace();
    return [...told, ...wishes.flatMap((work) => ofWish(work, pace) ?? [])];
  }
}

function ofBegun({ id, wish, progress }: WorkSummary, { cloth, costs }: Known, sessions: readonly Session[]): TimeLeft {
  const work = handworkOfRows(costs, progress, cellsWorked(cloth, progress));
  const rows = cloth.fabric.courses - progress.rows;
  return { id, rows, left: secondsBy(paceOfSessions(sessions, wish.pace), work) };
}

function ofWish({ id, wish }: WorkSummary, pace: OwnPace): TimeLeft | undefined {
  const plan = planWish(wish);
  if (!plan.ok) return undefined;
  return { id, rows: plan.value.piece.rows, left: secondsBy(pace, plan.value.piece.hands) };
}
