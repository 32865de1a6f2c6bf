import type { Problem } from '@puntada/core/craft';
import { isOutside, runsOfUnits, type Tick } from '@puntada/core/work';
import { type Request, Router } from 'express';
import type { Database } from '../db/database.ts';
import { accept, bodyOf, handler, Refusal } from '../http/answers.ts';
import { remembered } from '../memory.ts';
import { workOf } from '../works/find.ts';
import { addTicks, lastPlaceOf, revisionOf } from './queries.ts';
import { ticksBody } from './schema.ts';

function refuseOutside(ticks: readonly Tick[], runs: readonly number[]): void {
  const problems = ticks.flatMap((tick, i): Problem[] =>
    (['from', 'to'] as const)
      .filter((end) => isOutside(tick[end], runs))
      .map((end) => ({
        code: 'tick-outside',
        path: `ticks.${i}.${end}`,
        facts: { row: tick[end].rows + 1, run: tick[end].runs + 1, rows: runs.length },
      })),
  );
  if (problems.length) throw new Refusal(422, problems);
}

function notBegun(): Refusal {
  return new Refusal(409, [
    {
      code: 'not-begun',
      path: 'state',
    },
  ]);
}

/** Progress of a begun work: ticks in, position out. A tick is acknowledged only when it is stored. */
export function progressRoutes(db: Database): Router {
  const router = Router();
  const runsKnown = remembered<{ readonly revision: number | undefined; readonly runs: number[] }>();

  /** The runs of each row of a begun work; counted once for each of its revisions. */
  async function runsOf(request: Request): Promise<{ id: string; runs: readonly number[] }> {
    const id = String(request.params.id);
    const revision = await revisionOf(db, id);
    const known = runsKnown.get(id);
    if (known && known.revision === revision) return { id, runs: known.runs };
    const work = await workOf(db, request);
    if (!work.begun) throw notBegun();
    const runs = accept(runsOfUnits(work.begun, work.wish), 500);
    runsKnown.set(work.id, { revision: work.revision, runs });
    return { id: work.id, runs };
  }

  router.post(
    '/:id/ticks',
    handler(async (request, response) => {
      const { ticks } = bodyOf(ticksBody, request);
      const { id, runs } = await runsOf(request);
      refuseOutside(ticks, runs);
      const { progress, lastPlace } = await db.transaction(async (tx) => {
        const reachedNow = await addTicks(tx, id, ticks);
        return { progress: reachedNow, lastPlace: await lastPlaceOf(tx, id) };
      });
      response.json({ progress, lastPlace, stored: ticks.map((tick) => tick.id) });
    }),
  );

  return router;
}
