import { sampleIn } from '../../../test/sampleWish.ts';
import { findPattern } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { unknownPace } from '../../plan/pace/ownPace.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { CUT } from '../../plan/route/moves.ts';
import type { WishInput } from '../../records/wish.ts';
import { proveRest, sameCourses } from './prove.ts';
import { restPlans } from './rest.ts';
import type { RestPlan } from './restPlan.ts';

const counted = {
  from: 'counted' as const,
  stitches: { count: 16, over: '10 cm' },
  rows: { count: 10, over: '10 cm' },
};

/** The ways for the rest of a piece in a pattern of the book, so many rows of it worked. */
function waysOf(key: string, rows: number, change: Partial<WishInput> = {}) {
  const wish = sampleIn(must(findPattern(key)), { gauge: counted, ...change });
  const plan = must(planWish(wish));
  const choice = { stitches: plan.piece.stitches, rows: plan.piece.rows };
  const begun = freeze(plan);
  const cloth = must(thaw(begun));
  // Behind the chain, where there is one.
  const stands = { rows: rows + (begun.fromChain ? 1 : 0), runs: 0 };
  const work = { wish: { ...wish, choice }, cloth, stands, weighings: [], measures: [], pace: unknownPace };
  const prove = (next: RestPlan) => proveRest({ begun, wish: work.wish, at: next.from }, next.begun);
  return { plan, prove, ways: must(restPlans(work)) };
}

const kinds = (ways: readonly RestPlan[]) => ways.map(({ kind }) => kind);
const way = (ways: readonly RestPlan[], kind: RestPlan['kind']) => ways.find((each) => each.kind === kind);

describe('the rest of a circle', () => {
  const { plan, ways } = waysOf('windlass', 4, {
    item: 'round mat',
    width: { by: 'repeats', count: 1 },
    height: { by: 'rows', count: 9 },
    ending: 'any',
  });

  it('is a round smaller or larger, its diameter two rows of 10 mm a round', () => {
    expect(plan.height.height.mid).toBeCloseTo(180, 6);
    expect(way(ways, 'shorter')).toMatchObject({ rows: 8, circle: true });
    expect(way(ways, 'shorter')?.width.mid).toBeCloseTo(160, 6);
    expect(way(ways, 'longer')?.height.mid).toBeCloseTo(200, 6);
    expect(way(ways, 'soonest')?.rows).toBe(4);
    expect(way(ways, 'ripped')?.rows).toBe(3);
  });

  it('has no row of sc along its top', () => {
    expect(kinds(ways)).not.toContain('closing');
  });
});

describe('the rest where colours are divided among bobbins', () => {
  const { plan, ways } = waysOf('lone-sail', 8, {
    width: { by: 'repeats', count: 3 },
    height: { by: 'repeats', count: 2 },
    edges: 'whole',
    policy: 'bobbins',
    border: { rounds: 2, colour: 'A' },
    ending: 'whole',
  });

  it('changes nothing that strands would have to follow', () => {
    expect(plan.piece.strands.colourOf.length).toBeGreaterThan(2);
    const whole = ways.filter(({ rows }) => rows === plan.piece.rows);
    expect(new Set(whole.map(({ begun }) => JSON.stringify(begun.moves))).size).toBe(1);
    expect(kinds(ways)).toEqual(expect.arrayContaining(['planned', 'thinner', 'bare', 'closing']));
    expect(kinds(ways)).not.toContain('swapped');
    expect(kinds(ways)).not.toContain('longer');
  });

  it('can end sooner, each bobbin fastened off after its last stitch', () => {
    const { rows } = plan.piece;
    const sooner = ways.filter((each) => each.rows < rows);
    expect(kinds(sooner)).toEqual(expect.arrayContaining(['shorter', 'ending', 'ending']));
    const whole = must(thaw(freeze(plan))).strands;
    for (const { begun, rows: courses, ends } of sooner) {
      const cloth = must(thaw(begun));
      const { moves, chart } = cloth.strands;
      // The same strand in every cell, as far as the rows go, and nothing done for what comes no more.
      expect([...chart.colours]).toEqual([...whole.chart.colours.subarray(0, chart.columns * courses)]);
      for (let i = 0; i < moves.length; i++) expect(moves.row[i]).toBeLessThan(courses);
      // Two ends a strand that is seen and two a cut, counted from the cells; the border goes on with A.
      const cuts = moves.kind.subarray(0, moves.length).filter((kind) => kind === CUT).length;
      expect(ends).toBe(2 * new Set(chart.colours).size + 2 * cuts);
    }
  });
});

describe('the rest of a tube', () => {
  it('is shorter by whole bands, and as wide as it was', () => {
    const { plan, ways } = waysOf('sea-chest', 6, {
      item: 'potholder',
      width: { by: 'length', length: '20 cm' },
      height: { by: 'length', length: '20 cm' },
      ending: 'whole',
    });
    const shorter = way(ways, 'shorter');
    expect(shorter?.rows).toBe(plan.piece.rows - plan.prepared.bound.up.works.multiple);
    expect(shorter?.width.mid).toBeCloseTo(plan.width.width.mid, 9);
  });
});

describe('the rest of three colours', () => {
  it('has no two to be changed about', () => {
    const { ways } = waysOf('galley-gingham', 4, {
      width: { by: 'repeats', count: 2 },
      height: { by: 'repeats', count: 2 },
      ending: 'whole',
    });
    expect(kinds(ways)).not.toContain('swapped');
    expect(way(ways, 'planned')?.colours.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
  });
});

describe('the rest of blocks on the diagonal', () => {
  it('stays one piece with what is worked, whatever it offers', () => {
    const { plan, prove, ways } = waysOf('signal-flag', 5, {
      width: { by: 'length', length: '40 cm' },
      height: { by: 'length', length: '50 cm' },
    });
    // Diagonals of a piece of w by h blocks: w + h − 1.
    const { stitches, rows, fabric } = plan.piece;
    expect(fabric.courses).toBe(stitches + rows - 1);
    const shorter = way(ways, 'shorter');
    if (shorter) expect(shorter.begun.courses.length).toBe(stitches + shorter.rows - 1);
    for (const each of ways) expect(each.begun.courses.length).toBeGreaterThanOrEqual(each.stays);
    for (const each of ways) {
      const proof = prove(each);
      expect([each.kind, proof.ok ? [] : proof.problems]).toEqual([each.kind, []]);
    }
  });

  it.each([
    ['signal-flag', 18, 20, 5],
    ['signal-flag', 18, 20, 6],
    ['storm-lantern', 0, 0, 6],
  ])('%s can begin to shrink sooner, and ends as long either way as it is by then', (key, wide, high, diagonals) => {
    const size = wide
      ? { width: { by: 'stitches' as const, count: wide }, height: { by: 'rows' as const, count: high } }
      : {};
    const { plan, prove, ways } = waysOf(key, diagonals, { ...size, edges: 'whole', ending: 'any' });
    const shrunk = way(ways, 'shrink');
    if (!shrunk) throw new Error('it does not shrink sooner');
    const cloth = must(thaw(shrunk.begun));
    const blocks = cloth.fabric.count;
    const { multiple } = plan.prepared.bound.across.works;
    // The next corner at which the width is whole; until then both sides grow alike.
    expect(blocks).toBe(Math.ceil(diagonals / multiple) * multiple);
    expect([shrunk.rows, cloth.fabric.courses]).toEqual([blocks, 2 * blocks - 1]);
    // Each block once: as many as the piece has in rows and columns.
    expect(cloth.fabric.kinds.length).toBe(blocks ** 2);
    expect(sameCourses(cloth.fabric, plan.piece.fabric)).toBeGreaterThanOrEqual(diagonals);
    expect(shrunk.width.mid).toBeCloseTo((plan.width.width.mid / plan.piece.stitches) * blocks, 6);
    expect(prove(shrunk).ok).toBe(true);
    // It can be planned like any other wish.
    expect(must(planWish(shrunk.wish)).piece.fabric.courses).toBe(2 * blocks - 1);
  });

  it('has no sooner once it shrinks', () => {
    const size = { width: { by: 'stitches' as const, count: 18 }, height: { by: 'rows' as const, count: 18 } };
    const { ways } = waysOf('signal-flag', 18, { ...size, edges: 'whole', ending: 'any' });
    expect(kinds(ways)).not.toContain('shrink');
  });
});
