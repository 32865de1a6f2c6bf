import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startingWords } from '@puntada/core/words';
import { z } from 'zod';
import { type Database, type Db, rows } from './database.ts';

/** Any number, as long as it stays the same: processes that start at once wait for one another by it. */
const ownLock = 7468;

const folder = fileURLToPath(new URL('./sql/', import.meta.url));

/** A newer version has used this data. */
export class NewerDataError extends Error {
  constructor(newest: number, known: number) {
    super(startingWords.newerData(newest, known));
    this.name = 'NewerDataError';
  }
}

/**
 * The newest shape of a database that has been used and is to be brought forward; nothing where there is nothing to do, or
 * nothing in it yet.
 */
export async function shapeToLeave(db: Db): Promise<number | undefined> {
  const { rows: table } = await db.query("select 1 from information_schema.tables where table_name = 'migrations'");
  if (!table.length) return undefined;
  const done = (await rows(db, z.object({ number: z.number() }), 'select number from migrations')).map(
    (each) => each.number,
  );
  const shape = Math.max(0, ...done);
  const known = Math.max(...readdirSync(folder).map((name) => Number.parseInt(name, 10) || 0));
  if (!shape || shape >= known) return undefined;
  const { rows: used } = await db.query('select 1 from works limit 1');
  return used.length ? shape : undefined;
}

/** Brings the database forward to the newest shape, a numbered file at a time, each in a transaction of its own. */
export async function migrate(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    // Of several processes that start at once on one server, one makes the table.
    await tx.query('select pg_advisory_xact_lock($1)', [ownLock]);
    await tx.exec(
      'create table if not exists migrations (number integer primary key, name text not null, applied_at timestamptz not null default now())',
    );
  });
  const done = await rows(db, z.object({ number: z.number() }), 'select number from migrations');
  const applied = new Set(done.map((each) => each.number));
  const files = readdirSync(folder)
    .filter((name) => /^\d+_.*\.sql$/.test(name))
    .sort();
  const known = Math.max(0, ...files.map((name) => Number.parseInt(name, 10)));
  const newest = Math.max(0, ...applied);
  if (newest > known) {
    throw new NewerDataError(newest, known);
  }
  for (const name of files) {
    const number = Number.parseInt(name, 10);
    if (applied.has(number)) continue;
    const sql = readFileSync(`${folder}/${name}`, 'utf8');
    await db.transaction(async (tx) => {
      // Of several processes that start at once, one brings the shape; the others wait, and find it done.
      await tx.exec('lock table migrations in exclusive mode');
      const { rows: meanwhile } = await tx.query('select 1 from migrations where number = $1', [number]);
      if (meanwhile.length) return;
      await tx.exec(sql);
      await tx.query('insert into migrations (number, name) values ($1, $2)', [number, name]);
    });
  }
}
