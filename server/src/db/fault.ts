import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { type StartFault, startingWords } from '@puntada/core/words';
import { readName } from '../copies/names.ts';

/** The names of the copies in a data folder, newest first; none where it cannot be read. */
export function copiesIn(folder: string): string[] {
  try {
    const copies = readdirSync(join(folder, 'copies')).flatMap((name) => readName(name) ?? []);
    return copies.sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime()).map(({ name }) => name);
  } catch {
    return [];
  }
}

/** The data cannot be opened: one plain message with what was found, what is safe, and what to do. */
export class CannotStart extends Error {
  readonly why: StartFault;

  constructor(why: StartFault, folder: string, cause?: unknown) {
    super(startingWords.cannotStart(why, folder, copiesIn(folder)), { cause });
    this.name = 'CannotStart';
    this.why = why;
  }
}

const byCode: Readonly<Record<string, StartFault>> = {
  ENOTDIR: 'not-a-folder',
  EEXIST: 'not-a-folder',
  EACCES: 'not-mine',
  EPERM: 'not-mine',
  EROFS: 'not-mine',
  ENOSPC: 'disk-full',
  EDQUOT: 'disk-full',
  EISDIR: 'lock',
};

/** What an error of the file system says of a data folder; nothing where it is none. */
export function faultOf(error: unknown): StartFault | undefined {
  return byCode[(error as NodeJS.ErrnoException | undefined)?.code ?? ''];
}
