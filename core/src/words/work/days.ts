import type { Day } from '../../work/schedule/schedule.ts';

const words = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
const withYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/** A day as it is told: `Sat, 5 Dec`; one that is far off with its year. */
export function dayWords(day: Day, now: Date = new Date()): string {
  const date = new Date(`${day}T00:00:00Z`);
  const far = Math.abs(date.getTime() - now.getTime()) > 200 * 86_400_000;
  return (far ? withYear : words).format(date);
}
