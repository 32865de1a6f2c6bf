import { sampleIn } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import { type Plan, planWish } from '../piece/plan.ts';
import { type EndPlace, endsOf } from '../route/ends.ts';
import { endsOnPiece } from './endsOnPiece.ts';

function planned(key: string, change: Parameters<typeof sampleIn>[1]): Plan {
  const pattern = patternBook.find((each) => each.key === key);
  if (!pattern) throw new Error(`no ${key}`);
  return must(planWish(sampleIn(pattern, { edges: 'whole', ending: 'any', ...change })));
}

/** Where the end of a plan that hangs at a row and a boundary lies on the piece. */
function placeOf(plan: Plan, hangs: (end: EndPlace) => boolean) {
  const { fabric, strands } = plan.piece;
  const [found] = endsOnPiece(fabric, plan.prepared.technique, strands).filter(hangs);
  if (!found) throw new Error('no such end');
  return [found.across, found.up, found.behind];
}

describe('where ends hang on the piece as it lies', () => {
  it('rounds begin above the ring: row 1 at half its height from the middle, the last round near the rim', () => {
    const plan = planned('windlass', { item: 'round mat', height: { by: 'rows', count: 8 } });
    // Eight rounds to a radius of half the height: round 1 is at 0.5 / 16 from the middle, round 8 at 7.5 / 16.
    expect(placeOf(plan, ({ row }) => row === 0)).toEqual([0.5, 0.53125, false]);
    const last = placeOf(plan, ({ row, boundary }) => row === 7 && boundary === plan.piece.strands.chart.columns);
    expect(last).toEqual([expect.closeTo(0.5, 9), 0.96875, false]);
  });

  it('a tube goes along its face and comes back behind it', () => {
    const plan = planned('sea-chest', { policy: 'cut-always', item: 'potholder', height: { by: 'rows', count: 12 } });
    const { chart } = plan.piece.strands;
    const ends = endsOnPiece(plan.piece.fabric, plan.prepared.technique, plan.piece.strands);
    // In stitches of the face from the first fold: as far as it was worked, or what is left to the end of the round.
    for (const { boundary, across, behind } of ends) {
      const left = chart.columns - boundary;
      expect((across * chart.columns) / 2).toBeCloseTo(Math.min(boundary, left), 9);
      expect(behind).toBe(left < boundary);
    }
    expect(new Set(ends.map(({ behind }) => behind)).size).toBe(2);
    expect(ends.every(({ row, up }) => up === (row + 0.5) / 12)).toBe(true);
  });

  it('blocks on the diagonal: a strand cut at the first block hangs at its corners', () => {
    const plan = planned('storm-lantern', { policy: 'as-needed', item: 'blanket' });
    const { count, courses } = plan.piece.fabric;
    const high = courses - count + 1;
    // The first block lies in the corner; its diagonal runs from its top side edge to the far end of its foot.
    const [across, up] = placeOf(plan, ({ row, boundary }) => row === 0 && boundary === 0);
    expect(across).toBe(0);
    expect(up).toBeCloseTo(1 / high, 12);
  });

  it('lie on the piece, as many as there are, in every pattern', () => {
    for (const pattern of patternBook) {
      const plan = planned(pattern.key, { item: 'blanket', height: { by: 'length', length: '20 cm' } });
      const { fabric, strands } = plan.piece;
      const found = endsOnPiece(fabric, plan.prepared.technique, strands);
      expect(found).toHaveLength(endsOf(strands).length);
      const off = found.filter(({ across, up }) => across < 0 || across > 1 || up < 0 || up > 1);
      expect([pattern.key, off]).toEqual([pattern.key, []]);
    }
  });
});
