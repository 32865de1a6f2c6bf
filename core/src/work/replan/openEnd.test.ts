import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { prepare } from '../../plan/wish/prepare.ts';
import { openEnd } from './openEnd.ts';

/** 36 stitches and 44 rows; a row of either colour takes half a metre. */
const costs = {
  cells: new Array<number>(44).fill(36),
  seconds: new Array<number>(44).fill(132),
  metres: [0, 1].map(() => new Array<number>(44).fill(0.5)),
  hands: [],
  finish: [],
};

function wish(balls?: number) {
  const whole = sampleWish({
    width: { by: 'repeats', count: 9 },
    height: { by: 'repeats', count: 11 },
    ending: 'whole',
    open: true,
  });
  return balls === undefined ? whole : { ...whole, yarns: whole.yarns.map((yarn) => ({ ...yarn, balls })) };
}

describe('an open end', () => {
  it('can be planned like any other wish', () => {
    expect(must(planWish(wish())).piece.rows).toBe(44);
  });

  it('on the diagonal is what it comes to if it begins to shrink now', () => {
    const plan = must(
      planWish(
        sampleWish({
          pattern: { key: 'signal-flag' },
          width: { by: 'stitches', count: 12 },
          height: { by: 'rows', count: 20 },
          edges: 'whole',
          ending: 'any',
          gauge: { from: 'counted', stitches: { count: 10, over: '20 cm' }, rows: { count: 10, over: '20 cm' } },
        }),
      ),
    );
    const { wish } = plan.prepared;
    const { stitches, fabric } = plan.piece;
    const held = { ...costs, seconds: new Array<number>(fabric.courses).fill(9) };
    const at = (diagonals: number) => openEnd(must(prepare(wish)), stitches, diagonals, held, []);
    // Blocks of 2 cm, whole flags of six blocks across: six diagonals grow to 12 × 12 cm.
    expect([at(6)?.width.mid, at(6)?.height.mid, at(6)?.next]).toEqual([120, 120, 12]);
    // At its full width only the height grows, a block a diagonal.
    expect([at(12)?.width.mid, at(12)?.height.mid, at(12)?.next]).toEqual([240, 240, 13]);
    expect([at(15)?.width.mid, at(15)?.height.mid]).toEqual([240, 300]);
    expect([0, 1, 5, 20, 25].map(at)).toEqual(new Array(5).fill(undefined));
  });

  it('is at each whole band of four rows: 20 rows of 5.56 mm are 11.1 cm, and 24 come next', () => {
    const end = openEnd(must(prepare(wish())), 36, 20, costs, []);
    expect(end?.next).toBe(24);
    expect(end?.width.mid).toBeCloseTo(225, 6);
    expect(end?.height.mid).toBeCloseTo(111.11, 2);
    expect([18, 19, 21, 0].map((rows) => openEnd(must(prepare(wish())), 36, rows, costs, []))).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    expect(openEnd(must(prepare(wish())), 36, 44, costs, [])?.next).toBeUndefined();
  });

  it('tells whether the yarn lasts to the next, where it is known what there is', () => {
    expect(openEnd(must(prepare(wish())), 36, 20, costs, [])?.lasts[0]?.chance).toBeUndefined();
    // Of 85 m ten are used, and two come.
    expect(openEnd(must(prepare(wish(1))), 36, 20, costs, [])?.lasts[1]?.chance).toBeGreaterThan(0.99);
    const dear = { ...costs, metres: [0, 1].map(() => new Array<number>(44).fill(5)) };
    // Of a set what the cloths before it took counts too: a chain, 44 rows and ends, a chain, at a metre and a half each.
    const metres = [0, 1].map(() => new Array<number>(140).fill(1.5));
    expect(openEnd(must(prepare(wish(1))), 36, 20, costs, [], { metres, before: 47 })?.lasts[0]?.chance).toBeLessThan(
      0.1,
    );
    expect(
      openEnd(must(prepare(wish(2))), 36, 20, costs, [], { metres, before: 47 })?.lasts[0]?.chance,
    ).toBeGreaterThan(0.99);
    // A hundred metres of a ball of 85 are gone by the rule.
    expect(openEnd(must(prepare(wish(1))), 36, 20, dear, [])?.lasts[0]?.chance).toBeLessThan(0.1);
  });
});
