import { z } from 'zod';
import { parseLength } from '../craft/units/length.ts';
import { labelOf, type RecordKind } from './record.ts';
import { hookSize, type Wish, wishSchema, yarnSchema } from './wish.ts';

const { pattern, policy, floats, units, foundation } = wishSchema.shape;

/** One count over a measured span of the swatch. */
export const swatchCountSchema = z.strictObject({
  what: z.enum(['stitches', 'rows']),
  count: z.number().positive().max(1000),
  over: z.string().trim().min(1).max(40),
  washed: z.boolean().default(false),
  /** The day it was counted, `2026-04-01`. */
  on: z.iso.date().optional(),
});

/** A swatch of the swatch book: a small cloth of the pattern, worked as the piece will be. */
export const swatchSchema = z
  .strictObject({
    ...labelOf('puntada-swatch', 1),
    title: z.string().trim().min(1).max(80),
    units,
    pattern,
    foundation,
    policy,
    floats,
    /** mm */
    hook: hookSize.optional(),
    yarns: z.array(yarnSchema).min(1).max(8),
    counts: z.array(swatchCountSchema).max(40).default([]),
    /** Weighed dry before washing, tails and all; the scale reads to ± so much, g. */
    weight: z
      .strictObject({
        grams: z.number().positive().max(2000),
        scale: z.number().positive().max(10),
      })
      .optional(),
    note: z.string().max(400).default(''),
  })
  .superRefine((swatch, context) => {
    swatch.counts.forEach(({ over }, i) => {
      const read = parseLength(over, swatch.units);
      if (read.ok && read.value >= shortestSpan && read.value <= longestSpan) return;
      context.addIssue({
        code: 'custom',
        path: ['counts', i, 'over'],
        message: read.ok ? 'span-out-of-range' : 'not-a-length',
      });
    });
  });

export const swatchRecord = { format: 'puntada-swatch', schema: swatchSchema, steps: [] } satisfies RecordKind;

/** mm */
const shortestSpan = 10;
const longestSpan = 1000;

export type Swatch = z.output<typeof swatchSchema>;
export type SwatchCount = Swatch['counts'][number];

/** mm. A swatch is this wide and high at least. docs/craft.md, “Swatches”. */
export const leastSide = 150;

/** The wish that a swatch is: the smallest cloth of its pattern that can be counted well, strands as in the piece. */
export function swatchWish(swatch: Swatch, gauge: Wish['gauge']): Wish {
  const { title, units: inUnits, pattern: of, foundation: into, policy: as, floats: loose, hook, yarns } = swatch;
  return wishSchema.parse({
    title,
    item: 'mat',
    units: inUnits,
    width: { by: 'length', length: `${leastSide} mm` },
    height: { by: 'length', length: `${leastSide} mm` },
    pattern: of,
    foundation: into,
    policy: as,
    floats: loose,
    hook,
    yarns: yarns.map(({ balls: _balls, partGrams: _part, drawer: _drawer, ...yarn }) => yarn),
    gauge,
    edges: 'whole',
    ending: 'any',
  });
}
