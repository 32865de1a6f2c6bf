import { figure } from '../../craft/values/decimal.ts';
import type { LogEntry } from '../../records/logEntry.ts';
import { upper } from '../en/lists.ts';
import type { Named } from '../en/print.ts';
import type { Dates } from '../work/days.ts';

/**
 * What was logged, a line each by when it was; pauses and corrections of sessions stand in none.
 * @param placeOf how so many rows and steps are told: `row 20`
 */
export function logLines(entries: readonly LogEntry[], dates: Dates, placeOf: (units: number) => string): Named[] {
  return entries.flatMap((entry): Named[] => {
    const when = dates.moment(entry.at);
    switch (entry.kind) {
      case 'weigh': {
        const { ball, letter, before, after, position } = entry;
        const grams = `${figure(before)} g when it was begun, ${figure(after)} g now`;
        return [[when, `Ball ${ball} of ${letter}: ${grams}; after ${placeOf(position.rows)}`]];
      }
      case 'measure':
        return [[when, `${sides(entry)}; after ${placeOf(entry.position.rows)}`]];
      case 'note':
        return [[when, `${upper(placeOf(entry.row))}: ${entry.text}`]];
      case 'photo':
        return [[when, `Photo after ${placeOf(entry.row)}`]];
      case 'end': {
        const grams = entry.grams === undefined ? '' : `${figure(entry.grams)} g`;
        const came = [sides(entry), grams].filter(Boolean).join(', ');
        return [
          [when, [came && `Finished: ${came}.`, entry.next && `Next time: ${entry.next}`].filter(Boolean).join(' ')],
        ];
      }
      default:
        return [];
    }
  });
}

/** `22 cm wide, 12 cm high`, as far as it was measured. */
function sides({
  width,
  height,
}: {
  readonly width?: string | undefined;
  readonly height?: string | undefined;
}): string {
  return [width && `${width} wide`, height && `${height} high`].filter(Boolean).join(', ');
}
