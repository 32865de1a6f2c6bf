import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openDatabase } from '../src/db/open.ts';

const templates = fileURLToPath(new URL('../../.cache/fresh-folders/', import.meta.url));
const shapes = fileURLToPath(new URL('../src/db/sql/', import.meta.url));

/** What an empty data folder hangs on: the database package and every shape it was brought through. */
function nameOfTemplate(): string {
  const hash = createHash('sha256');
  hash.update(readFileSync(createRequire(import.meta.url).resolve('@electric-sql/pglite')));
  for (const name of readdirSync(shapes).sort()) hash.update(name).update(readFileSync(join(shapes, name)));
  return hash.digest('hex').slice(0, 16);
}

/** An empty data folder as the server makes it; made once, since that takes seconds, and by whoever needs it first. */
async function template(): Promise<string> {
  const made = join(templates, nameOfTemplate());
  if (existsSync(made)) return made;
  mkdirSync(templates, { recursive: true });
  const own = mkdtempSync(join(templates, 'making-'));
  await (await openDatabase(own)).close();
  try {
    renameSync(own, made);
  } catch {
    // Another process was quicker.
    rmSync(own, { recursive: true, force: true });
  }
  return made;
}

/** A data folder of a test's own, empty but ready. */
export async function freshFolder(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'puntada-server-'));
  cpSync(await template(), folder, { recursive: true });
  return folder;
}
