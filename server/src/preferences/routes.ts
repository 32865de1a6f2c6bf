import type { PGlite } from '@electric-sql/pglite';
import { Router } from 'express';
import { z } from 'zod';
import { row } from '../db/database.ts';
import { bodyOf, handler } from '../http/answers.ts';

const preferences = z.strictObject({
  units: z.enum(['cm', 'in'], 'Choose cm or in.'),
  terms: z.enum(['US', 'UK'], 'Choose US or UK.'),
  hand: z.enum(['right', 'left'], 'Choose right or left.'),
  fractions: z.enum(['quarters', 'decimals'], 'Choose quarters or decimals.').default('quarters'),
});

/** How the maker reads: units and their fractions, terms and hand. */
export function preferenceRoutes(db: PGlite): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      const stored = await row(db, preferences, 'select units, terms, hand, fractions from preferences');
      response.json(stored ?? { units: 'cm', terms: 'US', hand: 'right', fractions: 'quarters' });
    }),
  );

  router.put(
    '/',
    handler(async (request, response) => {
      const { units, terms, hand, fractions } = bodyOf(preferences, request);
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
