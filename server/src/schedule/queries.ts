import { weekSchema } from '@puntada/core/records';
import { z } from 'zod';
import { type Db, row } from '../db/database.ts';

/** An hour on weekdays and two on Saturday and Sunday, until the maker has said. */
const usual = [60, 60, 60, 60, 60, 120, 120];

export async function minutesOfWeek(db: Db): Promise<number[]> {
  const found = await row(db, z.object({ minutes: weekSchema }), 'select minutes from evenings', []);
  return found?.minutes ?? usual;
}

export async function setMinutes(db: Db, minutes: readonly number[]): Promise<void> {
  await db.query(
    'insert into evenings (minutes) values ($1) on conflict (one) do update set minutes = excluded.minutes',
    [JSON.stringify(minutes)],
  );
}

/** @param due a day, or null to take it away */
export async function setDue(db: Db, workId: string, due: string | null): Promise<void> {
  await db.query('update works set due = $2 where id = $1', [workId, due]);
}
