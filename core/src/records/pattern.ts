import { z } from 'zod';
import { printPattern } from '../craft/notation/print.ts';
import { readPattern } from '../craft/notation/read.ts';
import { makings, type StitchPattern } from '../craft/patterns/model.ts';
import { techniques } from '../craft/techniques/register.ts';
import type { Result } from '../craft/values/problem.ts';
import { readJson } from './readJson.ts';
import { anyVersion, labelOf, type RecordKind } from './record.ts';

const whole = z.number().int().min(-10000).max(10000);
const count = z.strictObject({
  terms: z
    .array(
      z.strictObject({
        times: whole,
        of: z
          .string()
          .regex(/^[a-z]$/)
          .optional(),
      }),
    )
    .min(1)
    .max(8),
});
const multiple = z.strictObject({ multiple: count, extra: count });
const extent = z.strictObject({
  word: z
    .string()
    .regex(/^[a-z ]+$/)
    .max(40),
  works: multiple,
  alike: multiple,
});
const words = z
  .string()
  .max(400)
  .regex(/^[^"\n]*$/);
const run = z.strictObject({
  count,
  stitch: z
    .string()
    .regex(/^[a-z][a-z0-9]*(?:-[a-z0-9]+)*$/)
    .max(20)
    .optional(),
  place: z
    .string()
    .regex(/^[a-z0-9-]+$/)
    .max(20)
    .optional(),
  colour: z
    .string()
    .regex(/^[A-H]$/)
    .optional(),
});
const runs = z.array(run).max(500);
const row = z.strictObject({
  role: z.enum(['setup', 'row', 'close']),
  courses: count,
  colour: z
    .string()
    .regex(/^[A-H*]$/)
    .optional(),
  start: runs,
  unit: runs,
  end: runs,
});

const letters = z.array(z.string().regex(/^[A-H]$/)).max(500);
const order = z.strictObject({ opening: letters, repeat: letters.min(1), closing: letters });

/** A stitch pattern as JSON; it says the same as the notation, and either can be made from the other without loss. */
export const patternSchema = z.strictObject({
  ...labelOf('puntada-pattern', 1),
  key: z
    .string()
    .regex(/^[a-z][a-z0-9-]*$/)
    .max(60),
  name: words,
  about: words,
  technique: z.string().refine((key) => techniques.some((each) => each.key === key), 'technique-unknown'),
  made: z.enum(makings),
  stitches: z.array(z.string().regex(/^[a-z]+$/)).max(4),
  colours: z
    .array(z.string().regex(/^[A-H]$/))
    .min(1)
    .max(8),
  fewestColours: z.number().int().min(1).max(8),
  mostColours: z.number().int().min(1).max(8),
  numbers: z
    .array(
      z.strictObject({
        name: z.string().regex(/^[a-z]$/),
        usual: whole.min(0),
        least: whole.min(0),
        most: whole.min(0),
        meaning: words,
      }),
    )
    .max(8),
  across: extent,
  up: extent,
  read: z.enum(['seen', 'worked']),
  rows: z.array(row).max(1000),
  chart: z
    .array(
      z
        .string()
        .regex(/^[A-H|]+$/)
        .max(1000),
    )
    .max(1000),
  order: order.optional(),
  ends: words,
  careful: words,
});

/** What a pattern that is written now says of itself. */
export const patternLabel = { format: 'puntada-pattern', version: 1 } as const;

export const patternRecord = { format: 'puntada-pattern', schema: patternSchema, steps: [] } satisfies RecordKind;

/** Reads a pattern from JSON text; what the notation refuses is refused here as well. */
export function readPatternJson(text: string): Result<StitchPattern> {
  const read = readJson(anyVersion(patternRecord), text);
  return read.ok ? readPattern(printPattern(read.value as StitchPattern)) : read;
}
