import { weekSchema } from '@puntada/core/records';
import { inTurn, type Pending } from '@puntada/core/work';
import { Router } from 'express';
import { z } from 'zod';
import type { Database } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { workOf } from '../works/find.ts';
import { findWork, listWorks } from '../works/queries.ts';
import { dueDay } from '../works/schema.ts';
import { calendarOf } from './calendar.ts';
import { Hand } from './hand.ts';
import { minutesOfWeek, setDue, setMinutes } from './queries.ts';

const newWeek = z.strictObject({ minutes: weekSchema });
const newDue = z.strictObject({ due: dueDay });

/** Days and hours at the hook, when works are due, and the time that each still takes. @param now the clock */
export function scheduleRoutes(db: Database, now: () => Date): Router {
  const router = Router();
  const hand = new Hand(db);

  /** Begun works and wishes that are due somewhen, in turn. */
  async function pending(): Promise<Pending[]> {
    const waiting = (await listWorks(db)).filter(
      ({ state, archived, due }) => !archived && (state === 'begun' || (state === 'wished' && due)),
    );
    const times = await hand.timesLeft(waiting);
    return inTurn(
      waiting.flatMap(({ id, wish, due }) => {
        const own = times.find((each) => each.id === id);
        return own ? [{ ...own, title: wish.title, ...(due ? { due } : {}) }] : [];
      }),
    );
  }

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json({ minutes: await minutesOfWeek(db), works: await pending() });
    }),
  );

  router.put(
    '/',
    handler(async (request, response) => {
      const { minutes } = bodyOf(newWeek, request);
      await setMinutes(db, minutes);
      response.json({ minutes: await minutesOfWeek(db), works: await pending() });
    }),
  );

  router.put(
    '/due/:id',
    handler(async (request, response) => {
      const { due } = bodyOf(newDue, request);
      const work = await workOf(db, request);
      await setDue(db, work.id, due);
      response.json(await findWork(db, work.id));
    }),
  );

  router.get(
    '/pace',
    handler(async (_request, response) => {
      response.json(await hand.pace());
    }),
  );

  router.get(
    '/evenings.ics',
    handler(async (_request, response) => {
      const calendar = calendarOf(await pending(), await minutesOfWeek(db), now().toLocaleDateString('sv-SE'));
      response.setHeader('content-disposition', 'attachment; filename="evenings.ics"');
      response.type('text/calendar').send(calendar);
    }),
  );

  return router;
}
