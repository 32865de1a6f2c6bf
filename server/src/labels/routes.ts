import { createHash } from 'node:crypto';
import { markPictureSchema, toldUnitOf, usualPreferences } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, bodyOf, decimalsFor, handler, Refusal, shapedQuery } from '../http/answers.ts';
import { fileName } from '../http/fileName.ts';
import { readPreferences } from '../preferences/queries.ts';
import { workOf } from '../works/find.ts';
import { labelSheet } from './labels.ts';

/** Pictures that are held at once: those of some makers, or of one who tries several. */
const mostHeld = 20;
/** Marks by their names. A page gives its own again whenever it is opened: nothing is lost with the process. */
const held = new Map<string, Buffer>();

/** Holds the picture that is a maker's mark, for the labels that are printed next. */
export function markRoutes(): Router {
  const router = Router();
  router.put(
    '/',
    handler((request, response) => {
      const { picture } = bodyOf(markPictureSchema, request);
      const bytes = Buffer.from(picture.slice(picture.indexOf(',') + 1), 'base64');
      const png = bytes.subarray(0, 4).toString('latin1') === '\x89PNG';
      if (!png && bytes.readUInt16BE(0) !== 0xffd8)
        throw new Refusal(422, [{ code: 'mark-unreadable', path: 'picture' }]);
      const name = createHash('sha256').update(bytes).digest('hex').slice(0, 16);
      held.delete(name);
      held.set(name, bytes);
      for (const old of [...held.keys()].slice(0, -mostHeld)) held.delete(old);
      response.json({ name });
    }),
  );
  return router;
}

/** Labels of a project, on sheets to be cut. */
export function labelRoutes(db: Database, heavy: Heavy): Router {
  const router = Router();
  router.get(
    '/:id/labels.pdf',
    handler(async (request, response) => {
      const { wish, begun } = await workOf(db, request);
      const sheet = shapedQuery(labelSheet, request);
      const picture = sheet.picture ? held.get(sheet.picture) : undefined;
      if (sheet.picture && !picture) throw new Refusal(404, [{ code: 'mark-gone', path: 'picture' }]);
      const told = toldUnitOf((await readPreferences(db)) ?? usualPreferences);
      const pdf = accept(
        await heavy.run('labels', { work: { wish, begun }, told, sheet, picture }, decimalsFor(request)),
      );
      response.type('application/pdf');
      response.setHeader('content-disposition', `inline; filename="${fileName(wish.title)}-${sheet.kind}.pdf"`);
      response.end(Buffer.from(pdf));
    }),
  );
  return router;
}
