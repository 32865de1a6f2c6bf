import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { planWork, prepareCloth } from '../../plan/begun/made.ts';
import { unknownPace } from '../../plan/pace/ownPace.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { placeOfRow, type Sequence, standingAt } from '../../plan/steps/sequence.ts';
import { type FrozenWork, frozenRecord } from '../../records/begun.ts';
import { readShape } from '../../records/readJson.ts';
import { anyVersion } from '../../records/record.ts';
import type { RestKind } from '../../records/restKind.ts';
import type { Wish, WishInput } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { costsOfProject, sequenceOfWork } from '../underway/inHand.ts';
import { runsOfUnits, standsAt, touchedOf } from '../underway/kept.ts';
import { proveRest } from './prove.ts';
import { restPlans } from './rest.ts';

/** A begun project: galley cloths of 36 × 44 in bands of four rows. */
interface Begun {
  readonly wish: Wish;
  readonly begun: FrozenWork;
}

const size = { width: { by: 'repeats', count: 9 }, height: { by: 'repeats', count: 11 } } as const;

function begin(change: Partial<WishInput>): Begun {
  const wish = sampleWish({ ...size, ...change });
  const plan = must(planWish(wish));
  return {
    wish: { ...wish, choice: { stitches: plan.piece.stitches, rows: plan.piece.rows } },
    begun: freeze(plan),
  };
}

function wholeOf({ wish, begun }: Begun) {
  const cloth = must(thaw(begun));
  const costs = costsOfProject(must(prepareCloth(wish, cloth)), cloth);
  return { cloth, costs, sequence: costs.sequence };
}

function plansAt(work: Begun, stands: Position) {
  const { cloth } = wholeOf(work);
  return must(restPlans({ wish: work.wish, cloth, stands, weighings: [], measures: [], pace: unknownPace }));
}

/** The project once its rest was planned otherwise where it stands, as the server keeps it. */
function planned(work: Begun, at: Position, kind: RestKind): Begun {
  const plan = plansAt(work, at).find((each) => each.kind === kind);
  if (!plan) throw new Error(`no plan ${kind}`);
  const begun = must(proveRest({ ...work, at: plan.from }, plan.begun));
  return { wish: plan.wish, begun };
}

/** After so many rows of a cloth, both from 0. */
const at = (work: Begun, piece: number, rows: number, runs = 0): Position => ({
  rows: placeOfRow(wholeOf(work).sequence, piece, rows),
  runs,
});

const sum = (list: readonly number[]) => list.reduce((all, each) => all + each, 0);
const shapeOf = ({ units }: Sequence, to = units.length) =>
  units.slice(0, to).map((unit) => (unit.kind === 'row' ? unit : { ...unit, step: unit.step.code }));

describe('a cloth behind the first', () => {
  const five = begin({ pieces: 5 });
  const stands = at(five, 2, 20);
  const plans = plansAt(five, stands);
  const way = (kind: RestKind) => plans.find((each) => each.kind === kind);

  it('is planned again like the first, from the row in hand', () => {
    const first = plansAt(five, at(five, 0, 20)).map(({ kind, rows, stays }) => ({ kind, rows, stays }));
    expect(plans.map(({ kind, rows, stays }) => ({ kind, rows, stays }))).toEqual(first);
    expect(way('shorter')).toMatchObject({ rows: 36, stays: 20, piece: 2, pieces: 5, worked: { rows: 20, runs: 0 } });
  });

  it('the cloths that are made stay, those behind it follow it, and no place of the counter before it moves', () => {
    const shorter = planned(five, stands, 'shorter');
    const [was, is] = [wholeOf(five).sequence, wholeOf(shorter).sequence];
    expect(was.rowsOf).toEqual([44, 44, 44, 44, 44]);
    expect(is.rowsOf).toEqual([44, 44, 36, 36, 36]);
    // Two cloths of a chain, 44 rows and their ends; three of a chain, 36 rows and theirs.
    expect(is.units).toHaveLength(2 * 46 + 3 * 38);
    expect(shapeOf(is, stands.rows)).toEqual(shapeOf(was, stands.rows));
    expect(standingAt(is, stands.rows)).toMatchObject({ piece: 2, rows: 20 });
    expect(must(standsAt(shorter.begun, shorter.wish, stands))).toMatchObject({ piece: 3, pieces: 5, rows: 20 });
    expect(must(touchedOf(shorter.begun, shorter.wish, stands))).toEqual({ items: 3, panels: 1 });
    expect(must(runsOfUnits(shorter.begun, shorter.wish))).toHaveLength(is.units.length);
  });

  it('yarn to go is of all that is to come: the rest of the one in hand, and the two behind it', () => {
    const one = wholeOf(begin({})).costs.cloth;
    const low = wholeOf(begin({ height: { by: 'rows', count: 36 } })).costs.cloth;
    for (const colour of [0, 1]) {
      const [tall, short] = [one.metres[colour] as number[], low.metres[colour] as number[]];
      expect(way('planned')?.colours[colour]?.left.mid).toBeCloseTo(sum(tall.slice(20)) + 2 * sum(tall), 0);
      const left = way('shorter')?.colours[colour]?.leftWorking;
      const plan = sum((left?.parts ?? []).map(({ facts }) => Number(facts?.planned)));
      expect(plan).toBeCloseTo(sum(short.slice(20)) + 2 * sum(short), 6);
    }
    // 150 s an end of three cloths, 152 s a row, and 37 chains of 1.2 s for two: 24 + 44 + 44 rows.
    const ends = way('planned')?.ends ?? 0;
    expect(way('planned')?.time.mid).toBeCloseTo((24 + 88) * 152 + ends * 150 + 2 * 37 * 1.2, 6);
    expect(ends).toBe(3 * must(planWish(five.wish)).piece.ends);
  });

  it('the plan of the whole counts each cloth by the plan that it was made by', () => {
    const shorter = planned(five, stands, 'shorter');
    const whole = must(planWork(shorter)).piece;
    const [tall, low] = [must(planWish(sampleWish(size))), must(planWish({ ...shorter.wish, pieces: 1 }))];
    whole.yarn.forEach(({ metres, ends }, colour) => {
      const of = (plan: typeof tall) => plan.piece.yarn[colour];
      expect(metres.mid).toBeCloseTo(2 * (of(tall)?.metres.mid ?? 0) + 3 * (of(low)?.metres.mid ?? 0), 6);
      expect(ends).toBe(2 * (of(tall)?.ends ?? 0) + 3 * (of(low)?.ends ?? 0));
    });
    expect(whole.time.mid).toBeCloseTo(2 * tall.piece.time.mid + 3 * low.piece.time.mid, 6);
    expect(whole.rows).toBe(36);
    // Its first cloth alone, the others a project of their own by now.
    const first = must(planWork({ ...shorter, wish: { ...shorter.wish, pieces: 1 } })).piece;
    expect(first.time.mid).toBeCloseTo(tall.piece.time.mid, 6);
    expect(first.yarn.map(({ ends }) => ends)).toEqual(tall.piece.yarn.map(({ ends }) => ends));
  });

  it('is planned again and again, and after going back to a cloth that is made', () => {
    const once = planned(five, at(five, 1, 20), 'shorter');
    const twice = planned(once, at(once, 3, 8), 'soonest');
    expect(wholeOf(twice).sequence.rowsOf).toEqual([44, 36, 36, 12, 12]);
    expect(twice.begun.before?.map(({ pieces }) => pieces)).toEqual([1, 2]);
    // Ripped back into the third, which was made in 36 rows: it can be longer again, and those behind it with it.
    const back = at(twice, 2, 30);
    expect(plansAt(twice, back)[0]).toMatchObject({ kind: 'planned', rows: 36, stays: 30 });
    const longer = planned(twice, back, 'longer');
    expect(wholeOf(longer).sequence.rowsOf).toEqual([44, 36, 44, 44, 44]);
    expect(longer.begun.before?.map(({ pieces }) => pieces)).toEqual([1, 1]);
    // It is kept and read as it is.
    const kept = JSON.parse(JSON.stringify(longer.begun));
    expect(wholeOf({ ...longer, begun: must(readShape(anyVersion(frozenRecord), kept)) }).sequence.rowsOf).toEqual(
      wholeOf(longer).sequence.rowsOf,
    );
  });

  it('comes next where the steps of the one before it are begun; there is none behind the last', () => {
    const bordered = begin({ pieces: 2, border: { rounds: 2 } });
    const { units } = wholeOf(bordered).sequence;
    const rounds = at(bordered, 0, 44);
    // Off the hook and nothing done of its border: it is still the first that is planned.
    expect(plansAt(bordered, rounds)[0]).toMatchObject({ piece: 0, stays: 44 });
    expect(plansAt(bordered, { rows: rounds.rows + 1, runs: 0 })[0]).toMatchObject({ piece: 1, stays: 0 });
    expect(plansAt(bordered, { rows: rounds.rows, runs: 1 })[0]).toMatchObject({ piece: 1, stays: 0 });
    const bare = planned(bordered, { rows: rounds.rows + 2, runs: 1 }, 'bare');
    const rest = shapeOf(wholeOf(bare).sequence).filter(({ kind }) => kind === 'step');
    expect(rest.map((unit) => ('step' in unit ? unit.step : ''))).toEqual([
      ...['chain', 'border', 'border', 'ends'],
      ...['chain', 'ends'],
    ]);
    expect(plansAt(bordered, { rows: units.length - 1, runs: 0 })).toEqual([]);
    const none = proveRest({ ...bordered, at: { rows: units.length, runs: 0 } }, bordered.begun);
    expect(none.ok ? '' : told(none.problems[0]).message).toBe(
      'Every row of this project is worked, so there is no rest to plan.',
    );
  });

  it('joined to one that is made stays as large: its colours can change, its rows and its border cannot', () => {
    const bag = begin({ item: 'bag', pieces: 4, finish: { seam: 'sc' } });
    const second = plansAt(bag, at(bag, 1, 20));
    expect(second.every(({ matched }) => matched)).toBe(true);
    expect(new Set(second.map(({ kind }) => kind))).toEqual(new Set(['planned', 'swapped']));
    // The third is the first panel of another bag.
    expect(plansAt(bag, at(bag, 2, 20)).map(({ kind }) => kind)).toContain('shorter');
    const low = plansAt(bag, at(bag, 0, 20)).find(({ kind }) => kind === 'shorter') as (typeof second)[number];
    const forged = proveRest({ ...bag, at: at(bag, 1, 20) }, low.begun);
    expect(forged.ok ? '' : told(forged.problems[0]).message).toBe(
      'The other plan makes this piece larger or smaller than the one it is joined to.',
    );
  });

  it('does not touch what is worked of it, whatever a plan says of the cloths before', () => {
    const swapped = way('swapped')?.begun as FrozenWork;
    expect(must(proveRest({ ...five, at: stands }, { ...swapped, before: [] })).before?.[0]?.pieces).toBe(2);
    const over = proveRest({ ...five, at: at(five, 2, 21) }, swapped);
    expect(over.ok ? '' : told(over.problems[0]).message).toBe(
      'Row 21 is worked already, and the other plan changes it.',
    );
  });

  it('holds at any place of any set: every way is proved, and sums of units are those of the cloths', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.nat(400),
        fc.constantFrom<Partial<WishInput>>({}, { closing: true }, { border: { rounds: 1 } }, { wash: 'acrylic' }),
        fc.nat(20),
        (pieces, place, change, choice) => {
          const work = begin({ ...change, pieces, height: { by: 'repeats', count: 3 } });
          const { sequence } = wholeOf(work);
          const stands = { rows: place % (sequence.units.length + 1), runs: 0 };
          const found = plansAt(work, stands);
          const plan = found[choice % Math.max(1, found.length)];
          if (!plan) return;
          const begun = must(proveRest({ ...work, at: plan.from }, plan.begun));
          const next = wholeOf({ wish: plan.wish, begun });
          const kept = placeOfRow(sequence, plan.piece, 0);
          expect(shapeOf(next.sequence, kept)).toEqual(shapeOf(sequence, kept));
          expect(sequenceOfWork(must(prepareCloth(plan.wish, next.cloth)), next.cloth).units.length).toBe(
            next.costs.cells.length,
          );
          // The made cloths by their plan, the others by the new one; the chain of the one in hand is of the new.
          const [old, now] = [wholeOf(work).costs.metres, next.costs.metres];
          const single = wholeOf({ wish: { ...plan.wish, pieces: 1 }, begun: { ...begun, before: [] } }).costs.metres;
          now.forEach((metres, colour) => {
            const made = sum((old[colour] as number[]).slice(0, kept - 1));
            const rest = (pieces - plan.piece) * sum(single[colour] as number[]);
            expect(sum(metres)).toBeCloseTo(made + rest, 6);
          });
        },
      ),
      { numRuns: 25 },
    );
  });
});
