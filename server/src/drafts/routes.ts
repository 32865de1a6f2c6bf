import { Router } from 'express';
import { z } from 'zod';
import { putIntoBin } from '../bin/queries.ts';
import { type Database, row } from '../db/database.ts';
import { readable } from '../db/readable.ts';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import { idOf, missing } from '../http/records.ts';

const draftBody = z.strictObject({
  title: z.string().max(80),
  form: z.record(z.string(), z.unknown()),
  /** The revision it was typed on, 0 for a new one; a page of before tells none. */
  revision: z.number().int().min(0).optional(),
  /** The page that writes: it may go on before it has heard what became of what it sent last. */
  by: z.uuid().optional(),
});
const draftRow = z.object({
  id: z.uuid(),
  title: z.string(),
  form: z.record(z.string(), z.unknown()),
  revision: z.number().int(),
  changed_at: z.date(),
});

function told({ id, title, form, revision, changed_at }: z.output<typeof draftRow>) {
  return { id, title, form, revision, changedAt: changed_at.toISOString() };
}

/** Wishes that are still being typed; their id is made by the device. What a form holds is kept as it is, unread. */
export function draftRoutes(db: Database): Router {
  const router = Router();
  const columns = 'select id, title, form, revision, changed_at from drafts where deleted_at is null';

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json((await readable(db, draftRow, `${columns} order by changed_at desc, id`)).read.map(told));
    }),
  );

  router.get(
    '/:id',
    handler(async (request, response) => {
      const found = await row(db, draftRow, `${columns} and id = $1`, [idOf(request, 'draft')]);
      if (!found) throw missing('draft');
      response.json(told(found));
    }),
  );

  router.put(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'draft');
      const { title, form, revision, by } = bodyOf(draftBody, request);
      const kept = await row(
        db,
        draftRow,
        `insert into drafts (id, title, form, written_by) values ($1, $2, $3, $5)
         on conflict (id) do update set title = excluded.title, form = excluded.form, changed_at = now(),
           deleted_at = null, revision = drafts.revision + 1, written_by = excluded.written_by
         where $4::integer is null or drafts.revision = $4 or drafts.written_by = $5
         returning id, title, form, revision, changed_at`,
        [id, title, JSON.stringify(form), revision ?? null, by ?? null],
      );
      if (!kept) {
        const fresh = await row(db, draftRow, 'select * from drafts where id = $1', [id]);
        throw new Refusal(409, [{ code: 'stale', path: 'revision', facts: { what: 'draft' } }], fresh && told(fresh));
      }
      response.json(told(kept));
    }),
  );

  router.delete(
    '/:id',
    handler(async (request, response) => {
      const id = idOf(request, 'draft');
      // One that became a project is done with; what the maker deletes lies in the bin.
      if (request.query.done === 'true') await db.query('delete from drafts where id = $1', [id]);
      else await putIntoBin(db, 'draft', id);
      response.json({ removed: id });
    }),
  );

  return router;
}
