import { z } from 'zod';

/** How the maker reads: units and their fractions, terms and hand. */
export const preferencesSchema = z.strictObject({
  units: z.enum(['cm', 'in']),
  terms: z.enum(['US', 'UK']),
  hand: z.enum(['right', 'left']),
  fractions: z.enum(['quarters', 'decimals']).default('quarters'),
});
