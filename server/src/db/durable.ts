import { closeSync, fsyncSync, openSync, readdirSync } from 'node:fs';
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
 * Opens a database in a folder so that what it has acknowledged is kept, whatever happens to the power.
 * @param fresh that there is none yet: one is made @throws what the file system or PostgreSQL says
 */
export async function openDurable(folder: string, fresh: boolean): Promise<PGlite> {
  const pglite = await PGlite.create({ fs: new DurableFolder(folder), startParams: asking });
  // Whoever lays out a new database asks for nothing.
  if (fresh) syncAll(folder);
  return pglite;
}
