import { anyVersion, wishRecord } from '@puntada/core/records';
import { Router } from 'express';
import type { Heavy } from '../heavy/heavy.ts';
import { accept, bodyOf, handler } from '../http/answers.ts';

/** The plan of a wish, without storing anything: the same document as the command line prints. */
export function planRoutes(heavy: Heavy): Router {
  const router = Router();
  router.post(
    '/',
    handler(async (request, response) => {
      const wish = bodyOf(anyVersion(wishRecord), request);
      response.json(accept(await heavy.run('document', wish)));
    }),
  );
  return router;
}
