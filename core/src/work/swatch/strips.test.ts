import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { compareStrips, planStrip, stripPolicies } from './strips.ts';

const wish = sampleWish({
  width: { by: 'stitches', count: 36 },
  height: { by: 'rows', count: 44 },
  border: { rounds: 2 },
});

describe('test strips', () => {
  it('are the same small cloth in three ways: 16 stitches of 6.25 mm are the first whole blocks over 10 cm', () => {
    for (const policy of stripPolicies) {
      const { width, height, prepared, piece } = must(planStrip(wish, policy));
      expect([width.stitches, height.rows]).toEqual([16, 16]);
      expect(prepared.wish.policy).toBe(policy);
      expect(piece.finish).toEqual([]);
    }
  });

  it('the carried strip weighs 8.4 g: by the rule of one stitch, worked out here', () => {
    // 16 × 18 in 10 cm, cotton of 170 m to 100 g: 25 ÷ √170 mm thick.
    const [w, h, d] = [6.25, 100 / 18, 25 / Math.sqrt(170)];
    const stitches = 256 * (2 * w + 4 * h + 4 * d);
    // A strand inside makes each stitch a diameter longer, and is itself as long as the row and 4 % more.
    const carried = 256 * (d + 1.04 * w);
    // 17 chains to begin, and one at each of 15 turns.
    const chains = 32 * (3 * w + d);
    const grams = ((stitches + carried + chains) / 1000 + 4 * 0.15) / 1.7;
    const labelled = { ...wish, yarns: wish.yarns.map((yarn) => ({ ...yarn, ballMetres: 85, ballGrams: 50 })) };
    const [carry] = must(compareStrips(labelled));
    expect((carry?.grams ?? 0) / grams).toBeGreaterThan(0.97);
    expect((carry?.grams ?? 0) / grams).toBeLessThan(1.03);
  });

  it('cutting leaves the most ends, carrying the fewest', () => {
    const [carry, cut, side] = must(compareStrips(wish));
    expect(cut?.ends).toBeGreaterThan(carry?.ends ?? 0);
    expect(side?.ends).toBeGreaterThan(carry?.ends ?? 0);
    expect(cut?.pieceEnds).toBeGreaterThan(cut?.ends ?? 0);
  });

  it('a strip that weighs a fifth more than predicted makes the whole piece take a fifth more', () => {
    const [plain] = must(compareStrips(wish));
    const grams = (plain?.grams ?? 0) * 1.2;
    const [carry, cut] = must(compareStrips(wish, { 'carry-always': grams }));
    expect(carry?.ratio).toBeCloseTo(1.2, 9);
    expect(carry?.pieceMetres).toBeCloseTo((plain?.pieceMetres ?? 0) * 1.2, 6);
    expect(cut?.ratio).toBeUndefined();
  });

  it('a technique with one way only has nothing to compare', () => {
    const mesh = planStrip({ ...wish, pattern: { key: 'two-nets' } }, 'cut-always');
    expect(mesh.ok ? '' : told(mesh.problems[0]).message).toContain('only one thing to do');
  });
});
