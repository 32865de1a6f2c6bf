import { good, type Result } from '../../craft/values/problem.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';
import { costsOfWish, isLocked, mayCarry } from '../piece/piece.ts';
import { withLock, withoutLock } from '../route/lock.ts';
import { counted } from '../route/route.ts';
import { wishAsBegun } from './asBegun.ts';
import { freezeWork, thaw } from './frozen.ts';
import { prepareCloth } from './made.ts';

/**
 * A begun cloth whose last loop is to be fastened as its wish now says: the second strand is brought to it in the last row,
 * or no longer. All other rows stay as they are on the hook. @returns what is in the way of reading the cloth instead
 */
export function withLastLoop(begun: FrozenWork, wish: Wish): Result<FrozenWork> {
  const cloth = thaw(begun);
  if (!cloth.ok) return cloth;
  const prepared = prepareCloth(wishAsBegun(wish, begun.apart), cloth.value);
  if (!prepared.ok) return prepared;
  const { policy } = prepared.value.wish;
  const costs = costsOfWish(prepared.value);
  const plain = policy === 'carry-always' ? cloth.value.strands : withoutLock(cloth.value.strands);
  const strands = isLocked(prepared.value, cloth.value.fabric)
    ? withLock(counted(plain, costs), costs, mayCarry(prepared.value))
    : plain;
  return good(freezeWork({ ...cloth.value, strands }));
}
