import { printerHandSchema, stripDots, stripSchema } from '@puntada/core/records';
import { Router } from 'express';
import { bodyOf, handler, Refusal } from '../http/answers.ts';
import type { SimulatedPrinter } from './simulated.ts';

/** The practice label printer: a stand-in for one on a cable. */
export function labelPrinterRoutes(printer: SimulatedPrinter): Router {
  const router = Router();
  router.get(
    '/',
    handler((_request, response) => {
      response.json(printer.state());
    }),
  );
  router.post(
    '/print',
    handler((request, response) => {
      const strip = bodyOf(stripSchema, request);
      if (Buffer.from(strip.bits, 'base64').length !== (stripDots / 8) * strip.rows) {
        throw new Refusal(422, [{ code: 'strip-cut-short', path: 'bits' }]);
      }
      const fault = printer.print(strip);
      if (fault) throw new Refusal(503, [{ code: fault, path: '' }]);
      response.json(printer.state());
    }),
  );
  router.post(
    '/hand',
    handler((request, response) => {
      printer.touch(bodyOf(printerHandSchema, request));
      response.json(printer.state());
    }),
  );
  return router;
}
