import { cpSync, existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from './database.ts';
import { CannotStart, copiesIn, faultOf } from './fault.ts';
import { FolderHeldError, holdFolder } from './lock.ts';
import { migrate, NewerDataError, shapeToLeave } from './migrate.ts';
import { openPglite } from './pglite.ts';
import { openPostgres } from './postgres.ts';
import { readThrough } from './whole.ts';

/** Files without which a folder is no database. */
const needed = ['PG_VERSION', 'global/pg_control', 'base', 'pg_wal'];

/** Where the database of a data folder lies. */
export function databaseIn(folder: string): string {
  return join(folder, 'database');
}

/** Refuses to lay a new database over what is left of an old one. @throws CannotStart */
function refuseRemains(folder: string): void {
  const database = databaseIn(folder);
  if (!existsSync(database)) {
    if (copiesIn(folder).length) throw new CannotStart('database-gone', folder);
    return;
  }
  if (!statSync(database).isDirectory()) throw new CannotStart('database-damaged', folder);
  if (!readdirSync(database).length) {
    if (copiesIn(folder).length) throw new CannotStart('database-gone', folder);
    return;
  }
  const whole = needed.every((name) => {
    const found = statSync(join(database, name), { throwIfNoEntry: false });
    return found && (found.isDirectory() || found.size > 0);
  });
  if (!whole) throw new CannotStart('database-damaged', folder);
}

const daysKept = 30;

/** The database of a data folder. */
export interface Opened extends Database {
  /** An older version has made it, and this one has just brought it forward. */
  readonly takenOver: boolean;
}

/**
 * Opens a database. What an older version has made of it is kept beside it as it was for 30 days, so that that version can
 * go on with it.
 */
async function openKeepingOld(folder: string): Promise<Opened> {
  const path = databaseIn(folder);
  const db = await openPglite(path);
  const shape = await shapeToLeave(db);
  if (shape === undefined) return { ...db, takenOver: false };
  await db.close();
  for (const name of readdirSync(folder)) {
    const old = join(folder, name);
    const time = Number(/^database-before-\d+-(\d+)$/.exec(name)?.[1]);
    if (Date.now() - time > daysKept * 86_400_000) rmSync(old, { recursive: true, force: true });
  }
  cpSync(path, `${path}-before-${shape + 1}-${Date.now()}`, { recursive: true });
  return { ...(await openPglite(path)), takenOver: true };
}

/** @throws CannotStart for what the maker can do something about; else what it was */
function asFault(error: unknown, folder: string, usual: 'database-damaged' | 'migration-failed'): never {
  if (error instanceof CannotStart || error instanceof FolderHeldError || error instanceof NewerDataError) throw error;
  throw new CannotStart(faultOf(error) ?? usual, folder, error);
}

/**
 * Opens the database of a data folder, alone. @param meant `new` where an empty one is to be made though there are copies
 * @throws FolderHeldError when another process has it open @throws NewerDataError when a newer version has used it
 * @throws CannotStart when it is damaged, or cannot be read or written: nothing is changed then
 */
export async function openDatabase(folder: string, meant: 'found' | 'new' = 'found'): Promise<Opened> {
  let release: (() => void) | undefined;
  try {
    release = holdFolder(folder);
    if (meant === 'found') refuseRemains(folder);
    const db = await openKeepingOld(folder);
    await migrate(db).catch(async (error: unknown) => {
      await db.close().catch(() => undefined);
      asFault(error, folder, 'migration-failed');
    });
    await readThrough(db).catch(async (error: unknown) => {
      await db.close().catch(() => undefined);
      asFault(error, folder, 'database-damaged');
    });
    const letGo = release;
    return {
      ...db,
      async close() {
        await db.close();
        letGo();
      },
    };
  } catch (error) {
    release?.();
    return asFault(error, folder, 'database-damaged');
  }
}

/** Opens a database on a PostgreSQL server, which several processes may share. @param address as `postgres://…` */
export async function openShared(address: string): Promise<Database> {
  const db = openPostgres(address);
  try {
    await migrate(db);
    return db;
  } catch (error) {
    await db.close();
    throw error;
  }
}
