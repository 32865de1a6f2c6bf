import { anyVersion, preferencesRecord, usualPreferences } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { readPreferences, writePreferences } from './queries.ts';

/** How the maker reads. */
export function preferenceRoutes(db: Database): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json((await readPreferences(db)) ?? usualPreferences);
    }),
  );

  router.put(
    '/',
    handler(async (request, response) => {
      const preferences = bodyOf(anyVersion(preferencesRecord), request);
      await writePreferences(db, preferences);
      response.json(preferences);
    }),
  );

  return router;
}
