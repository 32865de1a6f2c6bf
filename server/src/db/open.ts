import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { holdFolder } from './lock.ts';
import { migrate } from './migrate.ts';

export interface OpenDatabase {
  readonly db: PGlite;
  close(): Promise<void>;
}

/** Opens the database of a data folder, alone. @throws FolderHeldError when another process has it open */
export async function openDatabase(folder: string): Promise<OpenDatabase> {
  const release = holdFolder(folder);
  try {
    const db = await PGlite.create(join(folder, 'database'));
    await migrate(db);
    return {
      db,
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
