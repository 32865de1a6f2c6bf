import { randomUUID } from 'node:crypto';
import type { OwnPattern, StoredPattern } from '@puntada/core/records';
import type { z } from 'zod';
import { changedOne, type Database, type Db, row } from '../db/database.ts';
import { readable, unreadOf } from '../db/readable.ts';
import { patternRow } from './schema.ts';

const columns = 'id, revision, pattern, changed_at';
const from = 'from patterns where deleted_at is null';
const order = 'place nulls first, created_at desc, id';

function told({ id, revision, pattern, changed_at }: z.output<typeof patternRow>): StoredPattern {
  return { id, revision, pattern, changedAt: changed_at.toISOString() };
}

/** The maker's own patterns that can be read: those not yet put in order first, the latest made before the others. */
export async function listPatterns(db: Db): Promise<StoredPattern[]> {
  return (await readable(db, patternRow, `select ${columns} ${from} order by ${order}`)).read.map(told);
}

/** Patterns that this version cannot read. */
export const unreadPatterns = unreadOf(patternRow, { columns, from, document: 'pattern::text', order });

export async function findPattern(db: Db, id: string): Promise<StoredPattern | undefined> {
  const found = await row(db, patternRow, `select ${columns} ${from} and id = $1`, [id]);
  return found && told(found);
}

/** Stores a new pattern. @returns its id */
export async function addPattern(db: Db, pattern: OwnPattern, id: string = randomUUID()): Promise<string> {
  const sql = 'insert into patterns (id, revision, pattern) values ($1, 1, $2) on conflict do nothing';
  await db.query(sql, [id, JSON.stringify(pattern)]);
  return id;
}

/** Replaces a pattern changed on this very revision. @returns whether it was */
export function changePattern(db: Db, id: string, revision: number, pattern: OwnPattern): Promise<boolean> {
  return changedOne(
    db,
    `update patterns set pattern = $3, revision = revision + 1, changed_at = now()
     where id = $1 and revision = $2 and deleted_at is null`,
    [id, revision, JSON.stringify(pattern)],
  );
}

/** Puts patterns in this order; what is not named stands before them. */
export async function orderPatterns(db: Database, ids: readonly string[]): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.query('update patterns set place = null where place is not null');
    await tx.query(
      `update patterns set place = told.place
       from unnest($1::uuid[]) with ordinality as told (id, place) where patterns.id = told.id`,
      [ids],
    );
  });
}
