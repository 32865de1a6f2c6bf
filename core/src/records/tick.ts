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

const [nought, lineEnd] = ['0', '\n'].map((each) => each.charCodeAt(0)) as [number, number];
/** Numbers on a line. */
const onLine = 6;

/**
 * Steps as lines of numbers, each `when place row run row run`, from where and to where: a third of what JSON takes. Read
 * digit by digit, since there may be a hundred thousand of them.
 */
export function stepsIn(lines: string): Step[] {
  const steps: Step[] = [];
  const numbers = new Array<number>(onLine).fill(0);
  let place = 0;
  for (let i = 0; i <= lines.length; i++) {
    const code = i < lines.length ? lines.charCodeAt(i) : lineEnd;
    if (code >= nought) numbers[place] = (numbers[place] as number) * 10 + code - nought;
    else if (code !== lineEnd) place++;
    else if (i > 0) {
      const [at = 0, own = 0, fromRows = 0, fromRuns = 0, toRows = 0, toRuns = 0] = numbers;
      steps.push({ at, place: own, from: { rows: fromRows, runs: fromRuns }, to: { rows: toRows, runs: toRuns } });
      numbers.fill(0);
      place = 0;
    }
  }
  return steps;
}
