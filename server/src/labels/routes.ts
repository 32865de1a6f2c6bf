import { toldUnitOf, usualPreferences } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, decimalsFor, handler, shapedQuery } from '../http/answers.ts';
import { fileName } from '../http/fileName.ts';
import { readPreferences } from '../preferences/queries.ts';
import { workOf } from '../works/find.ts';
import { labelSheet } from './labels.ts';

/** Labels of a project, on sheets to be cut. */
export function labelRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();
  router.get(
    '/:id/labels.pdf',
    handler(async (request, response) => {
      const { wish, begun } = await workOf(db, request);
      const sheet = shapedQuery(labelSheet, request);
      const told = toldUnitOf((await readPreferences(db)) ?? usualPreferences);
      const pdf = accept(await heavy.run('labels', { work: { wish, begun }, told, sheet }, decimalsFor(request)));
      response.type('application/pdf');
      response.setHeader('content-disposition', `inline; filename="${fileName(wish.title)}-${sheet.kind}.pdf"`);
      response.end(Buffer.from(pdf));
    }),
  );
  return router;
}
