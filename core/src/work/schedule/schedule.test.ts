import fc from 'fast-check';
import type { Estimate } from '../../craft/values/estimate.ts';
import {
  dayAfter,
  dayReached,
  evening,
  finishes,
  inTurn,
  type Pending,
  rests,
  rowsIn,
  secondsUntil,
  weekday,
} from './schedule.ts';

// Monday to Sunday: an hour on Tuesday and Thursday, two on Saturday.
const week = [0, 60, 0, 60, 0, 120, 0];
const hours = (mid: number, spread = 1): Estimate => ({
  mid: mid * 3600,
  low: (mid * 3600) / spread,
  high: mid * 3600 * spread,
  source: 'piece',
});
const work = (id: string, left: Estimate, due?: string): Pending => ({ id, title: id, left, due, rows: 40 });
// 23 November 2026 is a Monday.
const monday = '2026-11-23';

describe('days', () => {
  it('are found as by walking from one to the next', () => {
    const weeks = fc.array(fc.constantFrom(0, 0, 15, 60, 120), { minLength: 7, maxLength: 7 });
    fc.assert(
      fc.property(
        weeks,
        fc.nat({ max: 3000 }),
        fc.nat({ max: 400 * 3600 }),
        fc.nat({ max: 90 }),
        (each, start, seconds, days) => {
          const from = new Date(Date.UTC(2026, 0, 1 + start));
          const text = (day: Date) => day.toISOString().slice(0, 10);
          let [left, until] = [seconds, 0];
          let found: string | undefined;
          for (let n = 0; n < 5 * 366; n++) {
            const day = new Date(from.getTime() + n * 86_400_000);
            const own = 60 * (each[(day.getUTCDay() + 6) % 7] as number);
            if (n <= days) until += own;
            left -= own;
            if (found === undefined && left <= 0 && (own > 0 || n === 0)) found = text(day);
          }
          expect(dayReached(each, text(from), seconds)).toBe(found);
          const last = text(new Date(from.getTime() + days * 86_400_000));
          expect(secondsUntil(each, text(from), last)).toBe(until);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('go over months and years, and know their weekday', () => {
    expect([dayAfter('2026-12-31', 1), dayAfter('2028-02-28', 1), dayAfter('2026-03-28', 2)]).toEqual([
      '2027-01-01',
      '2028-02-29',
      '2026-03-30',
    ]);
    expect([weekday(monday), weekday('2026-11-29')]).toEqual([0, 6]);
  });

  it('in a week of four hours, five hours end on Tuesday of the next', () => {
    expect(secondsUntil(week, monday, '2026-11-29')).toBe(4 * 3600);
    // Tue 1, Thu 2, Sat 4, Tue 5.
    expect(dayReached(week, monday, 5 * 3600)).toBe('2026-12-01');
    expect(dayReached(week, monday, 4 * 3600)).toBe('2026-11-28');
    expect(dayReached([0, 0, 0, 0, 0, 0, 0], monday, 60)).toBeUndefined();
  });
});

describe('when works are finished', () => {
  it('what is due first goes first, and what follows begins when it is done', () => {
    const works = [work('later', hours(3)), work('fair', hours(4), '2026-12-05')];
    expect(inTurn(works).map(({ id }) => id)).toEqual(['fair', 'later']);
    const [fair, later] = finishes(works, week, monday);
    // Four hours: Saturday; three more: Tuesday, Thursday and half of Saturday.
    expect(fair).toMatchObject({ id: 'fair', begins: '2026-11-24', likely: '2026-11-28', chance: 1 });
    expect(later).toMatchObject({ id: 'later', begins: '2026-12-01', likely: '2026-12-05', chance: undefined });
  });

  it('the chance is even where the hours till then are just those that are likely', () => {
    const [even] = finishes([work('a', hours(4, 1.4), '2026-11-28')], week, monday);
    expect(even?.chance).toBeCloseTo(0.5, 6);
    // Eight hours for four whose nine-in-ten range goes to 5.6: ln 2 ÷ (ln 1.4 ÷ 1.6449) = 3.39 deviations.
    const [sure] = finishes([work('a', hours(4, 1.4), '2026-12-05')], week, monday);
    expect(sure?.chance).toBeGreaterThan(0.9996);
    expect(sure?.chance).toBeLessThan(0.9998);
    const [none] = finishes([work('a', hours(4, 1.4), monday)], week, monday);
    expect(none?.chance).toBe(0);
  });

  it('never ends later for more hours, nor sooner for more work', () => {
    const some = fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(some, fc.array(fc.integer({ min: 0, max: 180 }), { minLength: 7, maxLength: 7 }), (list, minutes) => {
        const works = list.map((n, i) => work(`w${i}`, hours(n, 1.3)));
        const before = finishes(works, minutes, monday);
        const more = finishes(
          works,
          minutes.map((each) => each + 15),
          monday,
        );
        before.forEach((each, i) => {
          expect((more[i]?.likely ?? '9999') <= (each.likely ?? '9999')).toBe(true);
          expect((each.early ?? '9999') <= (each.likely ?? '9999')).toBe(true);
          expect((each.likely ?? '9999') <= (each.late ?? '9999')).toBe(true);
          expect((before[i - 1]?.likely ?? '') <= (each.likely ?? '9999')).toBe(true);
        });
      }),
    );
  });
});

describe('an evening', () => {
  it('takes what is due first, then the next, in whole rows', () => {
    const works = [work('slow', hours(10)), work('short', hours(0.5), '2026-12-01')];
    // Tuesday, an hour: half an hour finishes the short one; half an hour of ten is 2 of 40 rows.
    expect(evening(works, week, '2026-11-24')).toEqual([
      { id: 'short', minutes: 30, rows: 40, done: true },
      { id: 'slow', minutes: 30, rows: 2, done: false },
    ]);
    expect(evening(works, week, monday)).toEqual([]);
  });

  it('counts rows by what rows take, and none for the ends and seams that come after them', () => {
    // Ten hours are left: 40 rows in eight of them, twelve minutes each. An hour comes to five rows, not to four.
    const cloth = { ...work('cloth', hours(10)), rowsTake: 8 * 3600 };
    expect(evening([cloth], week, '2026-11-24')).toEqual([{ id: 'cloth', minutes: 60, rows: 5, done: false }]);
    // Nine hours: all the rows, and an hour of the rest.
    expect(rowsIn(cloth, 9 * 3600)).toBe(40);
  });

  it('hands rest every half hour', () => {
    expect([20, 30, 31, 60, 61, 120].map(rests)).toEqual([0, 0, 1, 1, 2, 3]);
  });
});
