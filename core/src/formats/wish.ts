import { z } from 'zod';
import { parseLength } from '../units/length.ts';

const letters = z.string().regex(/^[A-H]$/, 'A colour has one letter, A to H.');

/** A length as typed, with its unit or in the units of the wish. */
const typedLength = z.string().trim().min(1, 'Nothing was typed.').max(40, 'That is too long for a length.');

const wholeNumber = (least: number, most: number, what: string) =>
  z
    .number(`${what} must be a number.`)
    .int(`${what} must be a whole number.`)
    .min(least, `${what} must be ${least} at least.`)
    .max(most, `${what} must be ${most} at most.`);

const count = (what: string) => wholeNumber(1, 3000, what);

export const wishedWidthSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('length'), length: typedLength }),
  z.strictObject({ by: z.literal('chain'), count: count('The number of chains') }),
  z.strictObject({ by: z.literal('stitches'), count: count('The number of stitches') }),
  z.strictObject({ by: z.literal('repeats'), count: count('The number of repeats') }),
]);

export const wishedHeightSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('length'), length: typedLength }),
  z.strictObject({ by: z.literal('rows'), count: count('The number of rows') }),
  z.strictObject({ by: z.literal('repeats'), count: count('The number of repeats') }),
]);

const gaugeCount = z.strictObject({
  count: z
    .number('The count must be a number.')
    .positive('A gauge of nothing measures nothing: count at least one.')
    .max(1000, 'Count 1000 at most.'),
  over: typedLength,
});

export const gaugeSchema = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('counted'), stitches: gaugeCount, rows: gaugeCount }),
  z.strictObject({ from: z.literal('typical') }),
]);

export const yarnSchema = z.strictObject({
  letter: letters,
  name: z.string().trim().min(1, 'Give the colour a name.').max(60, 'A name has 60 letters at most.'),
  shade: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A shade is written #rrggbb.'),
  weight: z.union(
    [1, 2, 3, 4, 5, 6].map((n) => z.literal(n as 1 | 2 | 3 | 4 | 5 | 6)),
    'A weight class is 1 to 6.',
  ),
  fibre: z.enum(['cotton', 'acrylic', 'wool'], 'Choose cotton, acrylic or wool.'),
  ballMetres: z
    .number('Metres a ball must be a number.')
    .positive('A ball has more than 0 m.')
    .max(5000, 'A ball has 5000 m at most.')
    .optional(),
  ballGrams: z
    .number('Grams a ball must be a number.')
    .positive('A ball has more than 0 g.')
    .max(2000, 'A ball has 2000 g at most.')
    .optional(),
});

/** What can be wished for in flat pieces. */
export const items = ['dishcloth', 'blanket', 'bag panel', 'scarf', 'mat'] as const;
export type Item = (typeof items)[number];

/** Everything a plan is made from. The one shape behind the screen, the API and the command line. */
export const wishSchema = z.strictObject({
  title: z.string().trim().min(1, 'Give the work a name.').max(80, 'A name has 80 letters at most.'),
  item: z.enum(items, `Choose one of: ${items.join(', ')}.`),
  units: z.enum(['cm', 'in'], 'Choose cm or in.').default('cm'),
  width: wishedWidthSchema,
  height: wishedHeightSchema,
  pattern: z.strictObject({
    key: z.string().min(1).max(60),
    stitch: z.string().max(20).optional(),
    numbers: z.record(z.string().max(20), z.number('The number must be a number.')).optional(),
  }),
  foundation: z.string().max(40).optional(),
  edges: z.enum(['whole', 'mirrored', 'centred'], 'Choose whole, mirrored or centred.').default('mirrored'),
  ending: z.enum(['any', 'whole', 'as-begun'], 'Choose any, whole or as-begun.').default('as-begun'),
  gauge: gaugeSchema,
  yarns: z.array(yarnSchema).min(1, 'At least one yarn is needed.').max(8, 'Eight colours at most.'),
  policy: z
    .enum(['carry-always', 'as-needed', 'cut-always'], 'Choose carry-always, as-needed or cut-always.')
    .default('as-needed'),
  floats: z.boolean('Say true or false.').default(false),
  /** The size chosen on the mat; without it the one nearest to the wish is taken. */
  choice: z.strictObject({ stitches: count('The number of stitches'), rows: count('The number of rows') }).optional(),
});

/** A wish as it is stored: everything filled in. */
export type Wish = z.output<typeof wishSchema>;
/** A wish as it may be written: what has a usual value may be left out. */
export type WishInput = z.input<typeof wishSchema>;

/** Whether a typed length can be read; for a form to ask before it sends. */
export function lengthReads(typed: string, units: Wish['units']): boolean {
  return parseLength(typed, units).ok;
}
