import { good, type Result, refused } from '@puntada/core/craft';
import type { ArchiveHead } from '@puntada/core/records';
import { Refusal } from '../http/answers.ts';
import { openJsonFile } from './legacy.ts';
import { openArchive } from './read.ts';
import { type Counts, checkKept, isArchive, mustHold } from './restore.ts';
import type { Watch } from './watch.ts';
import { pack } from './write.ts';

/** What a file holds in which nothing is damaged, nor against the craft. */
export interface Looked extends Counts, Pick<ArchiveHead, 'holds' | 'madeAt'> {
  /** By which it is known again when it is opened. */
  readonly seal: string;
}

/** A file that somebody has given. */
export interface ToLookAt {
  readonly path: string;
  /** What it is to hold; either without it. */
  readonly holds?: ArchiveHead['holds'] | undefined;
}

async function lookAt({ path, holds }: ToLookAt, watch: Watch): Promise<Looked> {
  if (!(await isArchive(path))) {
    const document = await openJsonFile(path);
    await pack(path, { head: document.head, lines: document.lines(), pictures: document.pictures }, watch);
  }
  const kept = await openArchive(path, watch);
  try {
    if (holds) mustHold(kept, holds);
    const { head, seal } = kept;
    return { holds: head.holds, madeAt: head.madeAt, seal, ...(await checkKept(kept, watch)) };
  } finally {
    await kept.close();
  }
}

/** How a file is looked through, here or elsewhere. */
export type LookThrough = (given: ToLookAt, watch?: Watch) => Promise<Result<Looked>>;

/**
 * Looks through a file that somebody has given: what takes long, for wherever nobody waits for it. The JSON of an earlier version
 * becomes an archive in its place, so that it is opened piece by piece afterwards.
 */
export const look: LookThrough = async (given, watch = {}) => {
  try {
    return good(await lookAt(given, watch));
  } catch (error) {
    if (error instanceof Refusal) return refused(...error.problems);
    throw error;
  }
};
