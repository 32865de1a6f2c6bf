import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import { patternFacts } from './patternFacts.ts';

const facts = new Map(patternBook.map((pattern) => [pattern.key, must(patternFacts(pattern))]));
const of = (key: string) => facts.get(key) as NonNullable<ReturnType<typeof facts.get>>;

describe('what is said of a pattern beside others', () => {
  it('rows of one colour change nowhere, blocks of four change nine times in about forty stitches', () => {
    expect(of('houndstooth').changes).toBe(0);
    expect(of('block-check').changes).toBe(9);
  });

  it('a tube lies double, so it takes about twice the yarn of the same stitch', () => {
    expect(of('sea-chest').metres / of('block-check').metres).toBeGreaterThan(1.8);
    expect(of('sea-chest').metres / of('block-check').metres).toBeLessThan(2.2);
  });

  it('cut rows leave an end at either edge of every row: mosaic has by far the most', () => {
    const most = [...facts.values()].sort((a, b) => b.ends - a.ends).slice(0, 2);
    expect(most.map((each) => each.key).sort()).toEqual(['gull-steps', 'tide-marks']);
  });

  it('turned rows of plain stitches look alike on both faces; drops, posts, flecks and rounds do not', () => {
    expect(['block-check', 'quay-linen', 'net-floats'].map((key) => of(key).reversible)).toEqual([true, true, true]);
    expect(['tide-marks', 'salt-spray', 'windlass', 'two-nets'].map((key) => of(key).reversible)).toEqual([
      false,
      false,
      false,
      false,
    ]);
  });

  it('stripes in plain stitches are easy, figures in colours are for practised hands', () => {
    expect(of('houndstooth').difficulty).toBe(1);
    expect(of('block-check').difficulty).toBe(2);
    expect(of('lone-sail').difficulty).toBe(3);
  });
});
