import { existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { holdsWords, problemWords, startingWords } from '@puntada/core/words';
import { checkKept, mustHold, openKept, restoreKept } from './archive/restore.ts';
import { CannotStart, copiesIn } from './db/fault.ts';
import { holdFolder } from './db/lock.ts';
import { databaseIn, openDatabase } from './db/open.ts';
import { Refusal } from './http/answers.ts';

/** Where a copy lies that was named, or a file that was given. */
function find(folder: string, named: string): string | undefined {
  return [join(folder, 'copies', named), resolve(process.env.INIT_CWD ?? '.', named)].find((path) => existsSync(path));
}

/**
 * Puts a copy in place of the database of a data folder, without a server. The file is looked into first; the database
 * that was there is set aside, and nothing of it is changed. @returns what to tell
 * @throws CannotStart, FolderHeldError, Refusal: nothing was put back then
 */
export async function putBack(folder: string, named: string, now: Date): Promise<string> {
  const path = find(folder, named);
  if (!path) return startingWords.whichCopy(copiesIn(folder));
  const kept = await openKept(path);
  try {
    mustHold(kept, 'bench');
    const counts = await checkKept(kept);
    // Another process that has it open would go on in what is set aside.
    holdFolder(folder)();
    const [database, aside] = [databaseIn(folder), `${databaseIn(folder)}-aside-${now.getTime()}`];
    const was = existsSync(database);
    if (was) renameSync(database, aside);
    try {
      const db = await openDatabase(folder, 'new');
      await db.transaction((tx) => restoreKept(tx, kept)).finally(() => db.close());
    } catch (error) {
      rmSync(database, { recursive: true, force: true });
      if (was) renameSync(aside, database);
      throw error;
    }
    return startingWords.putBack(named, holdsWords(counts), was ? aside : '');
  } finally {
    await kept.close();
  }
}

/** Run from the command line: the name of a copy, or the path of a backup. */
async function main(): Promise<void> {
  const folder = resolve(process.env.PUNTADA_DATA ?? '.data/own');
  const [named = ''] = process.argv.slice(2);
  if (!named) {
    process.stdout.write(`${startingWords.whichCopy(copiesIn(folder))}\n`);
    return;
  }
  try {
    process.stdout.write(`${await putBack(folder, named, new Date())}\n`);
  } catch (error) {
    const [problem] = error instanceof Refusal ? error.problems : [];
    const why = problem ? Object.values(problemWords(problem)).join(' ') : (error as Error).message;
    process.stderr.write(`${error instanceof CannotStart ? why : startingWords.notPutBack(why)}\n`);
    process.exitCode = 1;
  }
}

if (process.argv[1]?.endsWith('putBack.mjs')) await main();
