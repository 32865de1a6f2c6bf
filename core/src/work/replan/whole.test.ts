import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze } from '../../plan/begun/frozen.ts';
import { planWish } from '../../plan/piece/plan.ts';
import type { WishInput } from '../../records/wish.ts';
import { planFigures } from './whole.ts';

function both(change: Partial<WishInput> = {}) {
  const wish = sampleWish({ width: { by: 'repeats', count: 9 }, height: { by: 'repeats', count: 11 }, ...change });
  const plan = must(planWish(wish));
  const choice = { stitches: plan.piece.stitches, rows: plan.piece.rows };
  return { plan, figures: must(planFigures({ ...wish, choice }, freeze(plan))) };
}

describe('what a begun plan comes to', () => {
  it('36 stitches of 6.25 mm and 44 rows of 5.56 mm; 152 s a row, and 150 s an end', () => {
    const { figures } = both();
    expect([figures.rows, figures.ends, figures.circle]).toEqual([44, 4, false]);
    expect(figures.width.mid).toBeCloseTo(225, 6);
    expect(figures.height.mid).toBeCloseTo(244.44, 2);
    expect(figures.time.mid).toBeCloseTo(44 * 152 + 4 * 150, 6);
  });

  it.each([
    {},
    { border: { rounds: 3, colour: 'B' } },
    { policy: 'cut-always' as const },
    { policy: 'carry-always' as const, closing: true },
    { policy: 'bobbins' as const },
  ])('takes the yarn and the ends that it was planned with, measured the other way: %j', (change) => {
    const { plan, figures } = both(change);
    figures.yarn.forEach(({ letter, metres }, i) => {
      const planned = plan.piece.yarn[i];
      expect(letter).toBe(planned?.letter);
      expect(metres.mid).toBeCloseTo(planned?.metres.mid ?? 0, 6);
      expect(metres.low).toBeCloseTo(planned?.metres.low ?? 0, 6);
    });
    expect(figures.ends).toBe(plan.piece.yarn.reduce((sum, need) => sum + need.ends, 0));
  });

  it('refuses a plan that is damaged', () => {
    const wish = sampleWish();
    const begun = freeze(must(planWish(wish)));
    expect(planFigures(wish, { ...begun, rows: ['4 sc Z'] }).ok).toBe(false);
  });
});
