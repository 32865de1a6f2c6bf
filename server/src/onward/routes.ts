import type { Problem } from '@puntada/core/craft';
import type { Wish, Work } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, bodyOf, handler, Refusal } from '../http/answers.ts';
import { workOf } from '../works/find.ts';
import { findWork } from '../works/queries.ts';
import { otherPlan } from '../works/schema.ts';
import { formerPlans, goBy, keepFormer } from './queries.ts';

/** What the rest of a work may change of its wish. */
function changeless({ choice: _choice, ending: _ending, border: _border, closing: _closing, ...rest }: Wish): string {
  return JSON.stringify(Object.entries(rest).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** Rows that are worked or begun. */
function rowsTouched({ progress: { rows, runs } }: Work): number {
  return rows + (runs > 0 ? 1 : 0);
}

function refuse(problem: Problem, work: Work): Refusal {
  return new Refusal(409, [problem], work);
}

/** The rest of a begun work by another plan. What is worked is proved to stay; the plan that is left is kept. */
export function onwardRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();

  router.get(
    '/:id/former',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      response.json(await formerPlans(db, work.id));
    }),
  );

  router.post(
    '/:id/onward',
    handler(async (request, response) => {
      const { revision, wish, begun, kind } = bodyOf(otherPlan, request);
      const before = await workOf(db, request);
      const { id } = before;
      const worked = rowsTouched(before);
      const from = before.begun && { begun: before.begun, wish: before.wish, at: before.progress };
      const next = from ? accept(await heavy.run('onward', { from, to: begun })) : begun;
      await db.transaction(async (tx) => {
        const work = (await findWork(tx, id)) as Work;
        if (!work.begun || work.state !== 'begun') {
          throw refuse(
            {
              code: 'no-rest',
              path: 'state',
              facts: { state: work.state },
            },
            work,
          );
        }
        if (changeless(wish) !== changeless(work.wish)) {
          throw new Refusal(422, [
            {
              code: 'only-the-rest',
              path: 'wish',
            },
          ]);
        }
        // It was proved for what was worked then.
        const same = work.revision === before.revision && rowsTouched(work) === worked;
        if (!same || !(await goBy(tx, work, revision, wish, next))) {
          throw refuse(
            {
              code: 'stale',
              path: 'revision',
              facts: { what: 'project' },
            },
            work,
          );
        }
        await keepFormer(tx, work.id, {
          revision: work.revision,
          wish: work.wish,
          begun: work.begun,
          rowsWorked: work.progress.rows,
          leftFor: kind,
          leftAt: new Date().toISOString(),
        });
      });
      response.json(await findWork(db, id));
    }),
  );

  return router;
}
