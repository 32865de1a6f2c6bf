import type { PGlite } from '@electric-sql/pglite';
import { Router } from 'express';
import { row } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { preferencesSchema } from './schema.ts';

/** How the maker reads: units and their fractions, terms and hand. */
export function preferenceRoutes(db: PGlite): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      const stored = await row(db, preferencesSchema, 'select units, terms, hand, fractions from preferences');
      response.json(stored ?? { units: 'cm', terms: 'US', hand: 'right', fractions: 'quarters' });
    }),
  );

  router.put(
    '/',
    handler(async (request, response) => {
      const { units, terms, hand, fractions } = bodyOf(preferencesSchema, request);
      await db.query(
        `insert into preferences (units, terms, hand, fractions) values ($1, $2, $3, $4)
         on conflict (one) do update set units = excluded.units, terms = excluded.terms, hand = excluded.hand,
           fractions = excluded.fractions`,
        [units, terms, hand, fractions],
      );
      response.json({ units, terms, hand, fractions });
    }),
  );

  return router;
}
