import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { readShape } from '../../records/readJson.ts';
import { wishSchema } from '../../records/wish.ts';
import { planWish } from '../piece/plan.ts';
import { wishFromPiece } from './fromPiece.ts';

const cloth = {
  pattern: 'block-check',
  numbers: { b: 4, r: 4 },
  units: 'cm',
  across: { count: 36, of: 'stitches' },
  up: { count: 44, of: 'rows' },
  width: '22.5',
  height: '24.4 cm',
} as const;

describe('a wish from a finished piece', () => {
  it('comes to the piece that was counted and measured', () => {
    const part = must(wishFromPiece(cloth));
    const wish = must(readShape(wishSchema, { ...sampleWish(), ...part }));
    const plan = must(planWish(wish));
    expect([plan.width.stitches, plan.height.rows]).toEqual([36, 44]);
    expect(plan.width.width.mid).toBeCloseTo(225, 6);
    expect(plan.height.height.mid).toBeCloseTo(244, 6);
  });

  it('takes repeats for stitches: nine blocks of four and eleven bands of four', () => {
    const counted = { ...cloth, across: { count: 9, of: 'repeats' }, up: { count: 11, of: 'repeats' } } as const;
    expect(must(wishFromPiece(counted))).toEqual(must(wishFromPiece(cloth)));
  });

  it('refuses a count that is none, and a size that is none, each at its field', () => {
    const wrong = wishFromPiece({ ...cloth, across: { count: 22.5, of: 'stitches' }, height: 'a hand' });
    expect(wrong.ok ? [] : wrong.problems.map((problem) => problem.path)).toEqual(['across', 'height']);
    expect(wishFromPiece({ ...cloth, pattern: 'none' }).ok).toBe(false);
    // What a form makes of letters.
    const letters = wishFromPiece({ ...cloth, up: { count: Number('abc'), of: 'rows' } });
    expect(letters.ok ? [] : letters.problems.map((problem) => told(problem).message)).toEqual([
      'The number of rows is not a number.',
    ]);
  });
});
