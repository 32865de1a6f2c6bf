import { z } from 'zod';

/** How the maker reads: units and their fractions, terms and hand. */
export const preferencesSchema = z.strictObject({
  units: z.enum(['cm', 'in'], 'Choose cm or in.'),
  terms: z.enum(['US', 'UK'], 'Choose US or UK.'),
  hand: z.enum(['right', 'left'], 'Choose right or left.'),
  fractions: z.enum(['quarters', 'decimals'], 'Choose quarters or decimals.').default('quarters'),
});
