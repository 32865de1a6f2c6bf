import { type Estimate, times } from '../../craft/values/estimate.ts';
import type { Wish } from '../../records/wish.ts';
import { yarnKey } from './parted.ts';

type Range = Pick<Estimate, 'low' | 'mid' | 'high'>;

/** One project of a set, as it was counted for all that it makes. */
export interface CountedProject {
  readonly wish: Wish;
  readonly items: number;
  /** By the yarns of the wish. */
  readonly yarn: readonly { readonly metres: Range; readonly grams: Range }[];
  /** Seconds of all of it. */
  readonly time: Range;
}

/** What a whole set takes. */
interface SetTotals {
  /** At least one. */
  readonly items: number;
  /** Each yarn once, however many projects take it. */
  readonly yarns: readonly { readonly yarn: Wish['yarns'][number]; readonly metres: number }[];
  readonly grams: Estimate;
  /** Of one, on average. */
  readonly gramsEach: Estimate;
  readonly seconds: number;
}

/** Adds up the projects of a set: a back is half of an item. One hand makes them all, so that ranges add up. */
export function setTotals(projects: readonly CountedProject[]): SetTotals {
  const yarns = new Map<string, { readonly yarn: Wish['yarns'][number]; readonly metres: number }>();
  const grams = { low: 0, mid: 0, high: 0, source: 'typical' as const };
  let [items, seconds] = [0, 0];
  for (const { wish, items: own, yarn, time } of projects) {
    if (wish.set?.part !== 'back') items += own;
    seconds += time.mid;
    wish.yarns.forEach((each, i) => {
      const known = yarns.get(yarnKey(each));
      yarns.set(yarnKey(each), {
        yarn: known?.yarn ?? each,
        metres: (known?.metres ?? 0) + (yarn[i]?.metres.mid ?? 0),
      });
    });
    for (const need of yarn) {
      grams.low += need.grams.low;
      grams.mid += need.grams.mid;
      grams.high += need.grams.high;
    }
  }
  const made = Math.max(1, items);
  return { items: made, yarns: [...yarns.values()], grams, gramsEach: times(grams, 1 / made), seconds };
}
