import { type LogEntry, logEntrySchema, type Weighing, weighingsIn } from '@puntada/core/records';
import { z } from 'zod';
import { type Db, rows } from '../db/database.ts';
import { readable, type UnreadRow } from '../db/readable.ts';

const logRow = z.object({ entry: logEntrySchema });
const pauseRow = z.object({ at: z.coerce.number() });

/** What was logged of a work and can be read, in order. */
export async function entriesOf(db: Db, workId: string): Promise<LogEntry[]> {
  const { read } = await readable(db, logRow, 'select entry from log where work_id = $1 order by at, id', [workId]);
  return read.map((each) => each.entry);
}

/** Entries of the log of any work that this version cannot read. */
export async function unreadEntries(db: Db): Promise<UnreadRow[]> {
  return (await readable(db, logRow, 'select work_id, id, entry from log order by at, id')).unread;
}

/** The balls of a work that were weighed, in order. */
export async function weighingsOf(db: Db, workId: string): Promise<Weighing[]> {
  const sql = "select entry from log where work_id = $1 and entry ->> 'kind' = 'weigh' order by at, id";
  return weighingsIn((await readable(db, logRow, sql, [workId])).read.map((each) => each.entry));
}

/** When a work was laid down, ms since 1970, in order. */
export async function pausesOf(db: Db, workId: string): Promise<number[]> {
  const sql = "select at from log where work_id = $1 and entry ->> 'kind' = 'pause' order by at";
  return (await rows(db, pauseRow, sql, [workId])).map((each) => each.at);
}
