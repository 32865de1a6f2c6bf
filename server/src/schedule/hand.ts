import type { Estimate } from '@puntada/core/craft';
import {
  type Handwork,
  handworkOf,
  type OwnPace,
  planWish,
  prepareCloth,
  secondsBy,
  secondsWorking,
  type ThawedWork,
  thaw,
  unknownPace,
  type Working,
} from '@puntada/core/plan';
import type { FrozenWork, Wish, WorkSummary } from '@puntada/core/records';
import {
  cellsInHand,
  costsOfProject,
  handworkOfRows,
  itemsAt,
  type ProjectCosts,
  paceOfSessions,
  partWorked,
  type Session,
  sessionsOfWork,
  type Tick,
} from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import { marksOfWorks } from '../log/queries.ts';
import { remembered } from '../memory.ts';
import { stepsOfWorks, ticksOf, ticksOfWorks } from '../progress/queries.ts';
import { clothsOf, listWorks } from '../works/queries.ts';

/** A begun work and what it holds. */
interface Known {
  readonly cloth: ThawedWork;
  readonly costs: ProjectCosts;
}

function knownOf(wish: Wish, begun: FrozenWork | undefined): Known | undefined {
  const cloth = begun ? thaw(begun) : undefined;
  if (!cloth?.ok) return undefined;
  const prepared = prepareCloth(wish, cloth.value);
  if (!prepared.ok) return undefined;
  return { cloth: cloth.value, costs: costsOfProject(prepared.value, cloth.value) };
}

/** What was found of the sessions at a work. */
interface Worked {
  /** What it was found for: the plan, and what the maker told of the sessions. */
  readonly key: string;
  readonly steps: number;
  /** When the last step was made, ms since 1970. */
  readonly lastAt: number;
  readonly sessions: readonly Session[];
  /** The steps of the last session, and the one before it. */
  readonly tail: readonly Tick[];
}

/** A work that waits to be finished, with the time it still takes in this maker's own pace. */
export interface TimeLeft {
  readonly id: string;
  readonly left: Estimate;
  /** How it comes about. */
  readonly working: Working;
  readonly rows: number;
  /** Seconds of these rows, where something else is left too. */
  readonly rowsTake?: number;
  /** Items that are done, where it makes several. */
  readonly items?: { readonly done: number; readonly of: number };
}

/**
 * What is known of the maker's hand: its pace, from all works that were worked at, and the time that works still take.
 * What each course holds is counted once for each plan of a work.
 */
export class Hand {
  private readonly db: Db;
  private readonly known = remembered<Known | undefined>();
  private readonly worked = remembered<Worked>();
  /** The pace that was found last, and of which sessions. */
  private paceBefore: { readonly of: readonly (readonly Session[])[]; readonly pace: OwnPace } = {
    of: [],
    pace: unknownPace,
  };

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

  /**
   * The sessions at some works, by the work: three queries for however many. What was found before stands as long as
   * there are no other steps and nothing else was told of them; steps made since are added to the last session.
   */
  private async sessions(works: readonly WorkSummary[]): Promise<Map<string, readonly Session[]>> {
    const known = await this.knownOf(works);
    const ids = [...known.keys()];
    const [steps, marks] = [await stepsOfWorks(this.db, ids), await marksOfWorks(this.db, ids)];
    const revisions = new Map(works.map(({ id, revision }) => [id, revision]));
    const keyOf = (id: string) => `${revisions.get(id)} ${JSON.stringify(marks.get(id))}`;
    const fresh: string[] = [];
    for (const [id, { cloth, costs }] of known) {
      const before = this.worked.get(id);
      const count = steps.get(id) ?? 0;
      if (before?.key === keyOf(id) && before.steps === count) continue;
      const since =
        before?.key === keyOf(id) && before.tail.length > 0 ? await ticksOf(this.db, id, before.lastAt) : [];
      if (before && since.length && before.steps + since.length === count) {
        const tail = [...before.tail, ...since];
        const [, ...found] = sessionsOfWork(cloth, costs, tail, marks.get(id));
        this.keep(id, keyOf(id), count, [...before.sessions.slice(0, -1), ...found], tail);
      } else fresh.push(id);
    }
    const ticks = fresh.length ? await ticksOfWorks(this.db, fresh) : new Map<string, Tick[]>();
    for (const id of fresh) {
      const { cloth, costs } = known.get(id) as Known;
      const own = ticks.get(id) ?? [];
      this.keep(id, keyOf(id), own.length, sessionsOfWork(cloth, costs, own, marks.get(id)), own);
    }
    return new Map(ids.map((id) => [id, this.worked.get(id)?.sessions ?? []]));
  }

  /** Remembers sessions, with the steps of the last one and the step before it: the next goes on from there. */
  private keep(id: string, key: string, steps: number, sessions: readonly Session[], ticks: readonly Tick[]): void {
    const inOrder = [...ticks].sort((a, b) => a.at - b.at);
    const begins = sessions.at(-1)?.from ?? 0;
    const first = inOrder.findIndex(({ at }) => at >= begins);
    // Without a step before the last session there is nothing to go on from: it is found anew next time.
    this.worked.set(id, {
      key,
      steps,
      lastAt: inOrder.at(-1)?.at ?? 0,
      sessions,
      tail: first < 1 ? [] : inOrder.slice(first - 1),
    });
  }

  /** The pace of all sessions at all works. */
  async pace(): Promise<OwnPace> {
    const begun = (await listWorks(this.db)).filter(({ state }) => state !== 'wished');
    const sessions = [...(await this.sessions(begun)).values()];
    const { of, pace } = this.paceBefore;
    if (of.length === sessions.length && of.every((each, i) => each === sessions[i])) return pace;
    const found = paceOfSessions(sessions.flat());
    this.paceBefore = { of: sessions, pace: found };
    return found;
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

const paces = new WeakMap<readonly Session[], OwnPace>();

/** The pace of the sessions at a work; the same sessions are those of the same wish. */
function paceFrom(sessions: readonly Session[], wish: Wish): OwnPace {
  const pace = paces.get(sessions) ?? paceOfSessions(sessions, wish.pace);
  paces.set(sessions, pace);
  return pace;
}

function ofBegun({ id, wish, progress }: WorkSummary, { cloth, costs }: Known, sessions: readonly Session[]): TimeLeft {
  // Rows of every cloth; the steps between and after them are in what is left, and not among the rows.
  const inHand = cellsInHand(cloth, costs, progress);
  const work = handworkOfRows(costs, progress, inHand);
  const ofRows = costs.sequence.units.flatMap(({ kind }, at) => (kind === 'row' && at >= progress.rows ? [at] : []));
  const rowHands = handworkOf(
    ofRows.map((at) => [
      costs.hands[at] as Handwork,
      at === progress.rows ? 1 - partWorked(costs, progress, inHand) : 1,
    ]),
  );
  const pace = paceFrom(sessions, wish);
  const rowsTake = secondsBy(pace, rowHands).mid;
  const items = itemsAt(costs.sequence, progress);
  return {
    id,
    rows: ofRows.length,
    rowsTake,
    left: secondsBy(pace, work),
    working: secondsWorking(pace, work),
    ...(items.length > 1
      ? { items: { done: items.filter(({ state }) => state === 'done').length, of: items.length } }
      : {}),
  };
}

function ofWish({ id, wish }: WorkSummary, pace: OwnPace): TimeLeft | undefined {
  const plan = planWish(wish);
  if (!plan.ok) return undefined;
  const { rows, hands } = plan.value.piece;
  return { id, rows, left: secondsBy(pace, hands), working: secondsWorking(pace, hands) };
}
