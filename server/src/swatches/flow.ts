import type { DecimalMark } from '@puntada/core/craft';
import type { MovedPlan, Swatch, WorkSummary } from '@puntada/core/records';
import { swatchNotice } from '@puntada/core/words';
import type { Db } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { listWorks, noteChange } from '../works/queries.ts';
import type { moved } from './moved.ts';

/** A plan that goes by a swatch and is not yet begun, as it was when its change was found. */
interface Move {
  readonly work: WorkSummary;
  readonly change: ReturnType<typeof moved>;
}

async function plansBy(db: Db, id: string): Promise<WorkSummary[]> {
  return (await listWorks(db)).filter(
    ({ state, wish: { gauge } }) => state === 'wished' && gauge.from === 'counted' && gauge.swatch === id,
  );
}

/** What a changed swatch makes of every plan that goes by it and is not yet begun. */
export async function movesBy(
  db: Db,
  heavy: Heavy,
  id: string,
  swatch: Swatch,
  decimals: DecimalMark,
): Promise<Move[]> {
  const plans = await plansBy(db, id);
  return Promise.all(
    plans.map(async (work) => ({ work, change: await heavy.run('moved', { wish: work.wish, id, swatch }, decimals) })),
  );
}

/**
 * Carries a changed swatch into the plans that go by it, each with a notice of what changed.
 * @returns nothing where another plan goes by it by now, or one was changed meanwhile
 */
export async function carryOver(
  db: Db,
  id: string,
  swatch: Swatch,
  moves: readonly Move[],
): Promise<MovedPlan[] | undefined> {
  const revisions = (works: readonly WorkSummary[]) =>
    works
      .map((work) => `${work.id} ${work.revision}`)
      .sort()
      .join();
  if (revisions(await plansBy(db, id)) !== revisions(moves.map(({ work }) => work))) return undefined;
  for (const { work, change } of moves) {
    if ('wish' in change) await noteChange(db, work.id, change.wish, swatchNotice(swatch.title, change.words));
  }
  return moves.map(({ work, change }) => ({ id: work.id, title: work.wish.title, words: change.words }));
}
