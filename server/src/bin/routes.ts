import { binKinds } from '@puntada/core/records';
import { Router } from 'express';
import { z } from 'zod';
import type { Database } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { missing } from '../http/records.ts';
import { listBin, takeOutOfBin } from './queries.ts';

const chosen = z.strictObject({ kind: z.enum(binKinds), id: z.uuid() });

/** What was deleted in the last 30 days, beside projects, which are asked for by themselves. */
export function binRoutes(db: Database): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json(await listBin(db));
    }),
  );

  router.post(
    '/back',
    handler(async (request, response) => {
      const { kind, id } = bodyOf(chosen, request);
      if (!(await takeOutOfBin(db, kind, id))) throw missing(kind);
      response.json(await listBin(db));
    }),
  );

  return router;
}
