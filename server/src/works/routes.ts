import type { Problem } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { rowLeft } from '@puntada/core/work';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, bodyOf, handler, Refusal } from '../http/answers.ts';
import { workOf } from './find.ts';
import {
  addWork,
  amendBegun,
  amendWish,
  archiveWork,
  beginWork,
  binWork,
  changeWish,
  findWork,
  finishWork,
  listWorks,
  takeBackStart,
} from './queries.ts';
import { archiving, binning, changedWork, ending, facing, newWork, otherSet, revisionOnly } from './schema.ts';
import { planSet } from './setPlan.ts';
import { planTogether, tellOtherSides } from './together.ts';

/** The refusal of a change made on a stale copy: it brings the fresh state along and overwrites nothing. */
function stale(work: Work, given: number): Refusal {
  const problem: Problem =
    work.revision === given
      ? {
          code: 'already-begun',
          path: 'state',
          facts: { state: work.state },
        }
      : {
          code: 'stale',
          path: 'revision',
          facts: { what: 'project' },
        };
  return new Refusal(409, [problem], work);
}

/** Works: a wish with its gauge and yarns, wished, begun or finished. */
export function workRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();
  /** Changes that are looked through: whoever asks for the same project meanwhile is told how it stands after them. */
  const underway = new Map<string, Promise<unknown>>();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json(await listWorks(db));
    }),
  );

  router.get(
    '/bin',
    handler(async (_request, response) => {
      response.json(await listWorks(db, 'bin'));
    }),
  );

  router.post(
    '/',
    handler(async (request, response) => {
      const { id: own, wish, due } = bodyOf(newWork, request);
      accept(await heavy.run('check', wish));
      const id = await addWork(db, wish, due, own);
      await tellOtherSides(db, heavy, wish);
      response.status(201).json(await findWork(db, id));
    }),
  );

  router.post(
    '/together',
    handler(async (request, response) => {
      const { changes } = bodyOf(otherSet, request);
      await planSet(db, heavy, changes);
      const sets = new Map((await listWorks(db)).flatMap(({ wish }) => (wish.set?.part ? [[wish.set.id, wish]] : [])));
      for (const wish of sets.values()) await tellOtherSides(db, heavy, wish);
      response.json(await listWorks(db));
    }),
  );

  router.get(
    '/:id',
    handler(async (request, response) => {
      await underway.get(String(request.params.id))?.catch(() => undefined);
      response.json(await workOf(db, request));
    }),
  );

  router.put(
    '/:id',
    handler(async (request, response) => {
      const { revision, wish } = bodyOf(changedWork, request);
      const change = async () => {
        const work = await workOf(db, request);
        accept(await heavy.run('check', wish));
        if (!(await changeWish(db, work.id, revision, wish))) throw stale(await workOf(db, request), revision);
        const changed = (await findWork(db, work.id)) as Work;
        await planTogether(db, heavy, changed);
        await tellOtherSides(db, heavy, changed.wish);
        return (await findWork(db, work.id)) as Work;
      };
      const id = String(request.params.id);
      const own = change();
      underway.set(id, own);
      try {
        response.json(await own);
      } finally {
        if (underway.get(id) === own) underway.delete(id);
      }
    }),
  );

  router.post(
    '/:id/begin',
    handler(async (request, response) => {
      const { revision, wish } = bodyOf(changedWork, request);
      const work = await workOf(db, request);
      const plan = accept(await heavy.run('begin', wish));
      const begun = await beginWork(db, work.id, revision, plan.wish, plan.begun);
      if (!begun) throw stale(await workOf(db, request), revision);
      const started = (await findWork(db, work.id)) as Work;
      await planTogether(db, heavy, started);
      await tellOtherSides(db, heavy, started.wish);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/archive',
    handler(async (request, response) => {
      const { revision, archived } = bodyOf(archiving, request);
      const work = await workOf(db, request);
      if (!(await archiveWork(db, work.id, revision, archived))) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/bin',
    handler(async (request, response) => {
      const { revision, deleted } = bodyOf(binning, request);
      const work = await workOf(db, request);
      if (!(await binWork(db, work.id, revision, deleted))) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/unbegin',
    handler(async (request, response) => {
      const { revision } = bodyOf(revisionOnly, request);
      const work = await workOf(db, request);
      const { rows, runs } = work.progress;
      if (rows || runs) throw new Refusal(409, [{ code: 'rows-worked', path: 'progress', facts: { rows } }]);
      if (!(await takeBackStart(db, work, revision))) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/outside',
    handler(async (request, response) => {
      const { revision, outside } = bodyOf(facing, request);
      const work = await workOf(db, request);
      // Which face is outside is the only part of a begun work's wish that is still open.
      const wish = { ...work.wish, finish: { ...work.wish.finish, outside } };
      if (!(await amendWish(db, work.id, revision, wish))) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/last-loop',
    handler(async (request, response) => {
      const { revision, lastLoop } = bodyOf(ending, request);
      const work = await workOf(db, request);
      const wish = { ...work.wish, lastLoop };
      // The strands of a begun cloth move in its last row alone; what is worked of that already stays.
      const worked = work.begun && work.progress.rows >= work.begun.courses.length + (work.begun.fromChain ? 1 : 0);
      const begun = work.begun && !worked && accept(await heavy.run('lastLoop', { begun: work.begun, wish }), 500);
      const amended = begun
        ? await amendBegun(db, work.id, revision, wish, begun)
        : await amendWish(db, work.id, revision, wish);
      if (!amended) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  router.post(
    '/:id/finish',
    handler(async (request, response) => {
      const { revision } = bodyOf(revisionOnly, request);
      const work = await workOf(db, request);
      const left = work.begun ? accept(rowLeft(work.begun, work.wish, work.progress), 500) : undefined;
      if (left) throw new Refusal(409, [{ code: 'rows-left', path: 'progress', facts: { ...left } }]);
      if (!(await finishWork(db, work.id, revision))) throw stale(await workOf(db, request), revision);
      response.json(await findWork(db, work.id));
    }),
  );

  return router;
}
