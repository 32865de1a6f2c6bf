import { dayWords } from './days.ts';

const now = new Date('2026-11-23T12:00:00Z');

describe('a day as it is told', () => {
  it('has its weekday while it is near, and its year when it is far', () => {
    expect(dayWords('2026-12-05', now)).toBe('Sat 5 Dec');
    expect(dayWords('2027-11-05', now)).toBe('5 Nov 2027');
  });
});
