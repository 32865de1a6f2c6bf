import { printParts } from '@puntada/core/words';
import { z } from 'zod';

const flag = z.enum(['0', '1']).transform((each) => each === '1');

/** What is printed, and how: as the address of the document says. */
export const printOptions = z.object({
  parts: z
    .string()
    .max(100)
    .default('cover,before,rows,chart,finish,yarn')
    .transform((text) => text.split(',').filter(Boolean))
    .pipe(z.array(z.enum(printParts)).min(1)),
  paper: z.enum(['A4', 'LETTER', 'A3', 'A2']).default('A4'),
  way: z.enum(['portrait', 'landscape']).default('portrait'),
  boxes: flag.default(true),
  strands: flag.default(false),
  grouped: flag.default(false),
  chart: z.enum(['colours', 'letters']).default('colours'),
  /** Points of the large print. */
  point: z.coerce.number().int().min(18).max(30).default(22),
});
export type PrintOptions = z.output<typeof printOptions>;
