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
  it('37 chains, 36 stitches of 6.25 mm and 44 rows of 5.56 mm; 152 s a row, and 150 s an end', () => {
    const { figures } = both();
    expect([figures.rows, figures.ends, figures.circle]).toEqual([44, 4, false]);
    expect(figures.width.mid).toBeCloseTo(225, 6);
    expect(figures.height.mid).toBeCloseTo(244.44, 2);
    // 1.2 s a chain; between eleven bands the colour changes ten times as the work is turned.
    expect(figures.time.mid).toBeCloseTo(37 * 1.2 + 44 * 152 + 10 * 5 + 4 * 150, 6);
  });

  it('is of one cloth by that plan, however many there are', () => {
    const [one, three] = [
      both({ border: { rounds: 3, colour: 'B' } }),
      both({ border: { rounds: 3, colour: 'B' }, pieces: 3 }),
    ];
    expect(three.figures).toEqual(one.figures);
    expect(one.figures.yarn.map(({ metres }) => metres)).toEqual(one.plan.piece.yarn.map(({ metres }) => metres));
  });

  it('refuses a plan that is damaged', () => {
    const wish = sampleWish();
    const begun = freeze(must(planWish(wish)));
    expect(planFigures(wish, { ...begun, rows: ['4 sc Z'] }).ok).toBe(false);
  });
});
