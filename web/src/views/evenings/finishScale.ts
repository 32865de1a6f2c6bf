import { type Day, dayAfter, type Finish, type Pending } from '@puntada/core/work';
import { type ScaleTime, scaleUtc } from 'd3-scale';

/** Length of the rule of days, in units of its own. */
export const width = 1000;

/** A day on the rule. */
export function at(day: Day): Date {
  return new Date(`${day}T00:00:00Z`);
}

/** Days on the common rule of all bars: from today to the last of them, and a week more. */
export function finishScale(
  finishes: readonly Finish[],
  works: readonly Pending[],
  today: Day,
): ScaleTime<number, number> {
  const days = [
    ...finishes.flatMap(({ late, likely }) => late ?? likely ?? []),
    ...works.flatMap(({ due }) => due ?? []),
  ];
  const last = days.reduce((a, b) => (a > b ? a : b), dayAfter(today, 14));
  return scaleUtc([at(today), at(dayAfter(last, 7))], [0, width]);
}
