import { toldUnitOf, usualPreferences } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, decimalsFor, handler, regionFor, shapedQuery } from '../http/answers.ts';
import { fileName } from '../http/fileName.ts';
import { entriesOf } from '../log/queries.ts';
import { readPreferences } from '../preferences/queries.ts';
import { workOf } from '../works/find.ts';
import { printOptions } from './options.ts';

/** A project on paper, as the maker reads. */
export function printRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();
  router.get(
    '/:id/print.pdf',
    handler(async (request, response) => {
      const wished = await workOf(db, request);
      const { wish, begun } = wished;
      const options = shapedQuery(printOptions, request);
      const preferences = (await readPreferences(db)) ?? usualPreferences;
      const { terms, hand, manner } = preferences;
      const told = toldUnitOf(preferences);
      const entries = options.parts.includes('log') ? await entriesOf(db, wished.id) : undefined;
      const region = regionFor(request);
      const pdf = accept(
        await heavy.run(
          'print',
          { work: { wish, begun }, maker: { terms, hand, manner }, told, options, entries, region },
          decimalsFor(request),
        ),
      );
      response.type('application/pdf');
      response.setHeader('content-disposition', `inline; filename="${fileName(wish.title)}.pdf"`);
      response.end(Buffer.from(pdf));
    }),
  );
  return router;
}
