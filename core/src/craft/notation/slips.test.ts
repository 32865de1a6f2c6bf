import { likelySlips } from './slips.ts';

const a = (count: number) => ({ count, colour: 'A' });
const b = (count: number) => ({ count, colour: 'B' });

describe('likely slips', () => {
  it('a row that is not the same from both ends, between two that are', () => {
    const slips = likelySlips([
      [a(3), b(2), a(3)],
      [a(2), b(4), a(1), b(1)],
      [a(3), b(2), a(3)],
    ]);
    expect(slips.map(({ row }) => row)).toEqual([2]);
  });

  it('says nothing of a row between two of another length, as in two nets', () => {
    expect(likelySlips([[a(2), b(2)], [a(1), b(3), a(1)], [b(4)], [a(2), b(2), a(1)], [b(4)]])).toEqual([]);
  });
});
