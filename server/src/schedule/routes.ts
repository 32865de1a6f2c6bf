import { weekSchema } from '@puntada/core/records';
import { Router } from 'express';
import { z } from 'zod';
import type { Database } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { workOf } from '../works/find.ts';
import { findWork } from '../works/queries.ts';
import { dueDay } from '../works/schema.ts';
import { minutesOfWeek, setDue, setMinutes } from './queries.ts';
import type { Reckoning } from './reckoning.ts';

const newWeek = z.strictObject({ minutes: weekSchema });
const newDue = z.strictObject({ due: dueDay });

/** Days and hours at the hook, when works are due, and the time that each still takes. @param now the clock */
export function scheduleRoutes(db: Database, reckoning: Reckoning, now: () => Date): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json({ minutes: await minutesOfWeek(db), works: await reckoning.pending() });
    }),
  );

  router.put(
    '/',
    handler(async (request, response) => {
      const { minutes } = bodyOf(newWeek, request);
      await setMinutes(db, minutes);
      response.json({ minutes: await minutesOfWeek(db), works: await reckoning.pending() });
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
      response.json(await reckoning.pace());
    }),
  );

  router.get(
    '/evenings.ics',
    handler(async (_request, response) => {
      const calendar = await reckoning.calendar(await minutesOfWeek(db), now().toLocaleDateString('sv-SE'));
      response.setHeader('content-disposition', 'attachment; filename="evenings.ics"');
      response.type('text/calendar').send(calendar);
    }),
  );

  return router;
}
