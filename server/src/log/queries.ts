import { anyVersion, type LogEntry, logEntryRecord, type Weighing, weighingsIn } from '@puntada/core/records';
import { z } from 'zod';
import { byWork, type Db, rows } from '../db/database.ts';
import { readable, type UnreadRow } from '../db/readable.ts';

const logRow = z.object({ entry: anyVersion(logEntryRecord) });
const pauseRow = z.object({ work_id: z.uuid(), at: z.number() });

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

/** When some works were laid down, by the work: ms since 1970, in order. */
export async function pausesOfWorks(db: Db, works: readonly string[]): Promise<Map<string, number[]>> {
  const sql = `select work_id, at from log
    where work_id = any($1::uuid[]) and entry ->> 'kind' = 'pause' order by at`;
  return byWork(await rows(db, pauseRow, sql, [works]), ({ at }) => at);
}
