import { z } from 'zod';

/** Whole rows worked, and whole runs of the row in hand. */
export const positionSchema = z.strictObject({ rows: z.number().int().min(0), runs: z.number().int().min(0) });

/** A tick as it goes over the wire and waits in the browser. */
export const tickSchema = z.strictObject({
  /** A UUID made by the device. */
  id: z.uuid(),
  /** Milliseconds since 1970. */
  at: z.number().int().min(0).max(8.64e15),
  /** Where it stands among the steps of its work; its time where a device knew nothing of places. */
  place: z.number().int().min(0).max(9e15).optional(),
  from: positionSchema,
  to: positionSchema,
});

/** A step as it is read of a log: its id tells nothing any more. */
export type Step = Omit<z.output<typeof tickSchema>, 'id'>;

/** What tells a step from another where it comes as a line: when it was made, and its place. */
export function stepName({ at, place }: { readonly at: number; readonly place?: number | undefined }): string {
  return `${at}.${place ?? at}`;
}
