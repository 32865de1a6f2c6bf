import type { BinKind, Binned } from '@puntada/core/records';
import { nameless } from '@puntada/core/words';
import { z } from 'zod';
import { changedOne, type Database, type Db, rows } from '../db/database.ts';

/** What can lie in the bin, its table, and the name that a maker knows it by. */
const tables: Readonly<Record<BinKind, { readonly table: string; readonly title: string }>> = {
  yarn: { table: 'drawer', title: "concat_ws(' ', yarn ->> 'line', yarn ->> 'name')" },
  swatch: { table: 'swatches', title: "swatch ->> 'title'" },
  draft: { table: 'drafts', title: 'title' },
  // The name stands in the first line of the notation.
  pattern: { table: 'patterns', title: `split_part(pattern ->> 'text', '"', 2)` },
};

/** Puts a record into the bin. @returns whether it was not there already */
export function putIntoBin(db: Db, kind: BinKind, id: string): Promise<boolean> {
  const { table } = tables[kind];
  return changedOne(db, `update ${table} set deleted_at = now() where id = $1 and deleted_at is null`, [id]);
}

/** Takes a record out of the bin, as it was. @returns whether it lay there */
export function takeOutOfBin(db: Db, kind: BinKind, id: string): Promise<boolean> {
  const { table } = tables[kind];
  return changedOne(db, `update ${table} set deleted_at = null where id = $1 and deleted_at is not null`, [id]);
}

const binnedRow = z.object({
  kind: z.enum(['yarn', 'swatch', 'draft', 'pattern']),
  id: z.uuid(),
  title: z.string().nullable(),
  deleted_at: z.date(),
});

/** Everything in the bin beside projects, the last deleted first. */
export async function listBin(db: Db): Promise<Binned[]> {
  const parts = Object.entries(tables).map(
    ([kind, { table, title }]) =>
      `select '${kind}' as kind, id, ${title} as title, deleted_at from ${table} where deleted_at is not null`,
  );
  const found = await rows(db, binnedRow, `${parts.join(' union all ')} order by deleted_at desc, id`);
  return found.map(({ kind, id, title, deleted_at }) => ({
    kind,
    id,
    title: title || nameless,
    deletedAt: deleted_at.toISOString(),
  }));
}

/** Days that what is deleted can be put back. */
const daysInBin = 30;

/** Deletes for good what has been in the bin long enough. */
export async function emptyBin(db: Database): Promise<void> {
  const old = `deleted_at < now() - interval '${daysInBin} days'`;
  await db.transaction(async (tx) => {
    await tx.query(`delete from log where ${old}`);
    await tx.query(
      'delete from photos where not exists (select 1 from log where log.work_id = photos.work_id and log.id = photos.entry_id)',
    );
    for (const table of ['photos', 'log', 'ticks', 'progress', 'former_plans']) {
      await tx.query(`delete from ${table} where work_id in (select id from works where ${old})`);
    }
    await tx.query(`delete from works where ${old}`);
    for (const { table } of Object.values(tables)) await tx.query(`delete from ${table} where ${old}`);
  });
}
