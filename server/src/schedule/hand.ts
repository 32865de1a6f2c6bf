import type { Estimate } from '@puntada/core/craft';
import {
  type OwnPace,
  planWish,
  prepareCloth,
  secondsBy,
  secondsWorking,
  type ThawedWork,
  thaw,
  type Working,
} from '@puntada/core/plan';
import type { FrozenWork, Wish, WorkSummary } from '@puntada/core/records';
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
import { marksOfWorks } from '../log/queries.ts';
import { remembered } from '../memory.ts';
import { ticksOfWorks } from '../progress/queries.ts';
import { clothsOf, listWorks } from '../works/queries.ts';

/** A begun work and what it holds. */
interface Known {
  readonly cloth: ThawedWork;
  readonly costs: WorkCosts;
}

function knownOf(wish: Wish, begun: FrozenWork | undefined): Known | undefined {
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
  /** How it comes about. */
  readonly working: Working;
  readonly rows: number;
}

/**
 * What is known of the maker's hand: its pace, from all works that were worked at, and the time that works still take.
 * What each course holds is counted once for each plan of a work.
 */
export class Hand {
  private readonly db: Db;
  private readonly known = remembered<Known | undefined>();

  constructor(db: Db) {
    this.db = db;
  }

  /** What some works hold; all that is not known yet is read in one query. */
  private async knownOf(works: readonly WorkSummary[]): Promise<Map<string, Known>> {
    const keyOf = ({ id, revision }: WorkSummary) => `${id} ${revision}`;
    const fresh = works.filter((work) => !this.known.has(keyOf(work)));
    if (fresh.length) {
      const begun = await clothsOf(this.db, fresh);
      for (const work of fresh) this.known.set(keyOf(work), knownOf(work.wish, begun.get(work.id)));
    }
    return new Map(works.flatMap((work) => [[work.id, this.known.get(keyOf(work))] as const]).filter(isKnown));
  }

  /** The sessions at some works, by the work: two queries for however many. */
  private async sessions(works: readonly WorkSummary[]): Promise<Map<string, Session[]>> {
    const known = await this.knownOf(works);
    const ids = [...known.keys()];
    const [ticks, marks] = [await ticksOfWorks(this.db, ids), await marksOfWorks(this.db, ids)];
    return new Map(
      [...known].map(([id, { cloth, costs }]) => [
        id,
        sessionsOfWork(cloth, costs, ticks.get(id) ?? [], marks.get(id)),
      ]),
    );
  }

  /** The pace of all sessions at all works. */
  async pace(): Promise<OwnPace> {
    const begun = (await listWorks(this.db)).filter(({ state }) => state !== 'wished');
    return paceOfSessions([...(await this.sessions(begun)).values()].flat());
  }

  /** The time each work still takes: a begun work by its own sessions, a wish by those of all works. */
  async timesLeft(works: readonly WorkSummary[]): Promise<TimeLeft[]> {
    const begun = works.filter(({ state }) => state === 'begun');
    const wishes = works.filter(({ state }) => state === 'wished');
    const [known, sessions] = [await this.knownOf(begun), await this.sessions(begun)];
    const told = begun.flatMap((work) => {
      const own = known.get(work.id);
      return own ? [ofBegun(work, own, sessions.get(work.id) ?? [])] : [];
    });
    if (!wishes.length) return told;
    const pace = await this.pace();
    return [...told, ...wishes.flatMap((work) => ofWish(work, pace) ?? [])];
  }
}

function isKnown(each: readonly [string, Known | undefined]): each is readonly [string, Known] {
  return each[1] !== undefined;
}

function ofBegun({ id, wish, progress }: WorkSummary, { cloth, costs }: Known, sessions: readonly Session[]): TimeLeft {
  const work = handworkOfRows(costs, progress, cellsWorked(cloth, progress));
  const rows = cloth.fabric.courses - progress.rows;
  const pace = paceOfSessions(sessions, wish.pace);
  return { id, rows, left: secondsBy(pace, work), working: secondsWorking(pace, work) };
}

function ofWish({ id, wish }: WorkSummary, pace: OwnPace): TimeLeft | undefined {
  const plan = planWish(wish);
  if (!plan.ok) return undefined;
  const { rows, hands } = plan.value.piece;
  return { id, rows, left: secondsBy(pace, hands), working: secondsWorking(pace, hands) };
}
