import { type Wish, type Work, withUnitsTyped } from '@puntada/core/records';
import { setNotice } from '@puntada/core/words';
import { isTwin, togetherWith, twinOf } from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { amendWish, findWork, listWorks, noteChange, partsOfSet } from './queries.ts';

/** Another of the set as it is planned along with one; nothing where it could not be, or is not to be. */
async function along(heavy: Heavy, changed: Wish, own: Wish): Promise<Wish | undefined> {
  if (own.set?.part === 'back') {
    if (changed.set?.part !== 'front') return undefined;
    if (isTwin(changed, own)) return twinOf(changed, own);
    const back = await heavy.run('back', { front: changed, own });
    // Only its size goes along: what it is worked in, and in which yarns, is its own.
    if (!back.ok) return undefined;
    const { width, height } = back.value;
    const { choice: _choice, ...rest } = own;
    return withUnitsTyped({ ...rest, width, height });
  }
  if (changed.set?.part !== own.set?.part) return undefined;
  const wish = togetherWith(changed, own);
  return (await heavy.run('check', wish)).ok ? wish : undefined;
}

/**
 * Plans the others of a set as one of it was planned: they are of one size, and differ in their yarns alone; a back takes
 * the outside size of its front. Those that are begun stay as they are on the hook, and one that could not be planned so is
 * left as it was.
 */
export async function planTogether(db: Db, heavy: Heavy, { id, wish }: Work): Promise<void> {
  const { set } = wish;
  if (!set) return;
  for (const other of await listWorks(db)) {
    if (other.id === id || other.state !== 'wished' || other.wish.set?.id !== set.id) continue;
    const planned = await along(heavy, wish, other.wish);
    if (!planned || asTold(planned) === asTold(other.wish)) continue;
    await noteChange(db, other.id, planned, setNotice(wish.title));
  }
}

/** The same for wishes that say the same, in whatever order. */
function asTold(wish: Wish): string {
  return JSON.stringify(Object.entries(wish).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/**
 * Says in every front of a set of what size its back is, so that whatever plans the front knows the seam and the mouth of
 * both. The backs are taken in the order in which they were made, as the fronts are; where there are fewer, the last one
 * serves for the fronts that are left.
 */
export async function tellOtherSides(db: Db, heavy: Heavy, { set }: Pick<Wish, 'set'>): Promise<void> {
  if (!set?.part) return;
  const [fronts, backs] = [await partsOfSet(db, set.id, 'front'), await partsOfSet(db, set.id, 'back')];
  for (const [i, id] of fronts.entries()) {
    const front = await findWork(db, id);
    const side = await sideOfWork(db, heavy, backs[i] ?? backs.at(-1));
    const known = front?.wish.set?.other;
    if (!front?.wish.set || !side) continue;
    if (known?.stitches === side.stitches && known?.courses === side.courses) continue;
    await amendWish(db, id, front.revision, { ...front.wish, set: { ...front.wish.set, other: side } });
  }
}

async function sideOfWork(db: Db, heavy: Heavy, id: string | undefined) {
  const work = id ? await findWork(db, id) : undefined;
  const side = work && (await heavy.run('side', { wish: work.wish, begun: work.begun }));
  return side?.ok ? side.value : undefined;
}
