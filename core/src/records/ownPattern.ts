import { z } from 'zod';
import { labelOf, type RecordKind } from './record.ts';

/** Letters of a pattern in the notation: a chart of 300 by 300 cells and more. */
export const longestPattern = 200_000;

/** A stitch pattern of the maker's own. */
export const ownPatternSchema = z.strictObject({
  ...labelOf('puntada-own-pattern', 1),
  /** In the notation (docs/pattern-notation.md); its key and name stand in its first line. */
  text: z.string().min(1).max(longestPattern),
  note: z.string().max(2000).default(''),
});
/** What an own pattern that is written now says of itself. */
export const ownPatternLabel = { format: 'puntada-own-pattern', version: 1 } as const;

export const ownPatternRecord = {
  format: 'puntada-own-pattern',
  schema: ownPatternSchema,
  steps: [],
} satisfies RecordKind;
export type OwnPattern = z.output<typeof ownPatternSchema>;
