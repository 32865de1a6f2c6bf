import { planWish } from '@puntada/core/plan';
import { anyVersion, wishRecord } from '@puntada/core/records';
import { planDocument } from '@puntada/core/words';
import { Router } from 'express';
import { accept, bodyOf, handler } from '../http/answers.ts';

/** The plan of a wish, without storing anything: the same document as the command line prints. */
export function planRoutes(): Router {
  const router = Router();
  router.post(
    '/',
    handler((request, response) => {
      const wish = bodyOf(anyVersion(wishRecord), request);
      response.json(planDocument(accept(planWish(wish))));
    }),
  );
  return router;
}
