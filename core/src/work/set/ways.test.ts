import { sampleWish } from '../../../test/sampleWish.ts';
import { firstBelief } from '../../craft/values/belief.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze } from '../../plan/begun/frozen.ts';
import { planWish } from '../../plan/piece/plan.ts';
import type { Work } from '../../records/answers.ts';
import type { Wish } from '../../records/wish.ts';
import { costsOfProject } from '../underway/inHand.ts';
import { backOf, twinOf } from './back.ts';
import { type SetMember, yarnKey } from './parted.ts';
import type { SetPool } from './pools.ts';
import { sharedNow } from './shared.ts';
import { setWays } from './ways.ts';

const set = { id: '0b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', title: 'Fair' };
const [oat, ferry] = sampleWish().yarns as [Wish['yarns'][number], Wish['yarns'][number]];

function wishIn(shade: string, change: Partial<Wish> = {}): Wish {
  return { ...sampleWish(), set, title: `Fair: ${shade}`, yarns: [oat, { ...ferry, name: shade }], ...change };
}

function member(wish: Wish, rows: number | undefined = undefined): SetMember {
  const plan = must(planWish(wish));
  const choice = { stitches: plan.piece.stitches, rows: plan.piece.rows };
  const work: Work = {
    id: `00000000-0000-4000-8000-${wish.title
      .padEnd(12, '0')
      .slice(-12)
      .replace(/[^0-9a-f]/g, '0')}`,
    state: rows === undefined ? 'wished' : 'begun',
    revision: 1,
    wish: rows === undefined ? wish : { ...wish, choice },
    progress: { rows: rows ?? 0, runs: 0 },
    lastPlace: 0,
    size: null,
    fromChain: false,
    archived: false,
    deletedAt: null,
    notice: null,
    due: null,
    changedAt: '2026-11-29T00:00:00.000Z',
    begun: rows === undefined ? null : freeze(plan),
  };
  return { work, weighings: [] };
}

const chalk = (balls: number): SetPool => ({ keys: [yarnKey(oat)], name: 'Oat', balls, grams: 0 });

/** By another way: metres of A in so many cloths of so many rows, as one long work. */
function chanceWith(balls: number, cloths: readonly (readonly [rows: number, pieces: number])[]): number {
  const needs = cloths.map(([rows, pieces], i) => {
    const { piece, prepared } = must(planWish(wishIn('x', { pieces, choice: { stitches: 36, rows } })));
    const { bound, foundation } = prepared;
    const { fabric, strands } = piece;
    const { metres } = costsOfProject(prepared, { bound, foundation, fabric, strands });
    return { id: String(i), metres: metres[0] ?? [], now: { rows: 0, runs: 0 }, weighings: [] };
  });
  return sharedNow({ ...oat, balls }, firstBelief('measured'), needs)?.chance ?? 0;
}

// A cloth of 36 × 44 takes some 41 m of A: five of them some 205 m, of balls of 85 m.
const five = [member(wishIn('Teal', { pieces: 2 }), 3), member(wishIn('Plum', { pieces: 2 })), member(wishIn('Rust'))];

describe('ways to go on with a set', () => {
  it('are none but the plan where the yarn lasts, or nobody knows what there is', () => {
    expect(setWays(five, [chalk(6)]).map(({ kind }) => kind)).toEqual(['planned']);
    const unknown = setWays(five, [chalk(0)]);
    expect(unknown).toMatchObject([{ kind: 'planned', items: 5, open: 4, chance: undefined, changes: [] }]);
  });

  const ways = setWays(five, [chalk(1)]);
  const way = (kind: string) => ways.find((each) => each.kind === kind);

  it('tell the plan first: five items, of which four are not begun, and how sure it is', () => {
    expect(way('planned')).toMatchObject({ items: 5, open: 4, rows: 44, changes: [] });
    expect(way('planned')?.chance ?? 1).toBeLessThan(0.05);
  });

  it('leave out as few as it takes: with one more the ball is not sure any more', () => {
    const fewer = way('fewer');
    const items = fewer?.items ?? 0;
    expect(items).toBeLessThan(5);
    expect(fewer?.chance ?? 0).toBeGreaterThanOrEqual(0.95);
    expect(chanceWith(1, [[44, items]])).toBeGreaterThanOrEqual(0.95);
    expect(chanceWith(1, [[44, items + 1]])).toBeLessThan(0.95);
  });

  it('buy as few balls as it takes', () => {
    const [bought] = way('more')?.buy ?? [];
    expect(bought?.name).toBe('Oat');
    const balls = 1 + (bought?.balls ?? 0);
    expect(chanceWith(balls, [[44, 5]])).toBeGreaterThanOrEqual(0.95);
    expect(chanceWith(balls - 1, [[44, 5]])).toBeLessThan(0.95);
    expect(way('more')?.changes).toEqual([]);
  });

  it('exchange the colours of what is not begun, where that is surer: of what is on the hook nothing changes', () => {
    // A border takes more of A: in B it leaves some 15 m of A for each.
    const border = { rounds: 3, colour: 'A', by: 'gauge', envelope: false } as const;
    const bordered = [
      member(wishIn('Teal', { pieces: 2, border }), 3),
      member(wishIn('Plum', { pieces: 2, border })),
      member(wishIn('Rust', { border })),
    ];
    const ways = setWays(bordered, [chalk(3)]);
    const swapped = ways.find(({ kind }) => kind === 'swapped');
    expect(swapped?.changes.map(({ keep }) => keep)).toEqual([1, 0, 0]);
    expect(swapped?.chance ?? 0).toBeGreaterThan((ways[0]?.chance ?? 1) + 0.05);
    // Where both colours take nearly the same there is nothing in it.
    expect(setWays(five, [chalk(2)]).some(({ kind }) => kind === 'swapped')).toBe(false);
    for (const { wish } of swapped?.changes ?? []) {
      expect(wish?.yarns.map(({ letter, name }) => [letter, name])).toEqual([
        ['A', expect.stringMatching(/Teal|Plum|Rust/)],
        ['B', 'Oat'],
      ]);
    }
  });

  it('exchange those two of several colours of which the yarn is surest then', () => {
    // Two rows of A and of B by turns between two of C: of four cloths of 44 rows A and B take some 150 m each, C some 14.
    const yarns = ['A', 'B', 'C'].map((letter) => ({ ...oat, letter, name: `Yarn ${letter}` }));
    const pattern = { key: 'houndstooth', order: 'C C | A A B B | C C' };
    const striped = [member(wishIn('Striped', { pieces: 4, pattern, yarns, ending: 'any' }))];
    const pools = yarns.map((yarn, i): SetPool => {
      return { keys: [yarnKey(yarn)], name: yarn.name, balls: [3, 1, 3][i] ?? 0, grams: 0 };
    });
    const swapped = setWays(striped, pools).find(({ kind }) => kind === 'swapped');
    expect(swapped?.exchanged).toEqual(['B', 'C']);
    expect(swapped?.changes[0]?.wish?.yarns.map(({ letter, name }) => letter + name)).toEqual([
      'AYarn A',
      'BYarn C',
      'CYarn B',
    ]);
    expect(swapped?.chance).toBeGreaterThanOrEqual(0.95);
  });

  describe('made shorter', () => {
    // 204 m for some 205. A check ends as it began every eight rows: 36, 28, 20.
    const short = setWays(five, [{ ...chalk(2), grams: 20 }]).find(({ kind }) => kind === 'shorter');
    const chanceAt = (rows: number) => {
      const metres = [44, rows, rows, rows, rows].flatMap((height) => {
        const { piece } = must(planWish(wishIn('x', { choice: { stitches: 36, rows: height } })));
        return piece.yarn[0]?.metres.mid ?? 0;
      });
      // The root of 0.09² + 0.07² of doubt on the logarithm, for a hand that was measured and not weighed.
      return Math.log(204 / metres.reduce((sum, each) => sum + each, 0)) / 0.11;
    };

    it('is the highest that the pattern allows and the yarn is sure for', () => {
      expect(short?.rows).toBe(28);
      // 0.95 lies 1.645 deviations off.
      expect([28, 36].map((rows) => chanceAt(rows) > 1.645)).toEqual([true, false]);
      expect(short?.chance).toBeGreaterThanOrEqual(0.95);
      expect(short?.size?.height.mid).toBeCloseTo((28 * 100) / 18, 6);
    });

    it('parts the items that are not begun from the one on the hook', () => {
      expect(short?.changes.map(({ keep, wish }) => [keep, wish?.pieces, wish?.choice?.rows])).toEqual([
        [1, 1, 28],
        [0, 2, 28],
        [0, 1, 28],
      ]);
      // What is set aside stays with what is begun.
      const [first] = short?.changes ?? [];
      expect(first?.wish?.yarns.some(({ balls }) => balls !== undefined)).toBe(false);
    });
  });

  describe('with fronts and backs', () => {
    const front = (change: Partial<Wish> = {}) =>
      wishIn('front', { pieces: 2, set: { ...set, part: 'front' }, title: 'Bag front', ...change });
    const twin = () => twinOf(front(), { title: 'Bag back', pieces: 2, yarns: front().yarns });
    const kindsOf = (members: SetMember[], balls = 2) =>
      new Map(setWays(members, [chalk(balls)]).map((way) => [way.kind, way]));

    it('two of them are one item: 170 m for four cloths of some 41 m, that is two items', () => {
      const ways = kindsOf([member(front()), member(twin())]);
      expect(ways.get('planned')).toMatchObject({ items: 2, open: 2 });
      expect(chanceWith(2, [[44, 4]])).toBeLessThan(0.95);
      // A front is left out with its back.
      expect(ways.get('fewer')).toMatchObject({ items: 1, open: 1 });
      expect(ways.get('fewer')?.changes.map(({ wish }) => wish?.pieces)).toEqual([1, 1]);
      const shorter = ways.get('shorter');
      expect(shorter?.changes.map(({ wish }) => wish?.choice?.rows)).toEqual([shorter?.rows, shorter?.rows]);
      expect(chanceWith(2, [[shorter?.rows ?? 0, 4]])).toBeGreaterThanOrEqual(0.95);
      // A check ends as it began every eight rows.
      expect(chanceWith(2, [[(shorter?.rows ?? 0) + 8, 4]])).toBeLessThan(0.95);
    });

    it('the back of a front that is begun stays as it was planned, though nobody has begun it', () => {
      const ways = kindsOf([member(front(), 3), member(twin())]);
      expect(ways.get('planned')).toMatchObject({ items: 2, open: 1 });
      expect(ways.get('shorter')?.changes.map(({ keep, wish }) => [keep, wish?.pieces])).toEqual([
        [1, 1],
        [1, 1],
      ]);
      expect(ways.get('fewer')?.changes.map(({ keep, wish }) => [keep, wish])).toEqual([
        [1, undefined],
        [1, undefined],
      ]);
      // The other way about it is the same.
      const begun = kindsOf([member(front()), member(twin(), 3)]);
      expect(begun.get('shorter')?.changes.map(({ keep }) => keep)).toEqual([1, 1]);
    });

    it('a back in another pattern is made as high as the lower front, within half a row of its own', () => {
      const back = must(backOf(front(), { key: 'tide-marks' }));
      const members = [member(front()), member(back)];
      const shorter = setWays(members, [chalk(2)]).find(({ kind }) => kind === 'shorter');
      const [low, behind] = (shorter?.changes ?? []).map(({ wish }) => must(planWish(wish as Wish)));
      expect(low?.piece.rows).toBeLessThan(44);
      const [high, own] = [low?.height.height.mid ?? 0, behind?.height.height.mid ?? 0];
      expect(Math.abs(high - own)).toBeLessThanOrEqual(own / (behind?.piece.rows ?? 1) / 2 + 0.1);
      expect(behind?.piece.stitches).toBe(must(planWish(back)).piece.stitches);
      expect(shorter?.items).toBe(2);
      expect(behind?.piece.rows).not.toBe(low?.piece.rows);
    });

    it('one without its other side is offered balls only', () => {
      expect([...kindsOf([member(front())], 0.5).keys()]).toEqual(['planned', 'more']);
      expect([...kindsOf([member(twin())], 0.5).keys()]).toEqual(['planned', 'more']);
    });
  });

  it('count what is touched of a project: two cloths once the second is begun', () => {
    const rows = must(planWish(wishIn('Teal', { pieces: 5 }))).piece.fabric.courses;
    const at = (units: number) => setWays([member(wishIn('Teal', { pieces: 5 }), units)], [chalk(0)])[0]?.open;
    expect([at(0), at(rows), at(rows + 40)]).toEqual([4, 4, 3]);
  });
});
