import { anyVersion, logEntryRecord } from '@puntada/core/records';
import { Router } from 'express';
import { z } from 'zod';
import type { Database } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { ticksOf } from '../progress/queries.ts';
import { workOf } from '../works/find.ts';
import { entriesOf, weighingsOf } from './queries.ts';

const newEntry = z.strictObject({ entry: anyVersion(logEntryRecord) });

/** The log of a work: what was weighed, measured and noted, and the ticks that tell when it was worked. */
export function logRoutes(db: Database): Router {
  const router = Router();

  router.get(
    '/:id/log',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const ticks = await ticksOf(db, work.id);
      response.json({ entries: await entriesOf(db, work.id), ticks: ticks.sort((a, b) => a.at - b.at) });
    }),
  );

  router.get(
    '/:id/weighings',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      response.json(await weighingsOf(db, work.id));
    }),
  );

  router.post(
    '/:id/log',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const { entry } = bodyOf(newEntry, request);
      await db.query('insert into log (work_id, id, at, entry) values ($1, $2, $3, $4) on conflict do nothing', [
        work.id,
        entry.id,
        entry.at,
        JSON.stringify(entry),
      ]);
      response.status(201).json({ entries: await entriesOf(db, work.id) });
    }),
  );

  return router;
}
