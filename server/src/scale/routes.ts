import { Router } from 'express';
import { z } from 'zod';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import type { SimulatedScale } from './simulated.ts';

const load = z.strictObject({
  grams: z.number('Grams must be a number.').min(0, 'Nothing weighs less than 0 g.').max(5000, 'It bears 5000 g.'),
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
          code: 'field-wrong',
          path: '',
          message: 'The scale does not answer: its battery is empty.',
          hint: 'Type the grams instead.',
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
