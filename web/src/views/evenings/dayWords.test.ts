import { dayWords } from '../../parts/dayWords.ts';
import { finishScale } from './finishScale.ts';

const now = new Date('2026-11-23T12:00:00Z');

describe('a day as it is told', () => {
  it('has its weekday while it is near, and its year when it is far', () => {
    expect(dayWords('2026-12-05', now)).toBe('Sat 5 Dec');
    expect(dayWords('2027-11-05', now)).toBe('5 Nov 2027');
  });
});

describe('the rule of days', () => {
  const finish = {
    id: 'a',
    begins: '2026-11-23',
    early: '2026-11-28',
    likely: '2026-12-01',
    late: '2026-12-14',
    chance: undefined,
  };
  const work = { id: 'a', title: 'A', rows: 9, left: { mid: 1, low: 1, high: 1, source: 'piece' as const } };
  const at = (day: string) => new Date(`${day}T00:00:00Z`);

  it('goes from today to the last day and a week more: four weeks from 23 November to 21 December', () => {
    const scale = finishScale([finish], [work], '2026-11-23');
    expect([scale(at('2026-11-23')), scale(at('2026-12-07')), scale(at('2026-12-21'))]).toEqual([0, 500, 1000]);
  });

  it('reaches the day that is due, and is never shorter than three weeks', () => {
    const due = finishScale([finish], [{ ...work, due: '2027-01-11' }], '2026-11-23');
    // 49 days and seven more.
    expect(due(at('2027-01-18'))).toBe(1000);
    const none = finishScale([], [], '2026-11-23');
    expect(none(at('2026-12-14'))).toBe(1000);
  });
});
