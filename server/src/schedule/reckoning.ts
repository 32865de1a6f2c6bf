import type { OwnPace } from '@puntada/core/plan';
import { type Day, inTurn, type Pending, type Week } from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import { listWorks } from '../works/queries.ts';
import { calendarOf } from './calendar.ts';
import { Hand, type TimeLeft } from './hand.ts';

/** A work that waits to be finished, with how its time comes about. */
export type Waits = Pending & TimeLeft & { readonly inSet?: boolean };

/** What is reckoned from every step at every work: how long each still takes, the maker's pace, the evenings to come. */
export interface Reckoning {
  /** Begun works and wishes that are due somewhen, in turn. */
  pending(): Promise<Waits[]>;
  pace(): Promise<OwnPace>;
  /** Evenings, finishing days and due days as a calendar. */
  calendar(week: Week, today: Day): Promise<string>;
}

/** Reckons in this thread. @param db from which it reads all it needs */
export function reckoningFrom(db: Db): Reckoning {
  const hand = new Hand(db);
  const pending = async (): Promise<Waits[]> => {
    const waiting = (await listWorks(db)).filter(
      ({ state, archived, due }) => !archived && (state === 'begun' || (state === 'wished' && due)),
    );
    const times = new Map((await hand.timesLeft(waiting)).map((each) => [each.id, each]));
    return inTurn(
      waiting.flatMap(({ id, wish, due }) => {
        const own = times.get(id);
        if (!own) return [];
        return [{ ...own, title: wish.title, ...(due ? { due } : {}), ...(wish.set ? { inSet: true } : {}) }];
      }),
    );
  };
  return {
    pending,
    pace: () => hand.pace(),
    calendar: async (week, today) => calendarOf(await pending(), week, today),
  };
}
