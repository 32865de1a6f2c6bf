import {
  type Day,
  dayAfter,
  evening,
  finishes,
  type Pending,
  rowsIn,
  secondsUntil,
  type Week,
} from '@puntada/core/work';
import { createEvents, type EventAttributes } from 'ics';

/** Evenings are told this far ahead, days. */
const ahead = 28;
const from = { hour: 19, minute: 30 };

function parts(day: Day): [number, number, number] {
  const [year = 0, month = 0, date = 0] = day.split('-').map(Number);
  return [year, month, date];
}

/** The works as they stand on the evening of a day, if all evenings before were kept. */
function standing(works: readonly Pending[], seconds: number): Pending[] {
  let done = seconds;
  return works.map((work) => {
    const spent = Math.min(done, work.left.mid);
    done -= spent;
    const rest = work.left.mid ? 1 - spent / work.left.mid : 0;
    const { left, rowsTake } = work;
    return {
      ...work,
      rows: work.rows - rowsIn(work, spent),
      rowsTake: rowsTake === undefined ? undefined : Math.max(0, rowsTake - spent),
      left: { ...left, mid: left.mid * rest, low: left.low * rest, high: left.high * rest },
    };
  });
}

/**
 * Evenings at the hook, finishing days and due days as a calendar.
 * @param works in the order in which they are worked
 */
export function calendarOf(works: readonly Pending[], week: Week, today: Day): string {
  const titles = new Map(works.map(({ id, title }) => [id, title]));
  const events: EventAttributes[] = [];
  for (let n = 0; n < ahead; n++) {
    const day = dayAfter(today, n);
    const before = n === 0 ? 0 : secondsUntil(week, today, dayAfter(day, -1));
    const sittings = evening(standing(works, before), week, day);
    const minutes = sittings.reduce((sum, each) => sum + each.minutes, 0);
    if (!minutes) continue;
    events.push({
      uid: `evening-${day}@puntada`,
      title: sittings.map(({ id }) => titles.get(id)).join(', '),
      description: sittings
        .map(({ id, rows, done }) => `${titles.get(id)}: ${done ? 'to its end' : `about ${rows} rows`}`)
        .join('\n'),
      start: [...parts(day), from.hour, from.minute],
      // An evening is an evening wherever the calendar is read.
      startOutputType: 'local',
      duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
    });
  }
  for (const { id, likely } of finishes(works, week, today)) {
    const due = works.find((work) => work.id === id)?.due;
    if (likely) events.push(wholeDay(`finish-${id}@puntada`, `${titles.get(id)}: likely finished`, likely));
    if (due) events.push(wholeDay(`due-${id}@puntada`, `${titles.get(id)}: due`, due));
  }
  const { error, value } = createEvents(events, { productId: 'puntada', calName: 'At the hook' });
  if (error || !value) throw error ?? new Error('no calendar was made');
  return value;
}

function wholeDay(uid: string, title: string, day: Day): EventAttributes {
  return { uid, title, start: parts(day), end: parts(dayAfter(day, 1)) };
}
