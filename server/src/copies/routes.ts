import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { StrandBook } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { hangingWords, notStarted, standingWords } from '@puntada/core/words';
import { standsAt } from '@puntada/core/work';
import express, { type Request, Router } from 'express';
import { z } from 'zod';
import { openArchive } from '../archive/read.ts';
import { takeIn } from '../archive/restore.ts';
import { writeArchive } from '../archive/write.ts';
import type { Database } from '../db/database.ts';
import { handler, Refusal } from '../http/answers.ts';
import { fileName } from '../http/fileName.ts';
import { workOf } from '../works/find.ts';
import type { Copies } from './copies.ts';
import type { Incoming } from './incoming.ts';
import type { Jobs } from './jobs.ts';

function missing(what: string): Refusal {
  return new Refusal(404, [{ code: 'not-found', path: 'name', facts: { what } }]);
}

/** Where a work stands and how its strands hang, in words. */
function inWords({ wish, begun, progress }: Work): { stands: string; hanging: string[] } {
  const found = begun ? standsAt(begun, wish, progress) : undefined;
  if (!found?.ok) return { stands: notStarted(wish.title), hanging: [] };
  const { cloth, rows, ...where } = found.value;
  const stands = standingWords(wish.title, { ...where, rows, of: cloth.fabric.courses });
  return { stands, hanging: rows ? hangingWords(new StrandBook(cloth.strands, cloth.bound), rows - 1) : [] };
}

interface Parts {
  readonly db: Database;
  readonly copies: Copies;
  readonly jobs: Jobs;
  readonly incoming: Incoming;
  readonly now: () => Date;
}

/** The copies of this bench, and what goes on with them. */
export function copyRoutes({ copies, jobs }: Parts): Router {
  const router = Router();
  const named = (request: Request) => {
    const path = copies.pathOf(String(request.params.name));
    if (!path) throw missing('copy');
    return path;
  };

  router.get('/', (_request, response) => {
    response.json(
      copies.list().map(({ name, reason, madeAt, bytes }) => ({ name, reason, madeAt: madeAt.toISOString(), bytes })),
    );
  });

  router.post('/', (_request, response) => {
    response.status(202).json(jobs.start(async (watch) => ({ name: await copies.make('asked', watch) })));
  });

  router.get('/jobs/:id', (request, response) => {
    const job = jobs.find(String(request.params.id));
    if (!job) throw missing('copy');
    response.json(job);
  });

  router.delete('/jobs/:id', (request, response) => {
    jobs.stop(String(request.params.id));
    response.json({ stopped: true });
  });

  // In pieces too, so that a long download goes on where it was broken off.
  router.get('/:name', (request, response, next) => {
    response.download(named(request), String(request.params.name), { dotfiles: 'allow' }, (error) => {
      if (error && !response.headersSent) next(error);
    });
  });

  router.post('/:name/check', (request, response) => {
    const path = named(request);
    response.status(202).json(jobs.start((watch) => copies.look(path, watch)));
  });

  router.post('/:name/restore', (request, response) => {
    const path = named(request);
    response.status(202).json(jobs.start((watch) => copies.restore(path, watch)));
  });

  return router;
}

const place = z.coerce.number().int().min(0);

/** Files on their way in: piece by piece, looked into, and then put back or taken in. */
export function incomingRoutes({ db, copies, jobs, incoming }: Parts): Router {
  const router = Router();

  router.post(
    '/',
    handler(async (_request, response) => {
      response.status(201).json({ id: await incoming.begin(), at: 0 });
    }),
  );

  router.get('/:id', (request, response) => {
    response.json({ at: incoming.at(String(request.params.id)) });
  });

  router.put(
    '/:id',
    express.raw({ type: 'application/octet-stream', limit: '8mb' }),
    handler(async (request, response) => {
      const at = place.safeParse(request.query.at);
      const piece: unknown = request.body;
      if (!at.success || !Buffer.isBuffer(piece)) throw new Refusal(422, [{ code: 'field-missing', path: 'at' }]);
      response.json({ at: await incoming.add(String(request.params.id), at.data, piece) });
    }),
  );

  router.delete('/:id', (request, response) => {
    incoming.remove(String(request.params.id));
    response.json({ removed: true });
  });

  router.post('/:id/look', (request, response) => {
    const path = incoming.pathOf(String(request.params.id));
    response.status(202).json(jobs.start((watch) => copies.look(path, watch)));
  });

  router.post('/:id/restore', (request, response) => {
    const id = String(request.params.id);
    const path = incoming.pathOf(id);
    response.status(202).json(
      jobs.start(async (watch) => {
        const done = await copies.restore(path, watch);
        incoming.remove(id);
        return done;
      }),
    );
  });

  router.post('/:id/take-in', (request, response) => {
    const id = String(request.params.id);
    const path = incoming.pathOf(id);
    response.status(202).json(
      jobs.start(async (watch) => {
        const { seal } = await copies.look(path, watch, 'project');
        const kept = await openArchive(path, watch, seal);
        try {
          const taken = await db.transaction((tx) => takeIn(tx, kept));
          incoming.remove(id);
          return taken;
        } finally {
          await kept.close();
        }
      }),
    );
  });

  return router;
}

/** One project out as an archive. */
export function handoverRoutes({ db, now }: Parts): Router {
  const router = Router();

  router.get(
    '/:id',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const folder = mkdtempSync(join(tmpdir(), 'puntada-handover-'));
      const path = join(folder, 'project.zip');
      const head = { format: 'puntada-archive', version: 2, holds: 'project', madeAt: now().toISOString() } as const;
      await writeArchive(db, path, { ...head, ...inWords(work) }, work.id);
      response.download(path, `${fileName(work.wish.title)}.zip`, () =>
        rmSync(folder, { recursive: true, force: true }),
      );
    }),
  );

  return router;
}
