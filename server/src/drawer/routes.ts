import { setAside } from '@puntada/core/work';
import { Router } from 'express';
import { putIntoBin } from '../bin/queries.ts';
import type { Copies } from '../copies/copies.ts';
import type { Database } from '../db/database.ts';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import { idOf, missing, staleRecord } from '../http/records.ts';
import { listWorks } from '../works/queries.ts';
import { addYarn, changeYarn, findYarn, listDrawer } from './queries.ts';
import { changedYarn, manyYarns, newYarn } from './schema.ts';

/** The yarn drawer. */
export function drawerRoutes(db: Database, copies: Copies): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json(await listDrawer(db));
    }),
  );

  router.post(
    '/',
    handler(async (request, response) => {
      const { id, yarn } = bodyOf(newYarn, request);
      response.status(201).json(await findYarn(db, await addYarn(db, yarn, id)));
    }),
  );

  // A table brought in is taken whole or not at all.
  router.post(
    '/many',
    handler(async (request, response) => {
      const { yarns } = bodyOf(manyYarns, request);
      await copies.makeBefore('before-import');
      await db.transaction(async (tx) => {
        for (const yarn of yarns) await addYarn(tx, yarn);
      });
      response.status(201).json(await listDrawer(db));
    }),
  );

  router.put(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'yarn');
      const { revision, yarn } = bodyOf(changedYarn, request);
      const changed = await changeYarn(db, id, revision, yarn);
      const stored = await findYarn(db, id);
      if (!stored) throw missing('yarn');
      if (!changed) throw staleRecord('yarn', stored);
      response.json(stored);
    }),
  );

  router.delete(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'yarn');
      if (!(await findYarn(db, id))) throw missing('yarn');
      const [held, ...more] = setAside(id, await listWorks(db));
      if (held) {
        throw new Refusal(409, [
          {
            code: 'set-aside',
            path: 'id',
            facts: { title: held.title, more: more.length },
          },
        ]);
      }
      await putIntoBin(db, 'yarn', id);
      response.json({ removed: id });
    }),
  );

  return router;
}
