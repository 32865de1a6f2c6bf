import { type Preferences, preferencesSchema } from '@puntada/core/records';
import { type Db, row } from '../db/database.ts';

/** How the maker reads; nothing where it was never said. */
export function readPreferences(db: Db): Promise<Preferences | undefined> {
  const columns = 'units, terms, hand, fractions, manner, currency, rate, last_loop as "lastLoop", ends';
  return row(db, preferencesSchema, `select ${columns} from preferences`);
}

export async function writePreferences(db: Db, preferences: Preferences): Promise<void> {
  const { units, terms, hand, fractions, manner, currency, rate, lastLoop, ends } = preferences;
  await db.query(
    `insert into preferences (units, terms, hand, fractions, manner, currency, rate, last_loop, ends)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (one) do update set units = excluded.units, terms = excluded.terms, hand = excluded.hand,
       fractions = excluded.fractions, manner = excluded.manner, currency = excluded.currency, rate = excluded.rate,
       last_loop = excluded.last_loop, ends = excluded.ends`,
    [units, terms, hand, fractions, manner, currency, rate, lastLoop, ends],
  );
}
