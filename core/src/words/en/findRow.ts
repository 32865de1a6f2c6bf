import type { Difference } from '../../work/underway/findRow.ts';

const longest = 40;

/** What tells a row from others like it. */
export function differenceWords({ down, runs = '', band, rows }: Difference): string {
  if (down !== undefined) return `${down} below it: ${runs.length > longest ? `${runs.slice(0, longest)} …` : runs}`;
  const place = band ? `row ${band.at} of ${band.of} alike; ` : '';
  return `${place}count the rows: ${rows} in all`;
}
