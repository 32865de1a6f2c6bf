import { z } from 'zod';

/** How the maker reads: units and their fractions, terms, the hand that holds the hook, and how rows are written. */
export const preferencesSchema = z.strictObject({
  units: z.enum(['cm', 'in']).default('cm'),
  terms: z.enum(['US', 'UK']).default('US'),
  hand: z.enum(['right', 'left']).default('right'),
  /** How parts of an inch are told. */
  fractions: z.enum(['quarters', 'decimals']).default('quarters'),
  /** Compact, or as printed patterns are written. */
  manner: z.enum(['compact', 'printed']).default('compact'),
});
export type Preferences = Readonly<z.output<typeof preferencesSchema>>;
