import type { Yarn } from '../../craft/yarn/yarn.ts';
import type { Lasting } from '../underway/lasting.ts';
import { countOf, type SetMember, type Stretch, yarnKey } from './parted.ts';
import { type SharedNow, sharedNow } from './shared.ts';

/** A yarn of the set, and what is at hand of it for all its projects. */
export interface SetPool {
  /** Of each yarn of a wish that is this one: `yarnKey`. */
  readonly keys: readonly string[];
  readonly name: string;
  readonly balls: number;
  readonly grams: number;
}

/** The chance that a yarn lasts for all of the set that takes it; nothing where it is not known what there is. */
export function chanceOf(pool: SetPool, stretches: readonly Stretch[], more = 0): number | undefined {
  return sharedBy(pool, stretches, more)?.chance;
}

/** Whether a yarn lasts for all of the set that takes it, and in which of its stretches it may end. */
function sharedBy({ keys, balls, grams }: SetPool, stretches: readonly Stretch[], more = 0): SharedNow | undefined {
  if (!(balls || grams)) return undefined;
  let yarn: Yarn | undefined;
  const needs = stretches.flatMap(({ wish, costs, now, weighings }, i) =>
    wish.yarns.flatMap((own, colour) => {
      if (!keys.includes(yarnKey(own))) return [];
      yarn ??= own;
      return [
        {
          id: String(i),
          metres: costs.metres[colour] ?? [],
          now,
          weighings: weighings.filter(({ letter }) => letter === own.letter),
        },
      ];
    }),
  );
  const [first] = stretches;
  if (!yarn || !first) return undefined;
  return sharedNow({ ...yarn, balls: balls + more, partGrams: grams }, first.belief, needs);
}

/** Whether a yarn that others of the set take too lasts for all of them. */
export interface LastingOfSet {
  readonly letter: string;
  /** 0 to 1. */
  readonly chance: number;
  /** The project in which it may end first; nothing where it lasts. */
  readonly endsIn: string | undefined;
}

/** The yarns of one project that others of its set take too. @param members in the order in which they are made */
export function lastingOfSet(id: string, members: readonly SetMember[], pools: readonly SetPool[]): LastingOfSet[] {
  const own = members.find(({ work }) => work.id === id)?.work;
  const stretches = members.flatMap(({ work, weighings }): Stretch[] => {
    const { wish, progress } = work;
    const counted = countOf(work, wish);
    return counted
      ? [{ id: work.id, wish, costs: counted.costs, belief: counted.belief, now: progress, weighings }]
      : [];
  });
  return pools.flatMap((pool): LastingOfSet[] => {
    const takes = ({ wish }: Pick<Stretch, 'wish'>) => wish.yarns.find((yarn) => pool.keys.includes(yarnKey(yarn)));
    const letter = own && takes(own)?.letter;
    if (!letter || stretches.filter(takes).length < 2) return [];
    const found = sharedBy(pool, stretches);
    return found ? [{ letter, chance: found.chance, endsIn: stretches[Number(found.endsIn?.id)]?.id }] : [];
  });
}

/** The same, of a yarn that a whole set shares told by all that is made of it. @param here the work that it is told of */
export function lastingWithSet(own: readonly Lasting[], shared: readonly LastingOfSet[], here: string): Lasting[] {
  const found = own.map((each): Lasting => {
    const whole = shared.find(({ letter }) => letter === each.letter);
    if (!whole) return each;
    const { chance, endsIn } = whole;
    return { letter: each.letter, chance, endsAt: endsIn === here ? each.endsAt : undefined, ofSet: true };
  });
  const others = shared.filter(({ letter }) => !own.some((each) => each.letter === letter));
  return [...found, ...others.map(({ letter, chance }) => ({ letter, chance, endsAt: undefined, ofSet: true }))];
}
