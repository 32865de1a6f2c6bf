import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { PGlite } from '@electric-sql/pglite';
import { z } from 'zod';
import { rows } from './database.ts';

const folder = fileURLToPath(new URL('./sql/', import.meta.url));

/** Brings the database forward to the newest shape, a numbered file at a time, each in a transaction of its own. */
export async function migrate(db: PGlite): Promise<void> {
  await db.exec(
    'create table if not exists migrations (number integer primary key, name text not null, applied_at timestamptz not null default now())',
  );
  const done = await rows(db, z.object({ number: z.number() }), 'select number from migrations');
  const applied = new Set(done.map((each) => each.number));
  const files = readdirSync(folder)
    .filter((name) => /^\d+_.*\.sql$/.test(name))
    .sort();
  const known = Math.max(0, ...files.map((name) => Number.parseInt(name, 10)));
  const newest = Math.max(0, ...applied);
  if (newest > known) {
    throw new Error(
      `The data folder was last used by a newer Puntada (shape ${newest}; this one knows ${known}). Use that one, or another data folder.`,
    );
  }
  for (const name of files) {
    const number = Number.parseInt(name, 10);
    if (applied.has(number)) continue;
    const sql = readFileSync(`${folder}/${name}`, 'utf8');
    await db.transaction(async (tx) => {
      await tx.exec(sql);
      await tx.query('insert into migrations (number, name) values ($1, $2)', [number, name]);
    });
  }
}
