import type { Estimate } from '@puntada/core/craft';
import type { PieceWorkings } from '@puntada/core/plan';
import type { DrawerYarn, WorkSummary } from '@puntada/core/records';
import { type AtHand, freeOf, type ShoppingNeed, setAside } from '@puntada/core/work';
import type { PieceFigures } from '../worker/planner.worker.ts';

/** What one project takes of a yarn, and how its metres come about. */
export interface PoolNeed extends ShoppingNeed {
  /** Of the project. */
  readonly id: string;
  readonly metres: Estimate;
  readonly working: PieceWorkings['yarn'][number]['metres'] | undefined;
}

/** One yarn, with all projects that take it. */
export interface Pool {
  readonly key: string;
  readonly name: string;
  readonly lot: string;
  readonly shade: string;
  readonly price: number | undefined;
  readonly needs: readonly PoolNeed[];
  readonly has: AtHand;
}

interface Stored {
  readonly id: string;
  readonly yarn: DrawerYarn;
}

type Yarn = WorkSummary['wish']['yarns'][number];

/** One yarn is one name, shade, label and lot: a ball of it goes into any project. */
function keyOf(yarn: Yarn, stored: Stored | undefined): string {
  return [yarn.name, yarn.shade, yarn.ballMetres, yarn.ballGrams, stored?.yarn.lot].join(' ');
}

/** A yarn while its projects are gathered. */
interface Filling {
  readonly yarn: Yarn;
  readonly stored: Map<string, Stored>;
  readonly needs: PoolNeed[];
  has: AtHand;
}

/**
 * The yarns of projects that are not begun, each with what all of them take and what is at hand: set aside for them,
 * or free in the drawer. @param works in the order in which they are to be made @param all every work, as far as it has
 * set yarn aside
 */
export function poolsOf(
  works: readonly WorkSummary[],
  figures: ReadonlyMap<string, PieceFigures>,
  drawer: readonly Stored[],
  all: readonly WorkSummary[],
): Pool[] {
  const pools = new Map<string, Filling>();
  for (const { id, wish } of works) {
    wish.yarns.forEach((yarn, i) => {
      const need = figures.get(id)?.yarn[i];
      if (!need) return;
      const stored = drawer.find((each) => each.id === yarn.drawer);
      const key = keyOf(yarn, stored);
      const pool: Filling = pools.get(key) ?? { yarn, stored: new Map(), needs: [], has: { balls: 0, grams: 0 } };
      pool.needs.push({
        id,
        work: wish.title,
        letter: yarn.letter,
        metres: need.metres,
        question: need.question,
        sure: wish.sure,
        working: figures.get(id)?.workings.yarn[i]?.metres,
      });
      pool.has = {
        balls: pool.has.balls + (yarn.balls ?? 0),
        grams: pool.has.grams + (yarn.partGrams ?? 0),
      };
      if (stored) pool.stored.set(stored.id, stored);
      pools.set(key, pool);
    });
  }
  return [...pools.entries()].map(([key, { yarn, stored, needs, has }]) => {
    const free = [...stored.values()].map((each) => freeOf(each.yarn, setAside(each.id, all)));
    const [known] = stored.values();
    return {
      key,
      name: yarn.name,
      lot: known?.yarn.lot ?? '',
      shade: yarn.shade,
      price: known?.yarn.price,
      needs,
      has: {
        balls: free.reduce((sum, { balls }) => sum + Math.max(0, balls), has.balls),
        grams: free.reduce((sum, { grams }) => sum + Math.max(0, grams), has.grams),
      },
    };
  });
}
