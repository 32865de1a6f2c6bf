import type { Estimate } from '@puntada/core/craft';
import type { PieceWorkings } from '@puntada/core/plan';
import type { DrawerYarn, WorkSummary } from '@puntada/core/records';
import { type AtHand, freeOf, type SetPool, type ShoppingNeed, setAside, yarnKey } from '@puntada/core/work';
import type { PieceFigures } from '../worker/ofSizes.ts';

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

/** The yarns of a set, each with what is at hand of it for all its projects: set aside for them, or free in the drawer. */
export function setPoolsOf(
  works: readonly Pick<WorkSummary, 'wish'>[],
  drawer: readonly Stored[],
  all: readonly WorkSummary[],
): SetPool[] {
  const pools = new Map<string, { name: string; keys: Set<string>; stored: Set<Stored>; aside: AtHand }>();
  for (const yarn of works.flatMap(({ wish }) => wish.yarns)) {
    const stored = drawer.find((each) => each.id === yarn.drawer);
    const key = keyOf(yarn, stored);
    const fresh = {
      name: yarn.name,
      keys: new Set<string>(),
      stored: new Set<Stored>(),
      aside: { balls: 0, grams: 0 },
    };
    const pool = pools.get(key) ?? fresh;
    pool.keys.add(yarnKey(yarn));
    if (stored) pool.stored.add(stored);
    pool.aside = {
      balls: pool.aside.balls + (yarn.balls ?? 0),
      grams: pool.aside.grams + (yarn.partGrams ?? 0),
    };
    pools.set(key, pool);
  }
  return [...pools.values()].map(({ name, keys, stored, aside }) => ({
    name,
    keys: [...keys],
    ...withFree(aside, [...stored], all),
  }));
}

/** What is set aside, and what is free of it in the drawer. */
function withFree(aside: AtHand, stored: readonly Stored[], all: readonly WorkSummary[]): AtHand {
  const free = stored.map((each) => freeOf(each.yarn, setAside(each.id, all)));
  return {
    balls: free.reduce((sum, { balls }) => sum + Math.max(0, balls), aside.balls),
    grams: free.reduce((sum, { grams }) => sum + Math.max(0, grams), aside.grams),
  };
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
    const [known] = stored.values();
    return {
      key,
      name: yarn.name,
      lot: known?.yarn.lot ?? '',
      shade: yarn.shade,
      price: known?.yarn.price,
      needs,
      has: withFree(has, [...stored.values()], all),
    };
  });
}
