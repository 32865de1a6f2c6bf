import type { KeptWork, UnreadWork } from '@puntada/core/records';
import { z } from 'zod';
import { byWork, type Db, rows } from '../db/database.ts';
import { keepFormer } from '../onward/queries.ts';

const any = z.record(z.string(), z.unknown());
const ofWork = z.looseObject({ work_id: z.uuid() });
const text = (value: unknown) => (value instanceof Date ? value.toISOString() : value);

/** All works as they are stored, or one of them: read by nobody yet. */
export async function readWorks(tx: Db, only?: string) {
  const which = (column: string) => (only ? `where ${column} = $1` : '');
  const given = only ? [only] : [];
  const ticks = await rows(tx, ofWork, `select * from ticks ${which('work_id')} order by place, id`, given);
  const log = await rows(
    tx,
    ofWork,
    `select work_id, entry from log where deleted_at is null ${only ? 'and work_id = $1' : ''} order by at, id`,
    given,
  );
  const works = await rows(
    tx,
    any,
    `select works.*, to_char(due, 'YYYY-MM-DD') as due_day from works ${which('id')} order by created_at, id`,
    given,
  );
  const former = await rows(tx, ofWork, `select * from former_plans ${which('work_id')} order by revision desc`, given);
  const stepsOf = byWork(ticks, (tick) => tick);
  const logOf = byWork(log, (each) => each.entry);
  const formerOf = byWork(former, (plan) => ({
    revision: plan.revision,
    wish: plan.wish,
    begun: plan.begun,
    rowsWorked: plan.rows_worked,
    leftFor: plan.left_for,
    leftAt: text(plan.left_at),
  }));
  return works.map((work) => ({
    id: work.id,
    state: work.state,
    revision: work.revision,
    wish: work.wish,
    begun: work.begun,
    archived: work.archived,
    ...(work.deleted_at ? { deletedAt: text(work.deleted_at) } : {}),
    notice: work.notice,
    due: work.due_day,
    createdAt: text(work.created_at),
    changedAt: text(work.changed_at),
    ticks: (stepsOf.get(String(work.id)) ?? []).map((tick) => ({
      id: tick.id,
      at: tick.at,
      place: tick.place,
      from: { rows: tick.from_rows, runs: tick.from_runs },
      to: { rows: tick.to_rows, runs: tick.to_runs },
    })),
    log: logOf.get(String(work.id)) ?? [],
    former: formerOf.get(String(work.id)) ?? [],
  }));
}

/** Puts one work where there is none of its id; its ticks go their own way afterwards. */
export async function restoreWork(tx: Db, work: KeptWork): Promise<void> {
  await insertWork(tx, work);
  await addLog(tx, work.id, work.log);
  for (const plan of work.former) await keepFormer(tx, work.id, plan);
}

/** Puts back a work that this version cannot read, just as it was kept, where there is none of its id. */
export async function restoreUnread(tx: Db, work: UnreadWork): Promise<void> {
  await insertWork(tx, work);
  for (const { id: own, at, entry } of work.log) await insertEntry(tx, work.id, own, at, entry);
  for (const plan of work.former) await keepFormer(tx, work.id, plan);
}

/** The log of a work as it is stored. */
export async function storedLog(tx: Db, workId: string) {
  const found = await rows(
    tx,
    any,
    'select id, at, entry from log where work_id = $1 and deleted_at is null order by at, id',
    [workId],
  );
  return found.map((each) => ({ id: each.id, at: each.at, entry: each.entry }));
}

async function insertWork(tx: Db, work: Omit<UnreadWork, 'log' | 'ticks' | 'former'>): Promise<void> {
  await tx.query(
    `insert into works (id, state, revision, wish, begun, archived, notice, due, created_at, changed_at, deleted_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
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
      work.deletedAt ?? null,
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
