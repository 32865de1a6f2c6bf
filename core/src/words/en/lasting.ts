import type { Lasting } from '../../work/underway/lasting.ts';
import type { ColourNow } from '../../work/underway/weighed.ts';

/**
 * Where a yarn runs out: `between rows 31 and 36`, or with an end that may come only when all rows are worked.
 * @param rows of the whole piece; what comes after them is its finishing
 */
export function endsAtText({ low, high }: NonNullable<ColourNow['endsAt']>, rows: number): string {
  if (low > rows) return 'in the finishing';
  return high > rows ? `between row ${low} and the end` : `between rows ${low} and ${high}`;
}

/** Where each of some colours runs out: `A runs out between rows 97 and 107; B may not last`. @param rows of the whole piece */
export function shortText(short: readonly Lasting[], rows: number): string {
  return short
    .map(({ letter, endsAt }) => (endsAt ? `${letter} runs out ${endsAtText(endsAt, rows)}` : `${letter} may not last`))
    .join('; ');
}
