import { closeSync, fsyncSync, openSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** An open file of the database, with its descriptor in this process. */
interface OpenFile {
  readonly nfd: number;
}

/** The part of the file layer of the database that asks the system for something. */
interface FileLayer {
  readonly NODEFS: { readonly stream_ops: { fsync?: (file: OpenFile) => number } };
}

/**
 * A folder on the disk whose files are on the disk, not on their way there, whenever PostgreSQL asks for it: what is
 * acknowledged outlives a power cut. Left alone, the file layer answers that they are, and asks nobody.
 */
class DurableFolder extends NodeFS {
  override async init(...given: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const { emscriptenOpts } = await super.init(...given);
    const syncing = (module: unknown): void => {
      (module as FileLayer).NODEFS.stream_ops.fsync = ({ nfd }) => {
        fsyncSync(nfd);
        return 0;
      };
    };
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), syncing] } };
  }
}

/** With `-F` PostgreSQL would ask for nothing; and of the ways to ask, only `fsync` comes through the file layer. */
const asking = [...PGlite.defaultStartParams.filter((each) => each !== '-F'), '-c', 'wal_sync_method=fsync'];

/** Puts every file of a folder on the disk, and the folders themselves. */
function syncAll(folder: string): void {
  const found = readdirSync(folder, { recursive: true, withFileTypes: true });
  for (const path of [folder, ...found.map((each) => join(each.parentPath, each.name))]) {
    const file = openSync(path, 'r');
    try {
      fsyncSync(file);
    } finally {
      closeSync(file);
    }
  }
}

/**
 * Pages that the database keeps in memory of its own. PostgreSQL takes four times as much, for a server of many; here the
 * system keeps the files in memory as well. @returns whether it was changed
 */
function fitMemory(folder: string): boolean {
  const path = join(folder, 'postgresql.conf');
  const settings = readFileSync(path, 'utf8');
  const fitted = settings.replace(/^shared_buffers = 128MB/m, 'shared_buffers = 32MB');
  if (fitted === settings) return false;
  writeFileSync(path, fitted);
  return true;
}

function open(folder: string): Promise<PGlite> {
  return PGlite.create({ fs: new DurableFolder(folder), startParams: asking });
}

/**
 * Opens a database in a folder so that what it has acknowledged is kept, whatever happens to the power.
 * @param fresh that there is none yet: one is made @throws what the file system or PostgreSQL says
 */
export async function openDurable(folder: string, fresh: boolean): Promise<PGlite> {
  const made = await open(folder);
  // One that does not open is left as it is; one that was there goes by it from its next start.
  if (!fitMemory(folder) || !fresh) return made;
  await made.close();
  // Whoever lays out a new database asks for nothing.
  syncAll(folder);
  return open(folder);
}
