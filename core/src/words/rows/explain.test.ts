import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { cellsIn } from '../../craft/fabric/fabric.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { explainCourse } from './explain.ts';

const counts = { width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } } as const;
const check = must(planWish(sampleWish({ ...counts, pattern: { key: 'block-check', numbers: { b: 4, r: 4 } } })));
const explain = (row: number) => explainCourse(check.piece.fabric, check.prepared.bound, row, 'US');

describe('why a row has just these runs', () => {
  it('row 1 of a check of four: eight by four and four over', () => {
    expect(explain(1)).toEqual([
      '4 sc A, 4 sc B repeats 4 times, then 4 sc A: 8 × 4 + 4 = 36, read from the edge where row 1 begins.',
      'You work it from that edge with the right side facing, so you meet the colours in this order.',
    ]);
  });

  it('row 2 lies as row 1 and is met from its other end', () => {
    expect(explain(2).slice(1)).toEqual([
      'It is the same as row 1.',
      'You have turned the work, so you meet it from the other end and begin with 4 sc A.',
    ]);
  });

  it('row 5 begins the other band', () => {
    expect(explain(5)[0]).toContain('4 sc B, 4 sc A repeats 4 times, then 4 sc B');
    expect(explain(5)[1]).toBe('It is row 4 with the colours swapped.');
  });

  it('speaks UK where that is asked', () => {
    expect(explainCourse(check.piece.fabric, check.prepared.bound, 1, 'UK')[0]).toContain('4 dc A, 4 dc B');
  });

  it('adds up in every pattern of the book, whatever its technique', () => {
    for (const pattern of patternBook) {
      const wish = sampleIn(pattern, {
        item: 'blanket',
        width: { by: 'length', length: '50 cm' },
        height: { by: 'length', length: '50 cm' },
        edges: 'whole',
        ending: 'whole',
      });
      const { piece, prepared } = must(planWish(wish));
      for (let row = 1; row <= piece.fabric.courses; row++) {
        const [first = ''] = explainCourse(piece.fabric, prepared.bound, row, 'US');
        const sum = /(\d+) × (\d+)(?: \+ (\d+))? = (\d+)/.exec(first);
        if (!sum) {
          expect(first).toContain('one repeat');
          continue;
        }
        const [period = 0, times = 0, over = 0, all = 0] = sum.slice(1).map((each) => Number(each ?? 0));
        expect(period * times + over).toBe(all);
        expect([0, 2]).toContain(cellsIn(piece.fabric, row - 1) - all);
      }
    }
  });
});
