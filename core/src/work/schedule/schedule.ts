import { type Estimate, ninety } from '../../craft/values/estimate.ts';
import { normalBelow } from '../../craft/values/normal.ts';

/** A day as `2026-11-23`. */
export type Day = string;

/** Minutes that are crocheted on each day of the week, Monday first. */
export type Week = readonly number[];

/** A work that waits to be finished. */
export interface Pending {
  readonly id: string;
  readonly title: string;
  /** Seconds still to be worked. */
  readonly left: Estimate;
  /** The last day on which it may be finished. */
  readonly due?: Day | undefined;
  /** Rows or rounds still to be worked. */
  readonly rows: number;
  /** Seconds that these rows take of all that is left; chains, seams and ends take the others. All of it, if not told. */
  readonly rowsTake?: number | undefined;
}

/** Whole rows that are worked in the next so many seconds: what is no row is likely to come after them. */
export function rowsIn({ rows, rowsTake, left }: Pending, seconds: number): number {
  const take = rowsTake ?? left.mid;
  return take > 0 ? Math.min(rows, Math.floor((rows * seconds) / take + 1e-9)) : rows;
}

/** When a work will be finished. A day is undefined where it does not come within five years. */
export interface Finish {
  readonly id: string;
  /** The first day on which it is worked at. */
  readonly begins: Day | undefined;
  readonly early: Day | undefined;
  readonly likely: Day | undefined;
  readonly late: Day | undefined;
  /** The chance that it is finished on its due day, for what is due. */
  readonly chance: number | undefined;
}

const dayMs = 86_400_000;
const horizon = 5 * 366;

/** So many days after a day. */
export function dayAfter(day: Day, days: number): Day {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * dayMs).toISOString().slice(0, 10);
}

/** Monday is 0. */
export function weekday(day: Day): number {
  return (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
}

/** Seconds that are crocheted on a day. */
function secondsOn(week: Week, day: Day): number {
  return 60 * (week[weekday(day)] ?? 0);
}

/** Seconds that are crocheted in a whole week. */
function secondsAWeek(week: Week): number {
  return week.reduce((sum, minutes) => sum + 60 * minutes, 0);
}

/** Days from one to another; negative where the other comes before. */
function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / dayMs);
}

/** Seconds that are crocheted from a day to another, both counted. */
export function secondsUntil(week: Week, from: Day, to: Day): number {
  const days = daysBetween(from, to) + 1;
  if (days <= 0) return 0;
  const [weeks, first] = [Math.floor(days / 7), weekday(from)];
  let seconds = weeks * secondsAWeek(week);
  for (let n = 0; n < days % 7; n++) seconds += 60 * (week[(first + n) % 7] ?? 0);
  return seconds;
}

/** The day on which so many seconds have been worked; none where it does not come within five years. */
export function dayReached(week: Week, from: Day, seconds: number): Day | undefined {
  const perWeek = secondsAWeek(week);
  const first = weekday(from);
  // Whole weeks at once, but for the last two: in them it is found on which day.
  const weeks = perWeek > 0 ? Math.max(0, Math.floor(seconds / perWeek) - 1) : 0;
  let left = seconds - weeks * perWeek;
  for (let n = 7 * weeks; n < horizon; n++) {
    const own = 60 * (week[(first + n) % 7] ?? 0);
    left -= own;
    if (left <= 1e-6 && (own > 0 || n === 0)) return dayAfter(from, n);
    if (perWeek === 0 && n > 0) return undefined;
  }
  return undefined;
}

/** What is due first is worked first; what has no day comes after, in the order given. */
export function inTurn<Each extends Pending>(works: readonly Each[]): Each[] {
  return [...works].sort((a, b) =>
    (a.due ?? '9999') < (b.due ?? '9999') ? -1 : (a.due ?? '9999') > (b.due ?? '9999') ? 1 : 0,
  );
}

/** The logarithm's standard deviation of an estimate with a range that holds nine times out of ten. */
function sdOf({ mid, high }: Estimate): number {
  return mid > 0 ? Math.log(high / mid) / ninety : 0;
}

/**
 * When each work will be finished, one worked after the other, the one that is due first. What was guessed wrong for
 * one is guessed wrong alike for the next, so ranges add up. @param today the first day to be worked on
 */
export function finishes(works: readonly Pending[], week: Week, today: Day): Finish[] {
  const before = { low: 0, mid: 0, high: 0 };
  return inTurn(works).map(({ id, left, due }) => {
    const begins = dayReached(week, today, before.mid + 1);
    before.low += left.low;
    before.mid += left.mid;
    before.high += left.high;
    const [early, likely, late] = [before.low, before.mid, before.high].map((each) => dayReached(week, today, each));
    const sum: Estimate = { ...before, source: left.source };
    return { id, begins, early, likely, late, chance: due ? chanceBy(sum, secondsUntil(week, today, due)) : undefined };
  });
}

/** The chance that so much work is done in so many seconds. */
function chanceBy(work: Estimate, seconds: number): number {
  if (work.mid <= 0) return 1;
  if (seconds <= 0) return 0;
  const sd = sdOf(work);
  if (sd === 0) return seconds >= work.mid ? 1 : 0;
  return normalBelow(Math.log(seconds / work.mid) / sd);
}

/** One thing to be done on an evening. */
export interface Sitting {
  readonly id: string;
  readonly minutes: number;
  /** Whole rows that it is likely to come to. */
  readonly rows: number;
  /** It is likely to be finished. */
  readonly done: boolean;
}

/** Minutes at the hook after which hands rest, and for how long. docs/craft.md, “Cautions”. */
export const restAfter = 30;
export const restFor = 5;

/** What to do on a day: the works in turn until its minutes are used. */
export function evening(works: readonly Pending[], week: Week, day: Day): Sitting[] {
  let left = secondsOn(week, day);
  const sittings: Sitting[] = [];
  for (const work of inTurn(works)) {
    if (left < 60) break;
    const { mid } = work.left;
    if (mid <= 0) continue;
    const seconds = Math.min(left, mid);
    const done = seconds >= mid;
    sittings.push({
      id: work.id,
      minutes: Math.round(seconds / 60),
      rows: done ? work.rows : rowsIn(work, seconds),
      done,
    });
    left -= seconds;
  }
  return sittings;
}

/** How often hands rest in so many minutes. */
export function rests(minutes: number): number {
  return Math.max(0, Math.ceil(minutes / restAfter) - 1);
}
