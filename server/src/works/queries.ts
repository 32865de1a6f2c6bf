import { randomUUID } from 'node:crypto';
import type { Problem } from '@puntada/core/craft';
import { wishAsBegun } from '@puntada/core/plan';
import {
  anyVersion,
  type FrozenWork,
  frozenRecord,
  type UnreadDocument,
  type Wish,
  type Work,
  type WorkSummary,
} from '@puntada/core/records';
import { nameless } from '@puntada/core/words';
import { z } from 'zod';
import { changedOne, type Database, type Db, rows } from '../db/database.ts';
import { readable, unreadOf, whyUnread } from '../db/readable.ts';
import { Refusal } from '../http/answers.ts';
import { remembered } from '../memory.ts';
import { begunRow, workRow } from './schema.ts';

const columns = `
  works.id, works.state, works.revision, works.wish, works.changed_at,
  works.archived, works.deleted_at, works.notice, to_char(works.due, 'YYYY-MM-DD') as due,
  works.begun_rows as rows,
  works.begun_stitches as stitches, works.begun_chain, works.begun_apart,
  progress.rows_worked, progress.runs_worked, progress.last_place
`;
const from = 'from works left join progress on progress.work_id = works.id';

/** Where the works of a list lie. */
type Place = 'bench' | 'bin';
const lyingOn: Readonly<Record<Place, string>> = {
  bench: `${from} where works.deleted_at is null`,
  bin: `${from} where works.deleted_at is not null`,
};

function summary(found: z.output<typeof workRow>): WorkSummary {
  const { id, state, revision } = found;
  const wish = state === 'wished' ? found.wish : wishAsBegun(found.wish, found.begun_apart);
  return {
    id,
    state,
    revision,
    wish,
    progress: { rows: found.rows_worked ?? 0, runs: found.runs_worked ?? 0 },
    lastPlace: found.last_place ?? 0,
    size: found.rows && found.stitches ? { rows: found.rows, stitches: found.stitches } : null,
    fromChain: found.begun_chain,
    archived: found.archived,
    deletedAt: found.deleted_at?.toISOString() ?? null,
    notice: found.notice,
    due: found.due,
    changedAt: found.changed_at.toISOString(),
  };
}

const latest = 'works.changed_at desc, works.id';

/** All works that can be read, the latest changed first: those in the bin stand in a list of their own. */
export async function listWorks(db: Db, place: Place = 'bench'): Promise<WorkSummary[]> {
  const broken = await brokenCloths(db);
  const { read } = await readable(db, workRow, `select ${columns} ${lyingOn[place]} order by ${latest}`);
  return read.filter(({ id }) => !broken.has(id)).map(summary);
}

const clothMark = z.object({ id: z.uuid(), mark: z.string() });
/** What is in the way of cloths that were looked at before, by their marks; nothing is in the way of most. */
const knownCloths = remembered<Problem | undefined>();

/** Works whose cloth on the hook cannot be read, with why. Each cloth is looked at once. */
async function brokenCloths(db: Db): Promise<Map<string, Problem>> {
  const marks = await rows(db, clothMark, 'select id, begun_mark as mark from works where begun is not null');
  const fresh = marks.filter(({ mark }) => !knownCloths.has(mark)).map(({ id }) => id);
  if (fresh.length) {
    const found = await rows(
      db,
      z.object({ begun: z.unknown(), mark: z.string() }),
      'select begun, begun_mark as mark from works where id = any($1::uuid[])',
      [fresh],
    );
    for (const { begun, mark } of found) knownCloths.set(mark, whyUnread(anyVersion(frozenRecord), begun));
  }
  const broken = new Map<string, Problem>();
  for (const { id, mark } of marks) {
    const problem = knownCloths.get(mark);
    if (problem) broken.set(id, problem);
  }
  return broken;
}

const unreadWishes = unreadOf(workRow.extend({ title: z.string() }), {
  columns: `${columns}, works.wish ->> 'title' as title`,
  from: lyingOn.bench,
  document: 'works.state || works.wish::text',
  order: latest,
});
const titled = z.object({ id: z.uuid(), title: z.string().nullable() });

/** Works that this version cannot read, the latest changed first. */
export async function unreadWorks(db: Db): Promise<UnreadDocument[]> {
  const broken = await brokenCloths(db);
  const unread = await unreadWishes(db);
  const unreadIds = new Set(unread.map(({ row }) => row.id));
  const sql = `select id, wish ->> 'title' as title from works
    where deleted_at is null and id = any($1::uuid[]) order by ${latest}`;
  const found = broken.size ? await rows(db, titled, sql, [[...broken.keys()]]) : [];
  const cloths = found.flatMap(({ id, title }) => {
    const problem = broken.get(id);
    return problem && !unreadIds.has(id) ? [{ id, title: title ?? nameless, problem }] : [];
  });
  const wishes = unread.map(({ row: { id, title }, problem }) => ({
    id: String(id),
    title: typeof title === 'string' ? title : nameless,
    problem,
  }));
  return [...wishes, ...cloths];
}

/** One work with its cloth. @throws Refusal 422 where it is stored and cannot be read */
export async function findWork(db: Db, id: string): Promise<Work | undefined> {
  const { read, unread } = await readable(db, workRow, `select ${columns} ${from} where works.id = $1`, [id]);
  if (unread[0]) throw new Refusal(422, [unread[0].problem]);
  if (!read[0]) return undefined;
  const begun = await readable(db, begunRow, 'select begun from works where id = $1', [id]);
  if (begun.unread[0]) throw new Refusal(422, [begun.unread[0].problem]);
  return { ...summary(read[0]), begun: begun.read[0]?.begun ?? null };
}

/** The frozen cloths of some works that can be read, by the work. */
export async function clothsOf(db: Db, works: readonly { readonly id: string }[]): Promise<Map<string, FrozenWork>> {
  const ids = works.map(({ id }) => id);
  const clothRow = begunRow.extend({ id: z.uuid() });
  const { read } = await readable(db, clothRow, 'select id, begun from works where id = any($1::uuid[])', [ids]);
  return new Map(read.flatMap(({ id, begun }) => (begun ? [[id, begun] as const] : [])));
}

/** Stores a new wish. @returns its id */
export async function addWork(db: Db, wish: Wish, due: string | null, id: string = randomUUID()): Promise<string> {
  await db.query(
    "insert into works (id, state, revision, wish, due) values ($1, 'wished', 1, $2, $3) on conflict do nothing",
    [id, JSON.stringify(wish), due],
  );
  return id;
}

/** Replaces a wish made on this very revision. @returns whether it was; nothing is changed otherwise */
export function changeWish(db: Db, id: string, revision: number, wish: Wish): Promise<boolean> {
  return changedOne(
    db,
    `update works set wish = $3, revision = revision + 1, notice = null, changed_at = now()
     where id = $1 and revision = $2 and state = 'wished'`,
    [id, revision, JSON.stringify(wish)],
  );
}

/**
 * Moves what was noted of rows by as many steps: rows of a wish are counted from the first, those of a begun work behind
 * its foundation chain.
 */
async function moveNotes(db: Db, id: string, by: 1 | -1): Promise<void> {
  await db.query(
    `update log set entry = jsonb_set(entry, '{row}', to_jsonb((entry ->> 'row')::integer + $2::integer))
     where work_id = $1 and jsonb_typeof(entry -> 'row') = 'number' and (entry ->> 'row')::numeric >= 1`,
    [id, by],
  );
}

/** Freezes the laid fabric with the work. @returns whether this revision was still the newest and only wished for */
export function beginWork(db: Database, id: string, revision: number, wish: Wish, begun: FrozenWork): Promise<boolean> {
  return db.transaction(async (tx) => {
    const taken = await changedOne(
      tx,
      `update works set state = 'begun', wish = $3, begun = $4, notice = null, revision = revision + 1,
         changed_at = now()
       where id = $1 and revision = $2 and state = 'wished'`,
      [id, revision, JSON.stringify(wish), JSON.stringify(begun)],
    );
    if (taken && begun.fromChain) await moveNotes(tx, id, 1);
    return taken;
  });
}

/** Replaces the wish of a work that is not begun, with a notice of what was changed. */
export async function noteChange(db: Db, id: string, wish: Wish, notice: string): Promise<void> {
  await db.query(
    `update works set wish = $2, notice = $3, revision = revision + 1, changed_at = now()
     where id = $1 and state = 'wished'`,
    [id, JSON.stringify(wish), notice],
  );
}

/** Puts a work away or takes it out again. @returns whether this revision was still the newest */
export function archiveWork(db: Db, id: string, revision: number, archived: boolean): Promise<boolean> {
  return changedOne(db, 'update works set archived = $3, revision = revision + 1 where id = $1 and revision = $2', [
    id,
    revision,
    archived,
  ]);
}

/** Puts a work into the bin or takes it out again. @returns whether this revision was still the newest */
export function binWork(db: Db, id: string, revision: number, deleted: boolean): Promise<boolean> {
  return changedOne(
    db,
    `update works set deleted_at = case when $3 then now() end, revision = revision + 1 where id = $1 and revision = $2`,
    [id, revision, deleted],
  );
}

/** Takes a start back: the work is planned again, its size open. @returns whether this revision was still the newest */
export function takeBackStart(db: Database, { id, fromChain }: Work, revision: number): Promise<boolean> {
  return db.transaction(async (tx) => {
    const taken = await changedOne(
      tx,
      `update works set state = 'wished', begun = null, revision = revision + 1, changed_at = now()
       where id = $1 and revision = $2 and state = 'begun'`,
      [id, revision],
    );
    if (taken && fromChain) await moveNotes(tx, id, -1);
    return taken;
  });
}

/** Replaces the wish of a work whatever its state, made on this very revision. @returns whether it was */
export function amendWish(db: Db, id: string, revision: number, wish: Wish): Promise<boolean> {
  return changedOne(
    db,
    'update works set wish = $3, revision = revision + 1, changed_at = now() where id = $1 and revision = $2',
    [id, revision, JSON.stringify(wish)],
  );
}

/** The fronts, or the backs, of a set, in the order in which they were made. */
export async function partsOfSet(db: Db, set: string, part: 'front' | 'back'): Promise<string[]> {
  const found = await rows(
    db,
    z.object({ id: z.uuid() }),
    `select id from works where wish->'set'->>'id' = $1 and wish->'set'->>'part' = $2 and deleted_at is null
     order by created_at, id`,
    [set, part],
  );
  return found.map(({ id }) => id);
}

/** Writes a part of a begun work’s wish that is still open, with its cloth. @returns whether this revision was still the newest */
export function amendBegun(db: Db, id: string, revision: number, wish: Wish, begun: FrozenWork): Promise<boolean> {
  return changedOne(
    db,
    'update works set wish = $3, begun = $4, revision = revision + 1, changed_at = now() where id = $1 and revision = $2',
    [id, revision, JSON.stringify(wish), JSON.stringify(begun)],
  );
}

/** Marks a begun work finished. */
export function finishWork(db: Db, id: string, revision: number): Promise<boolean> {
  return changedOne(
    db,
    `update works set state = 'finished', revision = revision + 1, changed_at = now()
     where id = $1 and revision = $2 and state = 'begun'`,
    [id, revision],
  );
}
