import { sampleIn, type sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { workCourse } from '../../plan/steps/course.ts';
import type { Terms } from '../terms/termed.ts';
import { againstBelow } from './againstBelow.ts';

/** What is told of each run of a row, in working order. */
function reader(key: string, change: Parameters<typeof sampleWish>[0] = {}, terms: Terms = 'US') {
  const pattern = patternBook.find((each) => each.key === key);
  if (!pattern) throw new Error(key);
  const { piece, prepared } = must(planWish(sampleIn(pattern, { edges: 'whole', ending: 'whole', ...change })));
  const { bound, foundation } = prepared;
  return (row: number) =>
    workCourse(piece.fabric, bound, foundation, row - 1).runs.map((run) => ({
      run: `${run.count}${run.colour}`,
      told: againstBelow(piece.fabric, bound, row - 1, run, terms),
    }));
}

const told = (runs: ReturnType<ReturnType<typeof reader>>, run: string) =>
  new Set(runs.filter((each) => each.run === run).map((each) => each.told));

describe('a run read against the row below', () => {
  const buoys = reader('buoys', { edges: 'mirrored' });

  it('the first row has none below', () => {
    expect(buoys(1).map((each) => each.told)).toEqual([undefined]);
  });

  it('a figure begins on plain ground', () => {
    expect(told(buoys(3), '1B')).toEqual(new Set(['on plain A']));
  });

  it('three B over one B: one before it and one past it; the ground between loses one at either end', () => {
    expect(told(buoys(4), '3B')).toEqual(new Set(['starts 1 before the B below, ends 1 past it']));
    // Six to a repeat: five A between the ones of row 3, three between the threes of row 4.
    expect(told(buoys(4), '3A')).toEqual(new Set(['starts 1 into the A below, ends 1 short of its end']));
    expect(buoys(4)[0]?.told).toBe('starts with the A below, ends 1 short of its end');
    expect(buoys(4).at(-1)?.told).toBe('starts 1 into the A below, ends with it');
  });

  it('the widest row stands on its like, and the figure closes', () => {
    expect(told(buoys(5), '3B')).toEqual(new Set(['directly above the B below']));
    expect(told(buoys(6), '1B')).toEqual(new Set(['starts 1 into the B below, ends 1 short of its end']));
  });

  it('a plain row needs no place', () => {
    expect(buoys(7).map((each) => each.told)).toEqual([undefined]);
  });

  it('where kinds take turns through a row it is told what stands over what, in either terms', () => {
    const teeth = (terms: 'US' | 'UK') => reader('houndstooth', {}, terms)(2).map((each) => each.told);
    expect(teeth('US')).toEqual(['sc over dc, dc over sc']);
    expect(teeth('UK')).toEqual(['dc over tr, tr over dc']);
    const linen = reader('quay-linen', { item: 'scarf' });
    // An edge chain first; then each sc goes into the space of a chain, and each chain stands over an sc.
    expect(linen(3).map((each) => each.told)).toEqual([undefined, 'sc over ch, ch over sc']);
  });

  it('a new band of a check stands over the other colour, block on block', () => {
    const check = reader('block-check', { pattern: { key: 'block-check', numbers: { b: 4, r: 4 } } });
    expect(new Set(check(5).map((each) => each.told))).toEqual(
      new Set(['directly above the A below', 'directly above the B below']),
    );
    expect(told(check(5), '4B')).toEqual(new Set(['directly above the A below']));
    expect(told(check(6), '4B')).toEqual(new Set(['directly above the B below']));
  });

  it('rows of wide hdc lie half a stitch beside one another: a spire grows by a half on either side', () => {
    const spires = reader('spires', { item: 'mat' });
    expect(told(spires(2), '3B')).toEqual(new Set(['starts ½ before the B below, ends ½ past it']));
    expect(told(spires(3), '4B')).toEqual(new Set(['starts ½ before the B below, ends ½ past it']));
  });

  it('so do diagonals of blocks: two blocks of a flag over one, then one over two', () => {
    const flags = reader('signal-flag', { item: 'blanket', height: { by: 'repeats', count: 3 } });
    // Columns 2 and 3, rows 1 and 2 of the first flag: one block on diagonal 4, two on 5, one on 6.
    expect(told(flags(5), '2B')).toEqual(new Set(['starts ½ before the B below, ends ½ past it']));
    expect(told(flags(6), '1B')).toEqual(new Set(['starts ½ into the B below, ends ½ short of its end']));
  });

  it('wedges have no columns, and nets no row to stand on', () => {
    expect(reader('windlass', { item: 'round mat' })(3).every((each) => each.told === undefined)).toBe(true);
    expect(reader('two-nets', { item: 'mat' })(3).every((each) => each.told === undefined)).toBe(true);
  });

  it('where every run begins and ends adds up to the row below, in every pattern of cells side by side', () => {
    // A second way to the same words: both rows spelled out cell by cell as the maker sees them.
    for (const key of ['buoys', 'sea-letters', 'lone-sail', 'mast-rings', 'galley-gingham']) {
      const pattern = patternBook.find((each) => each.key === key);
      if (!pattern) throw new Error(key);
      const { piece, prepared } = must(planWish(sampleIn(pattern, { edges: 'whole', ending: 'whole' })));
      const { bound, foundation } = prepared;
      const spelled = (course: number) =>
        workCourse(piece.fabric, bound, foundation, course)
          .runs.map((run) => run.colour.repeat(run.count))
          .join('');
      for (let course = 1; course < piece.fabric.courses; course++) {
        const own = spelled(course);
        // Turned: what lies below was worked the other way.
        const below = [...spelled(course - 1)].reverse().join('');
        for (const run of workCourse(piece.fabric, bound, foundation, course).runs) {
          const words = againstBelow(piece.fabric, bound, course, run);
          const under = below.slice(run.from - 1, run.from - 1 + run.count);
          if (words?.startsWith('directly above the')) expect(new Set(under)).toEqual(new Set([words.charAt(19)]));
          if (words?.startsWith('starts with the')) {
            const edge = run.from === 1 || below[run.from - 2] !== below[run.from - 1];
            expect([edge, below[run.from - 1]]).toEqual([true, words.charAt(16)]);
          }
          if (words?.startsWith('on plain')) expect(new Set(below)).toEqual(new Set([words.charAt(9)]));
          const before = /^starts (\d+) before the (\w) below/.exec(words ?? '');
          if (before) {
            const at = run.from - 1 + Number(before[1]);
            expect([below[at], below[at - 1] !== before[2]]).toEqual([before[2], true]);
          }
        }
        expect(own).toHaveLength(below.length);
      }
    }
  });
});
