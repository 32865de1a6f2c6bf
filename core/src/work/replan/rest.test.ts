import fc from 'fast-check';
import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { policies } from '../../craft/technique/policy.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { unknownPace } from '../../plan/pace/ownPace.ts';
import { planWish } from '../../plan/piece/plan.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Measuring } from '../../records/logEntry.ts';
import { entryLabel } from '../../records/logEntry.ts';
import type { Wish, WishInput } from '../../records/wish.ts';
import { proveRest, sameCourses } from './prove.ts';
import { restPlans } from './rest.ts';
import type { RestPlan, WorkInHand } from './restPlan.ts';

/** 36 × 44, one ball of each colour. */
function wish(change: Partial<WishInput> = {}): Wish {
  const whole = sampleWish({
    width: { by: 'repeats', count: 9 },
    height: { by: 'repeats', count: 11 },
    edges: 'mirrored',
    ending: 'as-begun',
    ...change,
  });
  return { ...whole, yarns: whole.yarns.map((yarn) => ({ ...yarn, balls: 1 })) };
}

function inHand(change: Partial<WishInput>, rows: number, more: Partial<WorkInHand> = {}) {
  const plan = must(planWish(wish(change)));
  const begun = freeze(plan);
  const choice = { stitches: plan.piece.stitches, rows: plan.piece.rows };
  const given: WorkInHand = {
    wish: { ...wish(change), choice },
    cloth: must(thaw(begun)),
    stands: { rows, runs: 0 },
    weighings: [],
    measures: [],
    pace: unknownPace,
    ...more,
  };
  // Rows are told here as they are counted on the cloth; the counter has its chain before them.
  const before = begun.fromChain ? 1 : 0;
  const behind = <At extends { readonly rows: number }>(at: At): At => ({ ...at, rows: at.rows + before });
  const work: WorkInHand = {
    ...given,
    stands: behind(given.stands),
    weighings: given.weighings.map((each) => ({ ...each, position: behind(each.position) })),
    measures: given.measures.map((each) => ({ ...each, position: behind(each.position) })),
  };
  const prove = (next: FrozenWork, at = work.stands) => proveRest({ begun, wish: work.wish, at }, next);
  return { begun, work, prove, plans: must(restPlans(work)) };
}

function one(plans: readonly RestPlan[], kind: RestPlan['kind']): RestPlan {
  const found = plans.find((each) => each.kind === kind);
  if (!found) throw new Error(`no plan ${kind} among ${plans.map((each) => each.kind).join(', ')}`);
  return found;
}

const measured = (rows: number, width: string, height: string): Measuring => ({
  ...entryLabel,
  kind: 'measure',
  id: '7b1f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d',
  at: rows,
  position: { rows, runs: 0 },
  width,
  height,
});

describe('the rest of a cloth of 44 rows, 20 of them worked', () => {
  const { begun, plans } = inHand({}, 20);

  it('tells how its size and its yarn to go come about, and both add up', () => {
    const plain = one(plans, 'planned');
    const wider = one(inHand({}, 20, { measures: [measured(20, '23.625 cm', '11.11 cm')] }).plans, 'planned');
    const sum = (working: RestPlan['endsWorking'] | undefined) =>
      working?.parts.reduce((all, { amount }) => all + amount.mid, 0);
    // 36 stitches of 6.25 mm are 22.5 cm; measured 23.625 cm is 5 % more.
    expect(sum(plain.sizeWorkings.width)).toBe(225);
    expect(sum(wider.sizeWorkings.width)).toBeCloseTo(wider.width.mid, 9);
    expect(wider.width.mid).toBeCloseTo(236.25, 9);
    expect(wider.sizeWorkings.width.parts[0]).toMatchObject({ code: 'as-measured', source: 'piece' });
    for (const plan of [plain, wider, one(plans, 'ripped'), one(plans, 'longer')]) {
      for (const { left, leftWorking } of plan.colours) expect(sum(leftWorking) ?? 0).toBeCloseTo(left.mid, 5);
      expect(sum(plan.sizeWorkings.height)).toBeCloseTo(plan.height.mid, 9);
    }
  });

  it('tells the rows to come and the finishing apart: 24 of 44 rows, and the border of the whole plan', () => {
    const bordered = { border: { rounds: 2, colour: 'A' } };
    const [a, b] = one(inHand(bordered, 20).plans, 'planned').colours;
    const plannedOf = (of: typeof a, code: string) =>
      Number(of?.leftWorking?.parts.find((part) => part.code === code)?.facts?.planned ?? 0);
    const { piece } = must(planWish(wish(bordered)));
    const part = (colour: number, name: string) =>
      piece.yarn[colour]?.parts.find((each) => each.part === name)?.metres.mid ?? 0;
    expect(plannedOf(a, 'left-finish')).toBeCloseTo(part(0, 'border'), 6);
    expect([plannedOf(b, 'left-finish'), part(1, 'border')]).toEqual([0, 0]);
    // Of B the first five bands have 16, 20, 16, 20 and 16 stitches a row: 352 of 784 are worked, 432 to come.
    const whole =
      piece.yarn[1]?.parts.reduce((sum, each) => sum + (each.part === 'tails' ? 0 : each.metres.mid), 0) ?? 0;
    expect(plannedOf(b, 'left-rows') / whole).toBeCloseTo(432 / 784, 2);
  });

  it('can end after bands that come out as it began: 8k + 4 rows', () => {
    expect(one(plans, 'shorter').rows).toBe(36);
    expect(one(plans, 'soonest').rows).toBe(20);
    expect(one(plans, 'ripped')).toMatchObject({ rows: 12, stays: 12, rip: { rows: 8, cells: 8 * 36 } });
    expect(one(plans, 'longer').rows).toBe(52);
  });

  it('36 rows of 5.56 mm are 20.0 cm, of the same width', () => {
    expect(one(plans, 'shorter').height.mid).toBeCloseTo(200, 6);
    expect(one(plans, 'shorter').width.mid).toBeCloseTo(225, 6);
  });

  it('has nothing left to work where it ends at once but to weave in the ends, 150 s each', () => {
    const { time, ends } = one(plans, 'soonest');
    expect(time.mid).toBeCloseTo(ends * 150, 6);
    // A row of 36 sc with eight changes takes 152 s; 16 more of them to row 36.
    expect(one(plans, 'shorter').time.mid).toBeCloseTo(16 * 152 + one(plans, 'shorter').ends * 150, 6);
  });

  it('with the colours changed about has in each row to come the other colour', () => {
    const { fabric } = must(thaw(one(plans, 'swapped').begun));
    const old = must(thaw(begun)).fabric;
    expect(sameCourses(old, fabric)).toBe(20);
    expect([...fabric.colours.subarray(20 * 36)]).toEqual([...old.colours.subarray(20 * 36)].map((c) => 1 - c));
  });

  it('a row that is begun is worked to its end', () => {
    const half = inHand({}, 20, { stands: { rows: 20, runs: 3 } });
    expect(one(half.plans, 'soonest')).toMatchObject({ rows: 28, stays: 21 });
    expect(one(half.plans, 'ripped')).toMatchObject({ rows: 20, stays: 20, rip: { rows: 0, cells: 12 } });
  });
});

describe('yarn that will not last', () => {
  // 44 rows take some 20 m of each; 1 g at 1.7 m a gram is left of B after 20 rows.
  const weighings = [sampleWeighing('A', 20, 42), sampleWeighing('B', 20, 1)];
  const { plans } = inHand({}, 20, { weighings });

  it('the plan is hopeless, the longest that is enough is found, and the next longer is not', () => {
    expect(one(plans, 'planned').chance).toBeLessThan(0.05);
    expect(one(plans, 'planned').colours.map(({ letter }) => letter)).toEqual(['A', 'B']);
    const enough = plans.filter((each) => (each.chance ?? 0) >= 0.95 && each.stays === 20);
    const longest = Math.max(...enough.map((each) => each.rows));
    expect(longest).toBeLessThan(44);
    expect(
      plans.filter((each) => each.rows > longest && each.kind !== 'ripped').every((each) => (each.chance ?? 0) < 0.95),
    ).toBe(true);
  });

  it('to change the colours about takes of A what it took of B, and of B what it took of A', () => {
    const even = inHand({}, 20).plans;
    const [planned, swapped] = [one(even, 'planned').colours, one(even, 'swapped').colours];
    // 24 rows are left, six bands of four: B has a few tails and carries more or less.
    const near = (a?: number, b?: number) => expect(Math.abs((a ?? 0) / (b ?? 1) - 1)).toBeLessThan(0.1);
    near(swapped[0]?.left.mid, planned[1]?.left.mid);
    near(swapped[1]?.left.mid, planned[0]?.left.mid);
  });
});

describe('two of three colours changed about', () => {
  // 48 rows of 18 stitches, of four rows two in C: of the 36 to come 18 are of C, some 16 m or 9 g, and nine each of A and
  // of B, some 9 m or 5 g. The first twelve took some 3 g of C and 2 g of each of the others.
  const striped = (grams: readonly [number, number, number]) => {
    const base = wish();
    const yarns = ['A', 'B', 'C'].map((letter) => ({ ...base.yarns[0], letter, name: letter, balls: undefined }));
    const { begun, work } = inHand(
      {
        pattern: { key: 'houndstooth', order: 'C C A B' },
        height: { by: 'rows', count: 48 },
        ending: 'any',
        yarns: yarns as WishInput['yarns'],
      },
      12,
    );
    const known = work.wish.yarns.map((yarn, i) => ({ ...yarn, balls: 0, partGrams: grams[i] as number }));
    const given = { ...work, wish: { ...work.wish, yarns: known } };
    return { begun, work: given, plans: must(restPlans(given)) };
  };

  it('is offered with the one that is at hand most, where one does not last; and is proved', () => {
    const { plans, begun, work } = striped([9, 45, 10]);
    expect(one(plans, 'planned').chance).toBeLessThan(0.5);
    const swapped = one(plans, 'swapped');
    expect(swapped.exchanged).toEqual(['B', 'C']);
    expect(swapped.chance).toBeGreaterThan(0.9);
    expect(proveRest({ begun, wish: work.wish, at: work.stands }, swapped.begun).ok).toBe(true);
    const [old, now] = [must(thaw(begun)).fabric, must(thaw(swapped.begun)).fabric];
    const from = old.starts[12] as number;
    expect(sameCourses(old, now)).toBe(12);
    expect([...now.colours.subarray(from)]).toEqual([...old.colours.subarray(from)].map((each) => [0, 2, 1][each]));
  });

  it('is not offered where all of them last', () => {
    expect(striped([45, 45, 45]).plans.map(({ kind }) => kind)).not.toContain('swapped');
  });
});

describe('another ending', () => {
  const at20 = (change: Partial<WishInput>, more: Partial<WorkInHand> = {}) => inHand(change, 20, more).plans;
  const rowsOf = (plans: readonly RestPlan[]) =>
    plans.filter(({ kind }) => kind === 'ending').map(({ wish: { ending }, rows }) => [ending, rows]);

  it('lets it end at a row that its own would not', () => {
    // Bands of four rows, an odd number of them as begun: 20 rows are five bands. One row on, it can end in bands of
    // A, 28, 36 …, after any band, 24, 28 …, or after any row, 21.
    const { plans } = inHand({}, 21);
    expect(one(plans, 'soonest').rows).toBe(28);
    expect(rowsOf(plans)).toEqual([
      ['whole', 24],
      ['any', 21],
    ]);
    // What ends as well by its own ending is not told twice.
    expect(rowsOf(at20({}))).toEqual([]);
    expect(rowsOf(inHand({ ending: 'any' }, 21).plans)).toEqual([
      ['as-begun', 28],
      ['whole', 24],
    ]);
  });

  it('where the yarn does not last goes on as long as it does', () => {
    const weighings = [sampleWeighing('A', 20, 42), sampleWeighing('B', 20, 3)];
    const plans = at20({}, { weighings });
    const ended = plans.filter(({ kind }) => kind === 'ending');
    expect(ended.length).toBeGreaterThan(0);
    for (const { rows, chance } of ended) {
      expect(rows).toBeGreaterThan(20);
      expect(chance).toBeGreaterThanOrEqual(0.95);
    }
  });
});

describe('a width and a height that are off', () => {
  it('sizes go by what was measured last, and the rows that come nearest to the plan are told', () => {
    // 20 rows should be 111.1 mm and are 100; 225 mm across are 216. A row is 5 mm then.
    const measures = [measured(20, '21.6 cm', '10 cm'), measured(12, '20 cm', '9 cm')];
    const { plans } = inHand({}, 20, { measures });
    expect(one(plans, 'planned')).toMatchObject({ measured: true });
    expect(one(plans, 'planned').width.mid).toBeCloseTo(216, 6);
    expect(one(plans, 'planned').height.mid).toBeCloseTo(220, 6);
    expect(one(plans, 'shorter').height.mid).toBeCloseTo(180, 6);
    // 244.4 mm were planned: 52 rows are 260, 44 only 220.
    expect(one(plans, 'measured').rows).toBe(52);
    const any = inHand({ ending: 'any' }, 20, { measures }).plans;
    // 49 rows are 245 mm.
    expect(one(any, 'measured').rows).toBe(49);
    expect(one(any, 'longer').rows).toBe(45);
  });

  it('what comes out as planned asks for no other rows', () => {
    const { plans } = inHand({}, 20, { measures: [measured(20, '22.5 cm', '11.11 cm')] });
    expect(plans.map(({ kind }) => kind)).not.toContain('measured');
    expect(inHand({}, 20).plans[0]).toMatchObject({ measured: false });
  });
});

describe('ripped back to a better place, and on from there', () => {
  // Two rows into the sixth band.
  const { begun, plans } = inHand({}, 22);
  const back = one(plans, 'ripped-swapped');

  it('the colours change about with a whole band, and what was ripped is worked anew', () => {
    expect(back).toMatchObject({ stays: 20, rows: 44, rip: { rows: 2, cells: 72 } });
    const [old, now] = [must(thaw(begun)).fabric, must(thaw(back.begun)).fabric];
    expect(sameCourses(old, now)).toBe(20);
    expect([...now.colours.subarray(20 * 36)]).toEqual([...old.colours.subarray(20 * 36)].map((c) => 1 - c));
    // 24 rows of 152 s, and 150 s an end.
    expect(back.time.mid).toBeCloseTo(24 * 152 + back.ends * 150, 6);
  });

  it('what comes free is used again: no more is to come than for the same rows from the 20th', () => {
    const from20 = one(inHand({}, 20).plans, 'swapped');
    back.colours.forEach(({ left }, i) => {
      const whole = from20.colours[i]?.left.mid ?? 0;
      // Two rows' yarn, 36 stitches each in both colours, comes back: some 0.85 m a row and colour.
      expect(whole - left.mid).toBeGreaterThan(1.4);
      expect(whole - left.mid).toBeLessThan(2.4);
    });
  });

  it('is not told where a band has just ended', () => {
    expect(inHand({}, 20).plans.map(({ kind }) => kind)).not.toContain('ripped-swapped');
  });
});

describe('a border', () => {
  const { plans } = inHand({ item: 'blanket', border: { rounds: 3, colour: 'A' } }, 30);
  it('can be a round thinner or left off, and takes less yarn and size', () => {
    const [planned, thinner, bare] = [one(plans, 'planned'), one(plans, 'thinner'), one(plans, 'bare')];
    expect(thinner.wish.border?.rounds).toBe(2);
    expect(bare.wish.border).toBeUndefined();
    const a = (plan: RestPlan) => plan.colours[0]?.left.mid ?? 0;
    expect(a(planned)).toBeGreaterThan(a(thinner));
    expect(a(thinner)).toBeGreaterThan(a(bare));
    // A round of sc on either side.
    expect(planned.width.mid - thinner.width.mid).toBeCloseTo(
      thinner.height.mid > 0 ? (planned.width.mid - bare.width.mid) / 3 : 0,
      6,
    );
    // The border is worked on in A, which is on the hook: it adds no ends.
    expect(planned.ends - bare.ends).toBe(0);
  });
});

describe('every way to go on', () => {
  it('keeps what is worked and is proved, for any pattern, policy and row', () => {
    const flat = patternBook.filter((pattern) => pattern.colours.length === 2);
    fc.assert(
      fc.property(fc.constantFrom(...flat), fc.constantFrom(...policies), fc.nat(30), (pattern, policy, rows) => {
        const change: Partial<WishInput> = {
          pattern: { key: pattern.key },
          policy,
          width: { by: 'repeats', count: 2 },
          height: { by: 'repeats', count: 3 },
          edges: 'whole',
          ending: 'any',
        };
        const plan = planWish(wish(change));
        if (!plan.ok) return;
        const stands = Math.min(rows, plan.value.piece.fabric.courses);
        const { prove, plans } = inHand(change, stands);
        expect(plans[0]?.kind).toBe('planned');
        for (const each of plans) {
          const proof = prove(each.begun, each.from);
          expect([pattern.key, policy, each.kind, proof.ok ? [] : proof.problems]).toEqual([
            pattern.key,
            policy,
            each.kind,
            [],
          ]);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('another plan that touches worked rows, or a strand of them, is refused', () => {
    const { begun, prove, plans } = inHand({}, 20);
    const swapped = one(plans, 'swapped').begun;
    // A chain and 21 rows.
    const over = prove(swapped, { rows: 22, runs: 0 });
    expect(over.ok ? '' : told(over.problems[0]).message).toBe(
      'Row 21 is worked already, and the other plan changes it.',
    );
    const moves = [...begun.moves];
    moves[3] = (moves[3] ?? 0) + 1;
    expect(prove({ ...begun, moves }).ok).toBe(false);
    expect(prove({ ...begun, foundation: 'sc-3rd' }).ok).toBe(false);
  });
});
