import type { MovedPlan } from '@puntada/core/records';
import { planSwatch } from '@puntada/core/work';
import { Router } from 'express';
import { putIntoBin } from '../bin/queries.ts';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, bodyOf, decimalsFor, handler, Refusal } from '../http/answers.ts';
import { idOf, missing, staleRecord } from '../http/records.ts';
import { listWorks } from '../works/queries.ts';
import { carryOver, movesBy } from './flow.ts';
import { addSwatch, changeSwatch, findSwatch, listSwatches } from './queries.ts';
import { changedSwatch, newSwatch } from './schema.ts';

/** A plan was changed while it was found what a swatch makes of it. */
class Overtaken extends Error {}

/** The swatch book. */
export function swatchRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json(await listSwatches(db));
    }),
  );

  router.post(
    '/',
    handler(async (request, response) => {
      const { id, swatch } = bodyOf(newSwatch, request);
      accept(planSwatch(swatch));
      response.status(201).json(await findSwatch(db, await addSwatch(db, swatch, id)));
    }),
  );

  // A count flows into the plans that go by it in the same transaction, so that none is left behind.
  router.put(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'swatch');
      const { revision, swatch } = bodyOf(changedSwatch, request);
      accept(planSwatch(swatch));
      // What the plans say of it is for who changed it.
      const decimals = decimalsFor(request);
      let plans: readonly MovedPlan[] | undefined;
      while (!plans) {
        const moves = await movesBy(db, heavy, id, swatch, decimals);
        plans = await db
          .transaction(async (tx) => {
            if (await changeSwatch(tx, id, revision, swatch)) {
              const told = await carryOver(tx, id, swatch, moves);
              if (told) return told;
              throw new Overtaken();
            }
            const stored = await findSwatch(tx, id);
            throw stored ? staleRecord('swatch', stored) : missing('swatch');
          })
          .catch((error: unknown) => {
            if (error instanceof Overtaken) return undefined;
            throw error;
          });
      }
      response.json({ ...(await findSwatch(db, id)), plans });
    }),
  );

  router.delete(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'swatch');
      if (!(await findSwatch(db, id))) throw missing('swatch');
      const used = (await listWorks(db)).find(({ wish: { gauge } }) => gauge.from === 'counted' && gauge.swatch === id);
      if (used) {
        throw new Refusal(409, [
          {
            code: 'swatch-in-use',
            path: 'id',
            facts: { title: used.wish.title },
          },
        ]);
      }
      await putIntoBin(db, 'swatch', id);
      response.json({ removed: id });
    }),
  );

  return router;
}
