import { randomUUID } from 'node:crypto';
import type { DrawerYarn, StoredYarn } from '@puntada/core/records';
import { changedOne, type Db, row } from '../db/database.ts';
import { readable, unreadOf } from '../db/readable.ts';
import { drawerRow } from './schema.ts';

const columns = 'id, revision, yarn';
const from = 'from drawer where deleted_at is null';
const order = "yarn ->> 'line', yarn ->> 'name', id";

/** All yarns that can be read, by line and shade. */
export async function listDrawer(db: Db): Promise<StoredYarn[]> {
  return (await readable(db, drawerRow, `select ${columns} ${from} order by ${order}`)).read;
}

/** Yarns that this version cannot read. */
export const unreadYarns = unreadOf(drawerRow, { columns, from, document: 'yarn::text', order });

export function findYarn(db: Db, id: string): Promise<StoredYarn | undefined> {
  return row(db, drawerRow, `select ${columns} ${from} and id = $1`, [id]);
}

/** Stores a new yarn. @returns its id */
export async function addYarn(db: Db, yarn: DrawerYarn, id: string = randomUUID()): Promise<string> {
  const sql = 'insert into drawer (id, revision, yarn) values ($1, 1, $2) on conflict do nothing';
  await db.query(sql, [id, JSON.stringify(yarn)]);
  return id;
}

/** Replaces a yarn changed on this very revision. @returns whether it was */
export function changeYarn(db: Db, id: string, revision: number, yarn: DrawerYarn): Promise<boolean> {
  return changedOne(
    db,
    'update drawer set yarn = $3, revision = revision + 1, changed_at = now() where id = $1 and revision = $2 and deleted_at is null',
    [id, revision, JSON.stringify(yarn)],
  );
}
