import { acknowledgedSchema, readShape } from '@puntada/core/records';
import { z } from 'zod';

/**
 * What one tab has brought to the server, for the others: they held it as something that waits, and show it from their own
 * copies of what the server has from now on. Told before it is dropped.
 */
const arrivedSchema = z.union([
  acknowledgedSchema.omit({ stored: true }).extend({ workId: z.string() }),
  z.object({ workId: z.string(), entry: z.string() }),
]);
export type Arrived = Readonly<z.output<typeof arrivedSchema>>;

/** Reads what a tab, of whatever version, has told. @returns nothing where this one does not know it */
export function readArrived(told: unknown): Arrived | undefined {
  const read = readShape(arrivedSchema, told);
  return read.ok ? read.value : undefined;
}
