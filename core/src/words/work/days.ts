import type { Day } from '../../work/schedule/schedule.ts';

const forms = {
  day: { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' },
  withYear: { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' },
} as const;

const made = new Map<keyof typeof forms, Intl.DateTimeFormat>();

/** Made with the first day that is told: it takes a page longer than all else that it takes in. */
function form(name: keyof typeof forms): Intl.DateTimeFormat {
  const known = made.get(name) ?? new Intl.DateTimeFormat('en-GB', forms[name]);
  made.set(name, known);
  return known;
}

/** A day as it is told: `Sat, 5 Dec`; one that is far off with its year. */
export function dayWords(day: Day, now: Date = new Date()): string {
  const date = new Date(`${day}T00:00:00Z`);
  const far = Math.abs(date.getTime() - now.getTime()) > 200 * 86_400_000;
  return form(far ? 'withYear' : 'day').format(date);
}
