import { anyVersion, backupRecord } from '@puntada/core/records';
import { Router } from 'express';
import type { Database } from '../db/database.ts';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import { addTicks } from '../progress/queries.ts';
import { makeBackup, openBackup, restoreBackup } from './backup.ts';

/** Everything out as one open file, and in again. @param now the clock */
export function backupRoutes(db: Database, now: () => Date): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      const name = `puntada-${now().toISOString().slice(0, 10)}.json`;
      response.setHeader('content-disposition', `attachment; filename="${name}"`);
      response.json(await makeBackup(db, now()));
    }),
  );

  router.post(
    '/restore',
    handler(async (request, response) => {
      const contents = openBackup(bodyOf(anyVersion(backupRecord), request));
      if ('damage' in contents) {
        throw new Refusal(422, [
          {
            code: 'backup-damaged',
            path: 'contents',
            facts: contents.damage,
          },
        ]);
      }
      await db.transaction(async (tx) => {
        await restoreBackup(tx, contents);
        // The ticks go the same way as when they were made, so that progress follows from them again.
        for (const work of [...contents.works, ...contents.unread.works])
          if (work.ticks.length) await addTicks(tx, work.id, work.ticks);
        for (const work of [...contents.works, ...contents.unread.works]) {
          await tx.query('update works set changed_at = $2 where id = $1', [work.id, work.changedAt]);
        }
      });
      response.json({
        works: contents.works.length,
        yarns: contents.drawer.length,
        swatches: contents.swatches.length,
      });
    }),
  );

  return router;
}
