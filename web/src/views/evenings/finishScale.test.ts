import { finishScale } from './finishScale.ts';

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
