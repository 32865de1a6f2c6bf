import { z } from 'zod';
import { parseLength } from '../craft/units/length.ts';
import { hookSize, type Wish, wishSchema, yarnSchema } from './wish.ts';

const { pattern, policy, floats, units, foundation } = wishSchema.shape;

/** One count over a measured span of the swatch. */
export const swatchCountSchema = z.strictObject({
  what: z.enum(['stitches', 'rows'], 'Choose stitches or rows.'),
  count: z.number('The count must be a number.').positive('Count at least one.').max(1000, 'Count 1000 at most.'),
  over: z
    .string()
    .trim()
    .min(1, 'Give the span that was counted over, such as 10 cm.')
    .max(40, 'That is too long for a length.'),
  washed: z.boolean('Say true or false.').default(false),
  /** The day it was counted, `2026-04-01`. */
  on: z.iso.date('A day is written 2026-04-01.').optional(),
});

/** A swatch of the swatch book: a small cloth of the pattern, worked as the piece will be. */
export const swatchSchema = z
  .strictObject({
    title: z.string().trim().min(1, 'Give the swatch a name.').max(80, 'A name has 80 letters at most.'),
    units,
    pattern,
    foundation,
    policy,
    floats,
    /** mm */
    hook: hookSize.optional(),
    yarns: z.array(yarnSchema).min(1, 'At least one yarn is needed.').max(8, 'Eight colours at most.'),
    counts: z.array(swatchCountSchema).max(40, 'Forty counts at most.').default([]),
    /** Weighed dry before washing, tails and all; the scale reads to ± so much, g. */
    weight: z
      .strictObject({
        grams: z.number('Grams must be a number.').positive('A swatch weighs more than 0 g.').max(2000),
        scale: z.number('The scale must be a number.').positive().max(10),
      })
      .optional(),
    note: z.string().max(400, 'A note has 400 letters at most.').default(''),
  })
  .superRefine((swatch, context) => {
    swatch.counts.forEach(({ over }, i) => {
      const read = parseLength(over, swatch.units);
      if (read.ok && read.value >= shortestSpan && read.value <= longestSpan) return;
      context.addIssue({
        code: 'custom',
        path: ['counts', i, 'over'],
        message: read.ok
          ? `“${over}” is no span to count over: give 1 cm to 1 m.`
          : `“${over}” is not a length. Type 10 cm or 4 in.`,
      });
    });
  });

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
