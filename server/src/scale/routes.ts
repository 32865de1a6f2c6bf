import { Router } from 'express';
import { z } from 'zod';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import type { SimulatedScale } from './simulated.ts';

const load = z.strictObject({
  grams: z.number().min(0).max(5000),
});

/** The practice scale: a stand-in for one on a cable. */
export function scaleRoutes(scale: SimulatedScale): Router {
  const router = Router();

  router.get(
    '/',
    handler((_request, response) => {
      const reading = scale.read();
      if (reading) {
        response.json(reading);
        return;
      }
      throw new Refusal(503, [
        {
          code: 'scale-silent',
          path: '',
        },
      ]);
    }),
  );

  router.post(
    '/load',
    handler((request, response) => {
      scale.put(bodyOf(load, request).grams);
      response.json({ put: true });
    }),
  );

  router.post(
    '/tare',
    handler((_request, response) => {
      scale.tare();
      response.json({ tared: true });
    }),
  );

  return router;
}
