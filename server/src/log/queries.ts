import { type LogEntry, logEntrySchema, type Weighing, weighingsIn } from '@puntada/core';
import { z } from 'zod';
import { type Db, rows } from '../db/database.ts';

const logRow = z.object({ entry: logEntrySchema });
const pauseRow = z.object({ at: z.coerce.number() });

/** What was logged of a work, in order. */
export async function entriesOf(db: Db, workId: string): Promise<LogEntry[]> {
  const found = await rows(db, logRow, 'select entry from log where work_id = $1 order by at, id', [workId]);
  return found.map((each) => each.entry);
}

/** The balls of a work that were weighed, in order. */
export async function weighingsOf(db: Db, workId: string): Promise<Weighing[]> {
  const sql = "select entry from log where work_id = $1 and entry ->> 'kind' = 'weigh' order by at, id";
  return weighingsIn((await rows(db, logRow, sql, [workId])).map((each) => each.entry));
}

/** When a work was laid down, ms since 1970, in order. */
export async function pausesOf(db: Db, workId: string): Promise<number[]> {
  const sql = "select at from log where work_id = $1 and entry ->> 'kind' = 'pause' order by at";
  return (await rows(db, pauseRow, sql, [workId])).map((each) => each.at);
}
