import { z } from 'zod';
import { breathing } from '../http/breathing.ts';
import { type Database, rows } from './database.ts';

/** Photos are read after the start, one by one: nobody is to wait until all of them are. */
const left = 'photos';

/**
 * Reads everything in the database but photos, so that a damaged page is found before anything is built on it: each page
 * carries a sum of itself, which PostgreSQL looks at when the page is read.
 * @throws what PostgreSQL says of the first page that does not hold together
 */
export async function readThrough(db: Database): Promise<void> {
  await db.transaction(async (tx) => {
    // An index would answer without the table.
    await tx.exec('set local enable_indexscan = off; set local enable_indexonlyscan = off');
    const { rows } = await tx.query(
      `select format('select sum(octet_length(t::text)) from %I t', tablename) as read_all
       from pg_tables where schemaname = 'public' and tablename <> $1`,
      [left],
    );
    for (const { read_all } of rows) await tx.query(String(read_all));
  });
}

const photo = z.object({ work_id: z.uuid(), entry_id: z.uuid() });

/** Reads all photos, one after the other, while others use the bench. @throws what PostgreSQL says, as {@link readThrough} */
export async function readPhotosThrough(db: Database): Promise<void> {
  const breathe = breathing(0);
  for (const { work_id, entry_id } of await rows(db, photo, 'select work_id, entry_id from photos')) {
    // A sum of each, so that all of its bytes are looked at.
    await db.query('select md5(image), md5(small) from photos where work_id = $1 and entry_id = $2', [
      work_id,
      entry_id,
    ]);
    await breathe();
  }
}
