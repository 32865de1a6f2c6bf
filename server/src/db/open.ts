import { join } from 'node:path';
import type { Database } from './database.ts';
import { holdFolder } from './lock.ts';
import { migrate } from './migrate.ts';
import { openPglite } from './pglite.ts';
import { openPostgres } from './postgres.ts';

/** Opens the database of a data folder, alone. @throws FolderHeldError when another process has it open */
export async function openDatabase(folder: string): Promise<Database> {
  const release = holdFolder(folder);
  try {
    const db = await openPglite(join(folder, 'database'));
    await migrate(db);
    return {
      ...db,
      async close() {
        await db.close();
        release();
      },
    };
  } catch (error) {
    release();
    throw error;
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
