import type { Database } from './database.ts';

/** Photos are read by the copy of each day: to read them all at every start would take minutes. */
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
