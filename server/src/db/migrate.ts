import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startingWords } from '@puntada/core/words';
import { z } from 'zod';
import { type Database, rows } from './database.ts';

/** Any number, as long as it stays the same: processes that start at once wait for one another by it. */
const ownLock = 7468;

const folder = fileURLToPath(new URL('./sql/', import.meta.url));

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
    throw new Error(startingWords.newerData(newest, known));
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
