import { z } from 'zod';
import type { ToldUnit } from '../craft/units/length.ts';
import { labelOf, type RecordKind } from './record.ts';

/** How the maker reads: units and their fractions, terms, the hand that holds the hook, and how rows are written. */
export const preferencesSchema = z.strictObject({
  ...labelOf('puntada-preferences', 1),
  units: z.enum(['cm', 'in']),
  terms: z.enum(['US', 'UK']),
  hand: z.enum(['right', 'left']),
  /** How parts of an inch are told. */
  fractions: z.enum(['quarters', 'decimals']).default('quarters'),
  /** Compact, or as printed patterns are written. */
  manner: z.enum(['compact', 'printed']).default('compact'),
  /** As it is written beside a price. */
  currency: z.string().trim().max(4).default('€'),
  /** How the last loop is fastened: its end drawn through, or locked under the second colour. */
  lastLoop: z.enum(['drawn', 'locked']).default('drawn'),
  /** What is done with ends: woven in, knotted first, or worked over as the next stitches are made. */
  ends: z.enum(['woven', 'knotted', 'over']).default('woven'),
  /** What an hour of the hand is to earn; 0 where it was never said. */
  rate: z.number().min(0).max(10_000).default(0),
});
export const preferencesRecord = {
  format: 'puntada-preferences',
  schema: preferencesSchema,
  steps: [],
} satisfies RecordKind;

export type Preferences = Readonly<z.output<typeof preferencesSchema>>;

/** How a maker reads who has not said. */
export const usualPreferences: Preferences = preferencesSchema.parse({ units: 'cm', terms: 'US', hand: 'right' });

/** How lengths are told to this maker. */
export function toldUnitOf({ units, fractions }: Pick<Preferences, 'units' | 'fractions'>): ToldUnit {
  return units === 'in' && fractions === 'decimals' ? 'in-decimals' : units;
}
