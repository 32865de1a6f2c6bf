import { frozenSchema, logEntrySchema, tickSchema, wishSchema } from '@puntada/core/records';
import { restKinds } from '@puntada/core/work';
import { z } from 'zod';
import { byWork, type Db, rows } from '../db/database.ts';
import { allFormerPlans, formerPlans, keepFormer } from '../onward/queries.ts';

const id = z.uuid();
export const when = z.iso.datetime();

/** One work with all that was ever kept of it, in open form. */
export const keptWork = z.strictObject({
  id,
  state: z.enum(['wished', 'begun', 'finished']),
  revision: z.number().int().min(1),
  wish: wishSchema,
  begun: frozenSchema.nullable(),
  archived: z.boolean(),
  notice: z.string().nullable(),
  due: z.iso.date().nullable().default(null),
  createdAt: when,
  changedAt: when,
  ticks: z.array(tickSchema),
  log: z.array(logEntrySchema),
  /** Plans that were left for another. */
  former: z
    .array(
      z.strictObject({
        revision: z.number().int().min(1),
        wish: wishSchema,
        begun: frozenSchema,
        rowsWorked: z.number().int().min(0),
        leftFor: z.enum(restKinds),
        leftAt: when,
      }),
    )
    .default([]),
});
export type KeptWork = z.output<typeof keptWork>;

const any = z.record(z.string(), z.unknown());
const ofWork = z.looseObject({ work_id: z.uuid() });
const text = (value: unknown) => (value instanceof Date ? value.toISOString() : value);

/** Reads all works, or one of them. */
export async function readWorks(tx: Db, only?: string) {
  const which = (column: string) => (only ? `where ${column} = $1` : '');
  const given = only ? [only] : [];
  const ticks = await rows(tx, ofWork, `select * from ticks ${which('work_id')} order by at, id`, given);
  const log = await rows(tx, ofWork, `select work_id, entry from log ${which('work_id')} order by at, id`, given);
  const works = await rows(
    tx,
    any,
    `select works.*, to_char(due, 'YYYY-MM-DD') as due_day from works ${which('id')} order by created_at, id`,
    given,
  );
  const former = only ? new Map([[only, await formerPlans(tx, only)]]) : await allFormerPlans(tx);
  const stepsOf = byWork(ticks, (tick) => tick);
  const logOf = byWork(log, (each) => each.entry);
  return works.map((work) => ({
    id: work.id,
    state: work.state,
    revision: work.revision,
    wish: work.wish,
    begun: work.begun,
    archived: work.archived,
    notice: work.notice,
    due: work.due_day,
    createdAt: text(work.created_at),
    changedAt: text(work.changed_at),
    ticks: (stepsOf.get(String(work.id)) ?? []).map((tick) => ({
      id: tick.id,
      at: tick.at,
      from: { rows: tick.from_rows, runs: tick.from_runs },
      to: { rows: tick.to_rows, runs: tick.to_runs },
    })),
    log: logOf.get(String(work.id)) ?? [],
    former: former.get(String(work.id)) ?? [],
  }));
}

/** Puts one work where there is none of its id; its ticks go their own way afterwards. */
export async function restoreWork(tx: Db, work: KeptWork): Promise<void> {
  await insertWork(tx, work);
  await addLog(tx, work.id, work.log);
  for (const plan of work.former) await keepFormer(tx, work.id, plan);
}

/**
 * Puts back a work that this version cannot read, just as it was kept. Only what finds it again is looked at: its id, its
 * state and its times.
 */
export const unreadWork = z.looseObject({
  id,
  state: z.enum(['wished', 'begun', 'finished']),
  revision: z.number().int().min(1),
  createdAt: when,
  changedAt: when,
  archived: z.boolean(),
  notice: z.string().nullable(),
  due: z.iso.date().nullable().default(null),
  wish: z.unknown(),
  begun: z.unknown(),
  ticks: z.array(tickSchema).default([]),
  /** Entries as they are stored, each with what finds it again. */
  log: z.array(z.strictObject({ id, at: z.number().int(), entry: z.unknown() })).default([]),
});

/** Puts it where there is none of its id. */
export async function restoreUnread(tx: Db, work: z.output<typeof unreadWork>): Promise<void> {
  await insertWork(tx, work);
  for (const { id: own, at, entry } of work.log) await insertEntry(tx, work.id, own, at, entry);
}

/** The log of a work as it is stored. */
export async function storedLog(tx: Db, workId: string) {
  const found = await rows(tx, any, 'select id, at, entry from log where work_id = $1 order by at, id', [workId]);
  return found.map((each) => ({ id: each.id, at: each.at, entry: each.entry }));
}

async function insertWork(tx: Db, work: Omit<z.output<typeof unreadWork>, 'log' | 'ticks'>): Promise<void> {
  await tx.query(
    `insert into works (id, state, revision, wish, begun, archived, notice, due, created_at, changed_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [
      work.id,
      work.state,
      work.revision,
      JSON.stringify(work.wish ?? null),
      work.begun ? JSON.stringify(work.begun) : null,
      work.archived,
      work.notice,
      work.due,
      work.createdAt,
      work.changedAt,
    ],
  );
}

async function insertEntry(tx: Db, workId: string, own: string, at: number, entry: unknown): Promise<void> {
  await tx.query('insert into log (work_id, id, at, entry) values ($1, $2, $3, $4) on conflict do nothing', [
    workId,
    own,
    at,
    JSON.stringify(entry),
  ]);
}

/** Adds what is not yet in the log of a work. */
export async function addLog(tx: Db, workId: string, log: KeptWork['log']): Promise<void> {
  for (const entry of log) await insertEntry(tx, workId, entry.id, entry.at, entry);
}
