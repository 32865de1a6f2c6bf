import { randomUUID } from 'node:crypto';
import type { StoredSwatch, Swatch } from '@puntada/core/records';
import type { z } from 'zod';
import { changedOne, type Db, row } from '../db/database.ts';
import { readable, unreadOf } from '../db/readable.ts';
import { swatchRow } from './schema.ts';

const columns = 'id, revision, swatch, changed_at';
const from = 'from swatches where deleted_at is null';
const order = 'changed_at desc, id';

function told({ id, revision, swatch, changed_at }: z.output<typeof swatchRow>): StoredSwatch {
  return { id, revision, swatch, changedAt: changed_at.toISOString() };
}

/** All swatches that can be read, the latest changed first. */
export async function listSwatches(db: Db): Promise<StoredSwatch[]> {
  return (await readable(db, swatchRow, `select ${columns} ${from} order by ${order}`)).read.map(told);
}

/** Swatches that this version cannot read. */
export const unreadSwatches = unreadOf(swatchRow, { columns, from, document: 'swatch::text', order });

export async function findSwatch(db: Db, id: string): Promise<StoredSwatch | undefined> {
  const found = await row(db, swatchRow, `select ${columns} ${from} and id = $1`, [id]);
  return found && told(found);
}

/** Stores a new swatch. @returns its id */
export async function addSwatch(db: Db, swatch: Swatch, id: string = randomUUID()): Promise<string> {
  const sql = 'insert into swatches (id, revision, swatch) values ($1, 1, $2) on conflict do nothing';
  await db.query(sql, [id, JSON.stringify(swatch)]);
  return id;
}

/** Replaces a swatch changed on this very revision. @returns whether it was */
export function changeSwatch(db: Db, id: string, revision: number, swatch: Swatch): Promise<boolean> {
  return changedOne(
    db,
    'update swatches set swatch = $3, revision = revision + 1, changed_at = now() where id = $1 and revision = $2 and deleted_at is null',
    [id, revision, JSON.stringify(swatch)],
  );
}
