import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { policies } from '../../craft/technique/policy.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../piece/plan.ts';
import { endsOf } from './ends.ts';

const places = (change: Parameters<typeof sampleWish>[0]) =>
  endsOf(must(planWish(sampleWish(change))).piece.strands).map(({ strand, row, boundary }) => [strand, row, boundary]);

describe('where the ends are', () => {
  it('of a check that carries always: both strands lie in from the first edge to where the last row ends', () => {
    const check = { width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } } as const;
    // Row 44 runs back to the edge at which row 1 begins.
    expect(places({ ...check, policy: 'carry-always' })).toEqual([
      [0, 0, 0],
      [0, 43, 0],
      [1, 0, 0],
      [1, 43, 0],
    ]);
  });

  it('as needed, B is joined where its first block begins: behind the first four stitches', () => {
    const check = { width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } } as const;
    const found = places({ ...check, policy: 'as-needed' });
    expect(found[0]).toEqual([0, 0, 0]);
    expect(found.filter(([strand]) => strand === 1)[0]).toEqual([1, 0, 4]);
  });

  it('of stripes that are cut: at the edges only, two for each stripe', () => {
    const teeth = patternBook.find(({ key }) => key === 'houndstooth');
    if (!teeth) throw new Error('no houndstooth');
    const plan = must(
      planWish(
        sampleIn(teeth, {
          policy: 'cut-always',
          width: { by: 'stitches', count: 20 },
          height: { by: 'rows', count: 6 },
          ending: 'any',
        }),
      ),
    );
    const found = endsOf(plan.piece.strands);
    const { columns } = plan.piece.strands.chart;
    // Six rows, each joined anew: twelve ends, all at one edge or the other.
    expect(found).toHaveLength(12);
    expect(found.every(({ boundary }) => boundary === 0 || boundary === columns)).toBe(true);
  });

  it('are as many as are counted, in every pattern of the book and every way with the idle strand', () => {
    for (const pattern of patternBook) {
      for (const policy of policies) {
        const wish = sampleIn(pattern, {
          item: 'blanket',
          policy,
          width: { by: 'length', length: '26 cm' },
          height: { by: 'length', length: '20 cm' },
          edges: 'whole',
          ending: 'whole',
        });
        const { strands } = must(planWish(wish)).piece;
        const counted = strands.totals.reduce((sum, { ends }) => sum + ends, 0);
        expect([pattern.key, policy, endsOf(strands).length]).toEqual([pattern.key, policy, counted]);
      }
    }
  });
});
