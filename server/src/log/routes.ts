import { anyVersion, type LogEntry, logEntryRecord, smallLetters, type Work } from '@puntada/core/records';
import { impossibleIn } from '@puntada/core/work';
import { Router } from 'express';
import { z } from 'zod';
import type { Database } from '../db/database.ts';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import { keepSmall, largeOnly, photoOf, sizes } from '../photos/queries.ts';
import { stepLines, ticksOf } from '../progress/queries.ts';
import { workOf } from '../works/find.ts';
import { addEntry, binEntry, correctEntry, entriesOf, weighingsOf } from './queries.ts';

const smallPicture = z.strictObject({
  small: z
    .string()
    .max(smallLetters)
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+=*$/),
});
const binned = z.strictObject({ deleted: z.boolean() });
const photoSize = z.object({ size: z.enum(sizes).catch('image').default('image') });
const newEntry = z.strictObject({ entry: anyVersion(logEntryRecord) });

function refuseImpossible(entry: LogEntry, { wish }: Work): void {
  const problems = impossibleIn(entry, wish.units);
  if (problems.length) throw new Refusal(422, problems);
}

/** The log of a work: what was weighed, measured and noted, and the ticks that tell when it was worked. */
export function logRoutes(db: Database): Router {
  const router = Router();

  router.get(
    '/:id/log',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const told = { entries: await entriesOf(db, work.id), largeOnly: await largeOnly(db, work.id) };
      if (request.query.steps === 'lines') {
        response.json({ ...told, steps: await stepLines(db, work.id) });
        return;
      }
      const ticks = await ticksOf(db, work.id);
      response.json({ ...told, ticks: ticks.sort((a, b) => a.at - b.at) });
    }),
  );

  router.get(
    '/:id/weighings',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      response.json(await weighingsOf(db, work.id));
    }),
  );

  router.post(
    '/:id/log',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const { entry } = bodyOf(newEntry, request);
      refuseImpossible(entry, work);
      if (entry.kind === 'photo' && !entry.image) {
        throw new Refusal(422, [{ code: 'field-missing', path: 'entry.image' }]);
      }
      await db.transaction((tx) => addEntry(tx, work.id, entry));
      response.status(201).json({ entries: await entriesOf(db, work.id) });
    }),
  );

  router.get(
    '/:id/photos/:entry',
    handler(async (request, response) => {
      const { size } = photoSize.parse(request.query);
      const { id, entry } = request.params;
      const named = z.uuid().safeParse(id).success && z.uuid().safeParse(entry).success;
      const photo = named && (await photoOf(db, String(id), String(entry), size));
      if (!photo) throw new Refusal(404, [{ code: 'not-found', path: 'entry', facts: { what: 'photo' } }]);
      // It is never another: a photo that is taken anew is another entry.
      response.set('cache-control', 'private, max-age=31536000, immutable').type('jpeg').send(photo);
    }),
  );

  router.put(
    '/:id/photos/:entry/small',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const { small } = bodyOf(smallPicture, request);
      const entry = z.uuid().safeParse(request.params.entry);
      response.json({ kept: entry.success && (await keepSmall(db, work.id, entry.data, small)) });
    }),
  );

  const missing = () => new Refusal(404, [{ code: 'not-found', path: 'entry', facts: { what: 'entry' } }]);

  router.put(
    '/:id/log/:entry',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const { entry } = bodyOf(newEntry, request);
      refuseImpossible(entry, work);
      if (entry.id !== request.params.entry || !(await correctEntry(db, work.id, entry))) throw missing();
      response.json({ entries: await entriesOf(db, work.id) });
    }),
  );

  router.post(
    '/:id/log/:entry/bin',
    handler(async (request, response) => {
      const work = await workOf(db, request);
      const { deleted } = bodyOf(binned, request);
      if (!(await binEntry(db, work.id, String(request.params.entry), deleted))) throw missing();
      response.json({ entries: await entriesOf(db, work.id) });
    }),
  );

  return router;
}
