import { breathing } from '../http/breathing.ts';
import type { Database } from './database.ts';

/** Tables whose rows are changed again and again: what they were before takes room until it is cleared away. */
const changed = ['progress', 'works', 'drafts', 'patterns', 'drawer', 'swatches'];

/**
 * Counts what is in the tables, by which the database finds its ways, and clears away what rows were before: nobody else
 * does it in the database in this process.
 */
export async function tidy(db: Database): Promise<void> {
  const breathe = breathing(0);
  for (const table of changed) {
    await db.exec(`vacuum ${table}`);
    await breathe();
  }
  await count(db);
}

/** The counts alone: after much was written at once. */
export async function count(db: Database): Promise<void> {
  const breathe = breathing(0);
  const { rows } = await db.query("select tablename from pg_tables where schemaname = 'public' order by tablename");
  for (const { tablename } of rows) {
    await db.exec(`analyze ${String(tablename)}`);
    await breathe();
  }
}

/** Whether the steps were never counted. */
export async function isUncounted(db: Database): Promise<boolean> {
  const { rows } = await db.query("select reltuples < 0 as uncounted from pg_class where relname = 'ticks'");
  return rows[0]?.uncounted === true;
}
