import { randomUUID } from 'node:crypto';
import type { Facts } from '@puntada/core/craft';
import { StrandBook, thaw } from '@puntada/core/plan';
import {
  anyVersion,
  handoverRecord,
  type KeptWork,
  keptWorkSchema,
  readShape,
  type TakenOver,
  type Work,
} from '@puntada/core/records';
import { hangingWords, notStarted, standingWords } from '@puntada/core/words';
import { Router } from 'express';
import type { Database, Db } from '../db/database.ts';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import { addTicks } from '../progress/queries.ts';
import { workOf } from '../works/find.ts';
import { findWork } from '../works/queries.ts';
import { sealOf } from './backup.ts';
import { addLog, readWorks, restoreWork } from './keptWork.ts';

/** Where a work stands and how its strands hang, in words. */
function inWords({ wish, begun, progress: { rows, runs } }: Work): { stands: string; hanging: string[] } {
  const cloth = begun ? thaw(begun) : undefined;
  if (!cloth?.ok) return { stands: notStarted(wish.title), hanging: [] };
  const { fabric, strands, bound } = cloth.value;
  const stands = standingWords(wish.title, rows, fabric.courses, runs);
  return { stands, hanging: rows ? hangingWords(new StrandBook(strands, bound), rows - 1) : [] };
}

function damaged(facts: Facts): Refusal {
  return new Refusal(422, [{ code: 'handover-damaged', path: 'work', facts }]);
}

/**
 * Takes a work in. One that is here already, by the same plan, gets what it has not yet: rows and log of both are
 * merged. One that is here by another plan stays, and the one handed over stands beside it.
 * @returns its id here, and what became of it
 */
async function takeIn(tx: Db, work: KeptWork): Promise<TakenOver> {
  const here = await findWork(tx, work.id);
  const same = here && JSON.stringify(here.begun) === JSON.stringify(work.begun);
  if (same) {
    await addLog(tx, work.id, work.log);
    if (work.ticks.length) await addTicks(tx, work.id, work.ticks);
    // What is handed over is to be seen, wherever it was put here.
    await tx.query('update works set deleted_at = null where id = $1', [work.id]);
    return { id: work.id, how: 'merged' };
  }
  const id = here ? randomUUID() : work.id;
  const title = `${work.wish.title.slice(0, 66)}, handed over`;
  await restoreWork(tx, here ? { ...work, id, wish: { ...work.wish, title } } : work);
  if (work.ticks.length) await addTicks(tx, id, work.ticks);
  return { id, how: here ? 'beside' : 'new' };
}

/** One work out as an open file, and in again. @param now the clock */
export function handoverRoutes(db: Database, now: () => Date): Router {
  const router = Router();

  router.get(
    '/:id',
    handler(async (request, response) => {
      const detail = await workOf(db, request);
      const [stored] = await db.transaction((tx) => readWorks(tx, detail.id), 'snapshot');
      // The bin is of this bench alone.
      const { deletedAt: _bin, ...work } = { deletedAt: undefined, ...stored };
      const name = detail.wish.title.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'work';
      response.setHeader('content-disposition', `attachment; filename="${name}.json"`);
      const head = { format: 'puntada-work', version: 1, madeAt: now().toISOString(), ...inWords(detail) };
      response.json({ ...head, seal: sealOf(work), work });
    }),
  );

  router.post(
    '/',
    handler(async (request, response) => {
      const { seal, work } = bodyOf(anyVersion(handoverRecord), request);
      if (sealOf(work) !== seal) throw damaged({ why: 'seal' });
      const read = readShape(keptWorkSchema, work);
      if (!read.ok) {
        const [first] = read.problems;
        throw damaged({ ...first?.facts, why: first?.code, at: first?.path });
      }
      const kept = read.value;
      if (kept.begun && !thaw(kept.begun).ok) throw damaged({ why: 'cloth', title: kept.wish.title });
      response.status(201).json(await db.transaction((tx) => takeIn(tx, kept)));
    }),
  );

  return router;
}
