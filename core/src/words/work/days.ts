import type { Day } from '../../work/schedule/schedule.ts';

const forms = {
  day: { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' },
  withYear: { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' },
  tick: { day: 'numeric', month: 'short', timeZone: 'UTC' },
  date: { day: 'numeric', month: 'short', year: 'numeric' },
  short: { day: 'numeric', month: 'short' },
  moment: { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
  exact: { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', second: '2-digit' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

/** Days and moments in English, in the order in which a region writes them. */
export interface Dates {
  /** A day as it is told: `Sat, 5 Dec`; one that is far off with its year. */
  readonly day: (day: Day, now?: Date) => string;
  /** A day on an axis: `5 Dec`. */
  readonly tick: (date: Date) => string;
  /** A day here that is past, ms since 1970: `5 Dec 2026`, `5 Dec`, and with its hour `5 Dec, 21:04`. */
  readonly date: (at: number) => string;
  readonly short: (at: number) => string;
  readonly moment: (at: number) => string;
  /** The same with its seconds, where two of a minute are to be told apart. */
  readonly exact: (at: number) => string;
}

/** @param region such as `GB` or `US`; that of Great Britain where it is not known */
export function datesOf(region: string | undefined): Dates {
  const made = new Map<keyof typeof forms, Intl.DateTimeFormat>();
  // Made with the first day that is told: it takes a page longer than all else that it takes in.
  const form = (name: keyof typeof forms): Intl.DateTimeFormat => {
    const known = made.get(name) ?? new Intl.DateTimeFormat(`en-${region ?? 'GB'}`, forms[name]);
    made.set(name, known);
    return known;
  };
  return {
    day(day, now = new Date()) {
      const date = new Date(`${day}T00:00:00Z`);
      const far = Math.abs(date.getTime() - now.getTime()) > 200 * 86_400_000;
      return form(far ? 'withYear' : 'day').format(date);
    },
    tick: (date) => form('tick').format(date),
    date: (at) => form('date').format(at),
    short: (at) => form('short').format(at),
    moment: (at) => form('moment').format(at),
    exact: (at) => form('exact').format(at),
  };
}
