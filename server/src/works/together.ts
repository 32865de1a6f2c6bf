import type { Work } from '@puntada/core/records';
import { setNotice } from '@puntada/core/words';
import { togetherWith } from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { listWorks, noteChange } from './queries.ts';

/**
 * Plans the others of a set as one of it was planned: they are of one size, and differ in their yarns alone. Those that
 * are begun stay as they are on the hook, and one that could not be planned so is left as it was.
 */
export async function planTogether(db: Db, heavy: Heavy, { id, wish }: Work): Promise<void> {
  const { set } = wish;
  if (!set || set.part) return;
  for (const other of await listWorks(db)) {
    const own = other.wish.set;
    if (other.id === id || other.state !== 'wished' || own?.id !== set.id || own.part) continue;
    const along = togetherWith(wish, other.wish);
    if (JSON.stringify(along) === JSON.stringify(togetherWith(other.wish, other.wish))) continue;
    if ((await heavy.run('check', along)).ok) await noteChange(db, other.id, along, setNotice(wish.title));
  }
}
