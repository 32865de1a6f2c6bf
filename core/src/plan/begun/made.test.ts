import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { planDocument } from '../../words/document/planDocument.ts';
import { restPlans } from '../../work/replan/rest.ts';
import { unknownPace } from '../pace/ownPace.ts';
import { planWish } from '../piece/plan.ts';
import { freeze, thaw } from './frozen.ts';
import { type MadeWork, planWork, prepareWork } from './made.ts';

/** A galley cloth of 36 × 44 as it was begun. */
function begun(change: Parameters<typeof sampleWish>[0] = {}) {
  const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 }, ...change });
  const plan = must(planWish(wish));
  const work: MadeWork = {
    wish: { ...wish, choice: { stitches: plan.piece.stitches, rows: plan.piece.rows } },
    begun: freeze(plan),
  };
  return { plan, work };
}

describe('the plan of a begun work', () => {
  it('is to the letter that of the wish on the day it was begun', () => {
    const { plan, work } = begun({ border: { rounds: 2, colour: 'B' }, wash: 'cotton-hot' });
    const { widths: _w, heights: _h, warnings: _n, ...now } = planDocument(must(planWork(work)));
    const { widths: _v, heights: _g, warnings: _m, ...then } = planDocument(plan);
    expect(now).toEqual(then);
  });

  it('tells the counts of the cloth on the hook where its rest was planned in swapped colours', () => {
    const { work } = begun();
    const cloth = must(thaw(work.begun as NonNullable<MadeWork['begun']>));
    // The chain, and ten rows.
    const stands = { rows: 11, runs: 0 };
    const plans = must(restPlans({ wish: work.wish, cloth, stands, weighings: [], measures: [], pace: unknownPace }));
    const swapped = plans.find(({ kind }) => kind === 'swapped');
    const document = planDocument(must(planWork({ wish: swapped?.wish ?? work.wish, begun: swapped?.begun })));
    // 9 blocks of 4 in 11 bands of 4 rows: 20 A and 16 B in a band that begins with A. Six bands begin with A and five
    // with B: 6 · 4 · 20 + 5 · 4 · 16 = 800 A of 1584, and 784 B. From row 11 on the colours change about: bands 1 and 2
    // and half of band 3 stay (4 · 20 + 4 · 16 + 2 · 20 = 184 A, 176 B), the rest is the other way round: of its 616 A
    // and 608 B the A become 184 + 608.
    expect(document.colours.map(({ stitches }) => stitches)).toEqual([792, 792]);
    expect(document.rows[10]?.text).toContain('(4 sc B, 4 sc A) × 4, 4 sc B');
    expect(document.rows[9]?.text).toContain('(4 sc A, 4 sc B) × 4, 4 sc A');
  });

  it('does not move when the pattern of the book changes, or is gone, nor with the typical table', () => {
    const { plan, work } = begun({ gauge: { from: 'typical' } });
    const before = planDocument(plan);
    const other = { ...work.wish, pattern: { key: 'buoys' } };
    const gone = { ...work.wish, pattern: { key: 'no-longer-in-the-book' } };
    for (const wish of [other, gone]) {
      const now = planDocument(must(planWork({ wish, begun: work.begun })));
      expect([now.rows, now.colours, now.size, now.finish, now.strands]).toEqual([
        before.rows,
        before.colours,
        before.size,
        before.finish,
        before.strands,
      ]);
      expect(must(prepareWork({ wish, begun: work.begun })).gauge).toEqual(plan.prepared.gauge);
    }
    // The gauge stands with the cloth: a yarn of another weight has another typical gauge, and this one keeps its own.
    const heavier = { ...work.wish, yarns: work.wish.yarns.map((yarn) => ({ ...yarn, weight: 6 as const })) };
    expect(planDocument(must(planWork({ wish: heavier, begun: work.begun }))).size).toEqual(before.size);
  });

  it('of one begun before its gauge was kept goes by that of its wish', () => {
    const { plan, work } = begun();
    const { gauge: _gauge, ...old } = work.begun as NonNullable<MadeWork['begun']>;
    expect(must(prepareWork({ wish: work.wish, begun: old })).gauge).toEqual(plan.prepared.gauge);
  });

  it('counts bobbins and carried strands from the moves that were kept', () => {
    for (const policy of ['bobbins', 'carry-always', 'cut-always'] as const) {
      const { plan, work } = begun({
        policy,
        pattern: { key: 'lone-sail' },
        ending: 'any',
        edges: 'whole',
        width: { by: 'stitches', count: 28 },
      });
      const again = must(planWork(work));
      expect(again.piece.ends).toBe(plan.piece.ends);
      expect(again.piece.yarn.map((need) => need.metres)).toEqual(plan.piece.yarn.map((need) => need.metres));
      expect(again.piece.strands.bobbins).toEqual(plan.piece.strands.bobbins);
    }
  });
});
