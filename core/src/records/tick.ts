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

/** What tells a step from another where it comes as a line: when it was made, and its place. */
export function stepName({ at, place }: { readonly at: number; readonly place?: number | undefined }): string {
  return `${at}.${place ?? at}`;
}

/** Steps as lines of numbers, each `when place row run row run`, from where and to where: a third of what JSON takes. */
export function stepsIn(lines: string): z.output<typeof tickSchema>[] {
  if (!lines) return [];
  return lines.split('\n').map((line) => {
    const [at = 0, place = 0, fromRows = 0, fromRuns = 0, toRows = 0, toRuns = 0] = line.split(' ').map(Number);
    const step = { at, place, from: { rows: fromRows, runs: fromRuns }, to: { rows: toRows, runs: toRuns } };
    return { id: stepName(step), ...step };
  });
}
