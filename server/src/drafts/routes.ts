import { Router } from 'express';
import { z } from 'zod';
import { putIntoBin } from '../bin/queries.ts';
import { type Database, row } from '../db/database.ts';
import { readable } from '../db/readable.ts';
import { bodyOf, handler } from '../http/answers.ts';
import { idOf, missing } from '../http/records.ts';

const draftBody = z.strictObject({
  title: z.string().max(80),
  form: z.record(z.string(), z.unknown()),
});
const draftRow = z.object({
  id: z.uuid(),
  title: z.string(),
  form: z.record(z.string(), z.unknown()),
  changed_at: z.date(),
});

function told({ id, title, form, changed_at }: z.output<typeof draftRow>) {
  return { id, title, form, changedAt: changed_at.toISOString() };
}

/** Wishes that are still being typed; their id is made by the device. What a form holds is kept as it is, unread. */
export function draftRoutes(db: Database): Router {
  const router = Router();
  const columns = 'select id, title, form, changed_at from drafts where deleted_at is null';

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
      const { title, form } = bodyOf(draftBody, request);
      const found = await row(
        db,
        draftRow,
        `insert into drafts (id, title, form) values ($1, $2, $3)
         on conflict (id) do update set title = excluded.title, form = excluded.form, changed_at = now(), deleted_at = null
         returning id, title, form, changed_at`,
        [id, title, JSON.stringify(form)],
      );
      response.json(found && told(found));
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
