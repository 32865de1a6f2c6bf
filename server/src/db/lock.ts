import {
  chmodSync,
  closeSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { startingWords } from '@puntada/core/words';
import { CannotStart } from './fault.ts';

/** The data folder is held by another running process. */
export class FolderHeldError extends Error {
  constructor(folder: string, pid: number) {
    super(startingWords.folderHeld(folder, pid));
    this.name = 'FolderHeldError';
  }
}

/** Tells one process from a later one with the same number: its start time where the system tells it. */
function startedAt(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    return '';
  }
}

function isRunning(pid: number, started: string): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    // A number that was given out again to a process of somebody else's tells no more than any other.
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  const since = startedAt(pid);
  return started === '' || since === '' || since === started;
}

/**
 * Takes the data folder for this process alone.
 * @returns what gives it back
 * @throws FolderHeldError when another running process holds it; a lock left by a killed one is taken over
 */
export function holdFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  // What a maker keeps is nobody else's.
  chmodSync(folder, 0o700);
  const path = join(folder, 'held-by');
  if (statSync(path, { throwIfNoEntry: false })?.isDirectory()) throw new CannotStart('lock', folder);
  for (let tries = 0; tries < 5; tries++) {
    try {
      const file = openSync(path, 'wx');
      writeSync(file, `${process.pid} ${startedAt(process.pid)}\n`);
      closeSync(file);
      return () => rmSync(path, { force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const text = readText(path);
    const [pid = '', started = ''] = text.trim().split(' ');
    if (pid !== '' && isRunning(Number(pid), started)) throw new FolderHeldError(folder, Number(pid));
    removeStale(path, text);
  }
  throw new Error(startingWords.lockFailed(path));
}

function readText(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return '';
  }
}

/** Moves a dead lock aside; of two processes that try, one succeeds. A lock made in the meantime is put back. */
function removeStale(path: string, text: string): void {
  const aside = `${path}.${process.pid}`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  if (readText(aside) === text) rmSync(aside, { force: true });
  else renameSync(aside, path);
}
