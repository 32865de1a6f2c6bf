import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Problem } from '@puntada/core/craft';
import type { ArchiveHead } from '@puntada/core/records';
import { type Looked, type LookThrough, look } from '../archive/look.ts';
import { openArchive } from '../archive/read.ts';
import { type Counts, restoreKept } from '../archive/restore.ts';
import type { Watch } from '../archive/watch.ts';
import { writeArchive } from '../archive/write.ts';
import type { Database } from '../db/database.ts';
import { count } from '../db/tidy.ts';
import { readPhotosThrough } from '../db/whole.ts';
import { accept } from '../http/answers.ts';
import { faultCodeOf } from '../http/faultCode.ts';
import { forgetAll } from '../memory.ts';
import { type CopyName, nameOf, outlived, type Reason, readName } from './names.ts';

export interface Copy extends CopyName {
  readonly bytes: number;
}

/** The copies of a bench that lie in its data folder. */
export class Copies {
  private readonly db: Database;
  private readonly now: () => Date;
  private readonly folder: string;
  private readonly through: LookThrough;
  /** The bench is being replaced: what would be written into the old one now would be lost. */
  replacing = false;
  /** Why the last copy that was to be made without anybody asking was not made. */
  trouble: Problem | undefined;

  /** @param folder in which the copies lie @param now the clock @param through looks through what is put back */
  constructor(db: Database, folder: string, now: () => Date, through: LookThrough = look) {
    this.db = db;
    this.folder = folder;
    this.now = now;
    this.through = through;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  }

  /** All that are whole, newest first. */
  list(): Copy[] {
    return readdirSync(this.folder)
      .flatMap((name) => readName(name) ?? [])
      .map((copy) => ({ ...copy, bytes: statSync(join(this.folder, copy.name)).size }))
      .sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
  }

  /** Where a copy lies; nothing where there is none of this name. */
  pathOf(name: string): string | undefined {
    return this.list().some((copy) => copy.name === name) ? join(this.folder, name) : undefined;
  }

  /** Makes a copy, reads it back, and lets go of those that have had their time. @returns its name */
  async make(reason: Reason, watch: Watch = {}): Promise<string> {
    const madeAt = this.now();
    const name = nameOf(madeAt, reason);
    const head: ArchiveHead = {
      format: 'puntada-archive',
      version: 2,
      holds: 'bench',
      madeAt: madeAt.toISOString(),
      stands: '',
      hanging: [],
    };
    await writeArchive(this.db, join(this.folder, name), head, undefined, watch);
    for (const copy of outlived(this.list(), this.now())) rmSync(join(this.folder, copy.name), { force: true });
    return name;
  }

  /** Keeps what is here before it is replaced or added to in bulk; nothing where there is nothing. @returns its name */
  async makeBefore(reason: Exclude<Reason, 'asked' | 'day'>, watch: Watch = {}): Promise<string | undefined> {
    return (await this.isEmpty()) ? undefined : this.make(reason, watch);
  }

  /** Makes the copy of this day, unless it is there or there is nothing to keep. @throws why it was not made */
  async makeOfDay(): Promise<string | undefined> {
    try {
      const name = await this.makeUnlessThere();
      this.trouble = undefined;
      return name;
    } catch (error) {
      this.trouble = { code: faultCodeOf(error) ?? 'copy-not-made', path: '' };
      throw error;
    }
  }

  /** Looks whether all photos can be read; one that cannot is told where the copy of the day is. @throws likewise */
  async lookAtPhotos(): Promise<void> {
    try {
      await readPhotosThrough(this.db);
    } catch (error) {
      this.trouble = { code: faultCodeOf(error) ?? 'copy-not-made', path: '' };
      throw error;
    }
  }

  private async makeUnlessThere(): Promise<string | undefined> {
    const today = this.now().toISOString().slice(0, 10);
    const made = this.list().some(
      ({ reason, madeAt }) => reason === 'day' && madeAt.toISOString().slice(0, 10) === today,
    );
    return made || (await this.isEmpty()) ? undefined : this.make('day');
  }

  private async isEmpty(): Promise<boolean> {
    const { rows } = await this.db.query(
      'select 1 from works union all select 1 from drawer union all select 1 from swatches union all select 1 from patterns limit 1',
    );
    return rows.length === 0;
  }

  /** What a file holds, once all of it was read and nothing is damaged. @param holds what it is to be; any without it */
  async look(path: string, watch: Watch = {}, holds?: Looked['holds']): Promise<Looked> {
    return accept(await this.through({ path, holds }, watch));
  }

  /**
   * Puts what a file holds in place of everything that is here, once nothing in it is damaged, and once what is here is
   * kept as a copy. Whole or not at all. @returns what was in it, and the copy of what was here
   */
  async restore(path: string, watch: Watch = {}): Promise<Counts & { safety: string | undefined }> {
    const { seal, holds: _holds, madeAt: _madeAt, ...counts } = await this.look(path, watch, 'bench');
    this.replacing = true;
    try {
      const safety = await this.makeBefore('before-restore', watch);
      const kept = await openArchive(path, watch, seal);
      try {
        await this.db.transaction((tx) => restoreKept(tx, kept, watch));
      } finally {
        await kept.close();
      }
      forgetAll();
      await count(this.db);
      return { ...counts, safety };
    } finally {
      this.replacing = false;
    }
  }
}
