import { datesOf } from './days.ts';

const now = new Date('2026-11-23T12:00:00Z');

describe('a day as it is told', () => {
  it('has its weekday while it is near, and its year when it is far', () => {
    const { day } = datesOf('GB');
    expect(day('2026-12-05', now)).toBe('Sat 5 Dec');
    expect(day('2027-11-05', now)).toBe('5 Nov 2027');
  });

  it('stands in the order of the region, as its date fields do', () => {
    expect(datesOf('US').day('2026-12-05', now)).toBe('Sat, Dec 5');
    expect(datesOf(undefined).day('2026-12-05', now)).toBe('Sat 5 Dec');
    const noon = Date.parse('2026-12-05T12:00:00Z');
    expect(datesOf('GB').date(noon)).toBe('5 Dec 2026');
    expect(datesOf('US').date(noon)).toBe('Dec 5, 2026');
    expect(datesOf('IE').short(noon)).toBe('5 Dec');
  });
});
