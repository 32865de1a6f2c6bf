import { stitchKinds } from '../../craft/stitches/kinds.ts';
import { stitchNames } from '../terms/stitchNames.ts';
import { actWords, secondsWords, timeWords } from './pace.ts';

describe('the words of a pace', () => {
  it('names what hands do in the terms of the maker, each unlike the others', () => {
    expect([actWords('dc', 'US'), actWords('dc', 'UK'), actWords('turn', 'US')]).toEqual(['dc', 'tr', 'a turn']);
    expect([actWords('change', 'UK'), actWords('end', 'US')]).toEqual(['a change of colour', 'an end']);
    // Two kinds are called alike only where a maker could not tell them apart by their abbreviation.
    for (const { key } of stitchKinds) expect(actWords(key, 'US')).toBe(stitchNames[key][0]);
  });

  it('tells seconds as a range, tenths as long as they count', () => {
    const range = (low: number, high: number) => secondsWords({ mid: low, low, high, source: 'piece' });
    expect(range(2.64, 3.41)).toBe('2.6–3.4 s');
    expect(range(9.6, 14.4)).toBe('10–14 s');
  });

  it('tells hours from an hour and a half on', () => {
    expect([0, 89, 90, 5340, 5400, 10_020].map(timeWords)).toEqual([
      '0 min',
      '1 min',
      '2 min',
      '89 min',
      '1 h 30 min',
      '2 h 47 min',
    ]);
  });
});
