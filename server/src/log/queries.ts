import {
  anyVersion,
  type LogEntry,
  logEntryRecord,
  marksIn,
  type SessionMarks,
  type Weighing,
  weighingsIn,
} from '@puntada/core/records';
import { z } from 'zod';
import { byWork, changedOne, type Db } from '../db/database.ts';
import { readable, unreadOf } from '../db/readable.ts';
import { keepPhoto, parted } from '../photos/queries.ts';

const logRow = z.object({ entry: anyVersion(logEntryRecord) });

/** What was logged of a work and can be read, in order. */
export async function entriesOf(db: Db, workId: string): Promise<LogEntry[]> {
  const { read } = await readable(
    db,
    logRow,
    'select entry from log where work_id = $1 and deleted_at is null order by at, id',
    [workId],
  );
  return read.map((each) => each.entry);
}

/** Entries of the log of any work that this version cannot read. */
export const unreadEntries = unreadOf(logRow, {
  columns: 'work_id, id, entry',
  from: 'from log where deleted_at is null',
  document: 'entry::text',
  order: 'at, id',
});

/** The balls of a work that were weighed, in order. */
export async function weighingsOf(db: Db, workId: string): Promise<Weighing[]> {
  const sql =
    "select entry from log where work_id = $1 and deleted_at is null and entry ->> 'kind' = 'weigh' order by at, id";
  return weighingsIn((await readable(db, logRow, sql, [workId])).read.map((each) => each.entry));
}

/** What the logs of some works tell of their sessions, by the work. */
export async function marksOfWorks(db: Db, works: readonly string[]): Promise<Map<string, SessionMarks>> {
  const sql = `select work_id, entry from log
    where work_id = any($1::uuid[]) and deleted_at is null and entry ->> 'kind' in ('pause', 'session') order by at`;
  const { read } = await readable(db, logRow.extend({ work_id: z.uuid() }), sql, [works]);
  return new Map([...byWork(read, ({ entry }) => entry)].map(([id, entries]) => [id, marksIn(entries)]));
}

/** Keeps an entry, each once; the pictures of a photo beside it. */
export async function addEntry(db: Db, workId: string, entry: LogEntry): Promise<void> {
  const { entry: bare, image, small } = parted(entry);
  const sql = 'insert into log (work_id, id, at, entry) values ($1, $2, $3, $4) on conflict do nothing';
  const fresh = await changedOne(db, sql, [workId, bare.id, bare.at, JSON.stringify(bare)]);
  if (fresh && image) await keepPhoto(db, workId, bare.id, image, small);
}

/** Puts another wording, measure or weighing in the place of an entry. @returns whether it is there, and of that kind */
export function correctEntry(db: Db, workId: string, entry: LogEntry): Promise<boolean> {
  return changedOne(
    db,
    `update log set entry = $3, at = $4
     where work_id = $1 and id = $2 and deleted_at is null and entry ->> 'kind' = $5`,
    [workId, entry.id, JSON.stringify(parted(entry).entry), entry.at, entry.kind],
  );
}

/** Puts an entry into the bin or takes it out again. @returns whether it is there */
export function binEntry(db: Db, workId: string, id: string, deleted: boolean): Promise<boolean> {
  return changedOne(
    db,
    'update log set deleted_at = case when $3 then now() end where work_id = $1 and id::text = $2',
    [workId, id, deleted],
  );
}
