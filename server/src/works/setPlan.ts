import type { Problem } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import type { z } from 'zod';
import type { Database, Db } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, Refusal } from '../http/answers.ts';
import { addWork, amendWish, binWork, changeWish, findWork } from './queries.ts';
import type { otherSet } from './schema.ts';

type Change = z.output<typeof otherSet>['changes'][number];

/** A change of a set with the work as it stood when the change was looked through, and the cloths that stay with it, if any. */
interface Looked {
  readonly change: Change;
  readonly before: Work;
  readonly pieces: number;
}

function stale(work: Work | undefined): Refusal {
  const problem: Problem = { code: 'stale', path: 'revision', facts: { what: 'project' } };
  return new Refusal(409, [problem], work);
}

/** Looks a change through: its items can be made, and none that is begun is taken out. */
async function look(db: Db, heavy: Heavy, change: Change): Promise<Looked> {
  const { id, revision, keep, wish } = change;
  const before = await findWork(db, id);
  if (!before || before.deletedAt)
    throw new Refusal(404, [{ code: 'not-found', path: 'id', facts: { what: 'project' } }]);
  if (before.revision !== revision) throw stale(before);
  if (wish) accept(await heavy.run('check', wish));
  if (!before.begun && keep === 0) return { change, before, pieces: 0 };
  const { items, panels } = before.begun
    ? accept(await heavy.run('touched', { begun: before.begun, wish: before.wish, at: before.progress }))
    : { items: 0, panels: 1 };
  const pieces = keep * panels;
  // Of what is not begun only fronts and backs have items that stay: those whose other side is begun.
  const open = before.begun ? before.state === 'begun' : before.wish.set?.part !== undefined;
  if (!open || keep < items || pieces + (wish?.pieces ?? 0) > before.wish.pieces) {
    throw new Refusal(422, [{ code: 'items-begun', path: 'keep', facts: { items } }]);
  }
  return { change, before, pieces };
}

/** What was told of items goes along with them. */
async function takeAlong(tx: Db, from: string, to: string, keep: number): Promise<void> {
  await tx.query(
    `update log set work_id = $2, entry = jsonb_set(entry, '{item}', to_jsonb((entry ->> 'item')::int - $3::int))
     where work_id = $1 and entry ->> 'kind' = 'item' and (entry ->> 'item')::int > $3::int`,
    [from, to, keep],
  );
}

async function make(tx: Db, { change: { id, revision, keep, wish, newId }, before, pieces }: Looked): Promise<void> {
  if (!pieces) {
    const done = wish ? await changeWish(tx, id, revision, wish) : await binWork(tx, id, revision, true);
    if (!done) throw stale(await findWork(tx, id));
    return;
  }
  const now = await findWork(tx, id);
  const same = now?.progress.rows === before.progress.rows && now.progress.runs === before.progress.runs;
  // They are one set from now on, if they were none.
  const set = before.wish.set ?? wish?.set;
  const stays = { ...before.wish, pieces, ...(set ? { set } : {}) };
  if (!same || !(await amendWish(tx, id, revision, stays))) throw stale(now);
  if (!wish) return;
  // An id that is taken would make nothing of them.
  if (await findWork(tx, newId)) throw stale(now);
  await addWork(tx, wish, before.due, newId);
  await takeAlong(tx, id, newId, keep);
}

/**
 * Plans what is not begun of a set otherwise, in all its projects or in none. Items of a begun project that are not begun
 * become a project of their own, with what was told of them; projects left out go into the bin.
 */
export async function planSet(db: Database, heavy: Heavy, changes: readonly Change[]): Promise<void> {
  const looked: Looked[] = [];
  for (const change of changes) looked.push(await look(db, heavy, change));
  await db.transaction(async (tx) => {
    for (const each of looked) await make(tx, each);
  });
}
