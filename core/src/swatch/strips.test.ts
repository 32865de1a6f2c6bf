import { sampleWish } from '../plan/sampleWish.ts';
import { must } from '../problem.ts';
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
    expect(mesh.ok ? '' : mesh.problems[0]?.message).toContain('one way');
  });
});
