import fc from 'fast-check';
import { borderPatternKeys } from '../../records/wish.ts';
import {
  type BorderPatternKey,
  borderPatterns,
  changesIn,
  countsOf,
  holding,
  type PatternedRound,
  patternedCircle,
  patternedRounds,
} from './borderPattern.ts';

const mirrored = (text: string) => [...text].reverse().join('');

describe('a border in a pattern', () => {
  it('takes the count nearest to the side that holds its repeats and is alike at both ends', () => {
    // 58 stitches for a multiple of 4 and 3 more: 55 is not one short of 59; 72 stitches: 71; of two the greater.
    expect([58, 72, 59, 61, 1].map((count) => holding(count, 4, 3))).toEqual([59, 71, 59, 63, 3]);
    expect([10, 11, 12, 13].map((count) => holding(count, 4, 2))).toEqual([10, 10, 14, 14]);
    expect(holding(37, 1, 0)).toBe(37);
  });

  it('dots: a plain round, one with a dot in the middle of each four, a plain one', () => {
    const [first, second, third] = patternedRounds('dots', 7, 3, 3) as [PatternedRound, PatternedRound, PatternedRound];
    expect(first).toEqual({ across: '.......', up: '...', corner: '.' });
    // Two stitches longer; the dots stand over the second and the sixth stitch of the first round.
    expect(second).toEqual({ across: '..x...x..', up: '..x..', corner: '.' });
    expect(third).toEqual({ across: '...........', up: '.......', corner: '.' });
    // Of 2 × (9 + 5) and 12 corner stitches 6 are dots; each is begun and ended.
    expect([countsOf(second), changesIn(second)]).toEqual([[34, 6], 12]);
  });

  it('teeth grow outwards, and close in the second colour, its corners too', () => {
    expect(patternedRounds('teeth', 7, 3, 3)).toEqual([
      { across: '.x...x.', up: '.x.', corner: '.' },
      { across: '.xxx.xxx.', up: '.xxx.', corner: '.' },
      { across: 'xxxxxxxxxxx', up: 'xxxxxxx', corner: 'x' },
    ]);
  });

  it('checks change places each round, over the same stitches', () => {
    const [first, second] = patternedRounds('checks', 6, 2, 2);
    expect([first?.across, second?.across]).toEqual(['xx..xx', 'x..xx..x']);
  });

  it('begins again after its last round', () => {
    const corners = patternedRounds('bands', 5, 5, 5).map(({ corner }) => corner);
    expect(corners.join('')).toBe('.x.x.');
  });

  it('goes round a circle in whole repeats, each round as near as it can be to the one that lies flat', () => {
    const rounds = patternedCircle('dots', [48, 54, 60]);
    // 54 lies between 52 and 56.
    expect(rounds.map(({ across }) => across.length)).toEqual([48, 56, 60]);
    expect(rounds.map(countsOf)).toEqual([
      [48, 0],
      [42, 14],
      [60, 0],
    ]);
  });

  const key = fc.constantFrom<BorderPatternKey>(...borderPatternKeys);
  it('reads the same from either end of every side, and what lies over a stitch stays over it', () => {
    fc.assert(
      fc.property(key, fc.integer({ min: 3, max: 90 }), fc.integer({ min: 3, max: 90 }), (each, across, up) => {
        const { multiple, more, rounds: repeats } = borderPatterns[each];
        const sides = [across, up].map((count) => holding(count, multiple, more)) as [number, number];
        expect(Math.abs(sides[0] - across)).toBeLessThanOrEqual(multiple / 2);
        for (const [n, round] of patternedRounds(each, ...sides, 7).entries()) {
          for (const side of [round.across, round.up]) expect(side).toBe(mirrored(side));
          expect([round.across.length, round.up.length]).toEqual(sides.map((count) => count + 2 * n));
          const repeat = repeats[n % repeats.length] as string;
          expect(repeat.startsWith(round.across.slice(n, n + Math.min(multiple, sides[0])))).toBe(true);
        }
      }),
    );
  });
});
