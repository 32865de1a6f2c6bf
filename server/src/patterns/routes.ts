import { readPattern } from '@puntada/core/craft';
import type { OwnPattern } from '@puntada/core/records';
import { Router } from 'express';
import { z } from 'zod';
import { putIntoBin } from '../bin/queries.ts';
import type { Database } from '../db/database.ts';
import { accept, bodyOf, handler } from '../http/answers.ts';
import { idOf, missing, staleRecord } from '../http/records.ts';
import { addPattern, changePattern, findPattern, listPatterns, orderPatterns } from './queries.ts';
import { changedPattern, newPattern } from './schema.ts';

const newOrder = z.strictObject({ ids: z.array(z.uuid()).max(5000) });

/** The maker's own patterns. What no cloth can be laid from is kept too, as long as it can be read: it is being drawn. */
export function patternRoutes(db: Database): Router {
  const router = Router();
  const readable = ({ text }: OwnPattern) => accept(readPattern(text));

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json(await listPatterns(db));
    }),
  );

  router.post(
    '/',
    handler(async (request, response) => {
      const { id, pattern } = bodyOf(newPattern, request);
      readable(pattern);
      const stored = await findPattern(db, await addPattern(db, pattern, id));
      if (!stored) throw missing('pattern');
      response.status(201).json(stored);
    }),
  );

  router.put(
    '/order',
    handler(async (request, response) => {
      const { ids } = bodyOf(newOrder, request);
      await orderPatterns(db, ids);
      response.json(await listPatterns(db));
    }),
  );

  router.put(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'pattern');
      const { revision, pattern } = bodyOf(changedPattern, request);
      readable(pattern);
      const changed = await changePattern(db, id, revision, pattern);
      const stored = await findPattern(db, id);
      if (!stored) throw missing('pattern');
      if (!changed) throw staleRecord('pattern', stored);
      response.json(stored);
    }),
  );

  router.delete(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'pattern');
      if (!(await putIntoBin(db, 'pattern', id))) throw missing('pattern');
      response.json({ removed: id });
    }),
  );

  return router;
}
