import { z } from 'zod';

const position = z.strictObject({ rows: z.number().int().min(0), runs: z.number().int().min(0) });

/** A tick as it goes over the wire and lies in the browser's storage. */
export const tickSchema = z.strictObject({
  id: z.uuid(),
  at: z.number().int().min(0).max(8.64e15),
  from: position,
  to: position,
});
