import fc from 'fast-check';
import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { sampleWish } from '../../../test/sampleWish.ts';
import { firstBelief, learn } from '../../craft/values/belief.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { type OwnPace, unknownPace } from '../../plan/pace/ownPace.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { prepare } from '../../plan/wish/prepare.ts';
import type { LogEntry, Weighing } from '../../records/logEntry.ts';
import { entryLabel } from '../../records/logEntry.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { asReading, wishAgain } from './again.ts';
import { costsOfWork, metresToEnd } from './inHand.ts';
import { colourNow } from './weighed.ts';

/** 36 stitches of 6.25 mm and 44 rows of 5.56 mm: 22.5 × 24.44 cm. */
function finished(entries: readonly LogEntry[], change: Partial<WishInput> = {}, pace: OwnPace = unknownPace) {
  const wish = sampleWish({ width: { by: 'repeats', count: 9 }, height: { by: 'repeats', count: 11 }, ...change });
  const plan = must(planWish(wish));
  const cloth = must(thaw(freeze(plan)));
  const choice = { stitches: plan.piece.stitches, rows: plan.piece.rows };
  return { plan, cloth, again: wishAgain({ wish: { ...wish, choice }, cloth, entries, pace }) };
}

const end = (size: { width?: string; height?: string }): LogEntry => ({
  ...entryLabel,
  kind: 'end',
  id: '7b1f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d',
  at: 9,
  next: '',
  ...size,
});
const beliefOf = (wish: WishInput) => handBelief(must(prepare(wishSchema.parse(wish))));

describe('the same again', () => {
  it('is wished for as before, at the gauge that the piece came out with', () => {
    const { again } = finished([end({ width: '24.75 cm', height: '24.44' })]);
    expect(again.title).toBe('Galley cloth, again');
    expect(again.choice).toBeUndefined();
    // The piece that was made: 36 stitches and 44 rows, not what was once wished for.
    expect([again.width, again.height]).toEqual([
      { by: 'stitches', count: 36 },
      { by: 'rows', count: 44 },
    ]);
    // A tenth wider: 36 stitches over 36 × 6.25 × 1.1 mm; 44 rows over 44 × 5.556 mm.
    expect(again.gauge).toEqual({
      from: 'counted',
      stitches: { count: 36, over: '24.75 cm' },
      rows: { count: 44, over: '24.44 cm' },
    });
    expect(must(planWish(again)).width.width.mid).toBeCloseTo(247.5, 6);
  });

  it('brings along what was to be changed next time, each thing once', () => {
    const told = { ...end({}), next: 'Start the border one round earlier.' } as LogEntry;
    const { again } = finished([told], { lessons: ['Chain looser.', 'Start the border one round earlier.'] });
    expect(again.lessons).toEqual(['Chain looser.', 'Start the border one round earlier.']);
    expect(wishSchema.parse(again)).toEqual(again);
  });

  it('makes rows that its ending would refuse, and a pattern that the book no longer has', () => {
    const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 42 }, ending: 'any' });
    const plan = must(planWish(wish));
    const cloth = must(thaw(freeze(plan)));
    const choice = { stitches: 36, rows: 42 };
    const gone = { ...wish, ending: 'as-begun' as const, pattern: { key: 'gone-from-the-book' }, choice };
    const again = wishAgain({ wish: gone, cloth, entries: [], pace: unknownPace });
    expect(again.ending).toBe('any');
    expect([...must(planWish(again)).piece.fabric.colours]).toEqual([...plan.piece.fabric.colours]);
  });

  it('knows that a border belongs to the size', () => {
    const border = { rounds: 3, colour: 'B' };
    const { plan, again } = finished([], { border });
    const size = `${(plan.width.width.mid / 10).toFixed(3)} cm`;
    const same = finished([end({ width: size })], { border }).again;
    expect(same.gauge).toMatchObject({ stitches: { count: 36, over: '22.5 cm' } });
    expect(again.gauge).toEqual(plan.prepared.wish.gauge);
  });

  it('keeps what washing does to it', () => {
    const gauge = {
      from: 'counted' as const,
      stitches: { count: 16, over: '10 cm' },
      rows: { count: 18, over: '10 cm' },
      washedStitches: [{ count: 16, over: '9.6 cm' }],
    };
    const { plan } = finished([], { gauge });
    // Measured after washing, as planned: nothing changes but what it is counted over.
    const { again } = finished([end({ width: `${(plan.width.width.mid / 10).toFixed(3)} cm` })], { gauge });
    expect(again.gauge).toMatchObject({
      stitches: { count: 36, over: '22.5 cm' },
      washedStitches: [{ count: 36, over: '21.6 cm' }],
    });
  });

  it('is told in inches to who measures in inches, and from a typical gauge it becomes a counted one', () => {
    const { plan } = finished([], { units: 'in', gauge: { from: 'typical' } });
    const inches = ((plan.width.width.mid / 25.4) * 0.9).toFixed(3);
    const { again } = finished([end({ width: inches })], { units: 'in', gauge: { from: 'typical' } });
    const count = plan.piece.stitches;
    const over = (count * plan.prepared.gauge.stitchWidth.mid * 0.9) / 25.4;
    expect(again.gauge).toMatchObject({ from: 'counted', stitches: { count, over: `${Number(over.toFixed(2))} in` } });
  });

  it('takes the pace along, and where none was clocked the one it had', () => {
    const pace: OwnPace = { ratio: 1.2, sd: 0.1, acts: [{ act: 'sc', factor: 1, sd: 0.1, share: 1 }] };
    const { plan, again } = finished([], {}, pace);
    expect(again.pace).toEqual(pace);
    expect(wishSchema.parse(again)).toEqual(again);
    expect(must(planWish(again)).piece.time.mid).toBeCloseTo(1.2 * plan.piece.time.mid, 6);
    expect(finished([], { pace }).again.pace).toEqual(pace);
    expect(finished([]).again.pace).toBeUndefined();
  });

  it('knows of the yarn what the balls told, whatever they are planned with', () => {
    // Weighed behind the chain and 22 rows.
    const { plan, cloth, again } = finished([sampleWeighing('A', 1 + 22, 38.5)]);
    const metres = metresToEnd(costsOfWork(plan.prepared, cloth), 0);
    const [yarn] = plan.prepared.yarns;
    const weighings: Weighing[] = [sampleWeighing('A', 22, 38.5)];
    const now = { rows: 44, runs: 0 };
    const told = yarn && must(colourNow({ yarn, metres, belief: firstBelief('measured'), weighings, now, part: 0 }));
    expect(beliefOf(again).mean).toBeCloseTo(told?.belief.mean ?? 9, 9);
    expect(beliefOf(again).sd).toBeCloseTo(told?.belief.sd ?? 9, 9);
    // A tenth wider stitches would have been foretold more yarn, so the same grams say that the hand takes less.
    const wider = finished([sampleWeighing('A', 1 + 22, 38.5), end({ width: '24.75 cm' })]).again;
    expect(beliefOf(wider).mean).toBeLessThan(beliefOf(again).mean);
  });

  it('knows it of a set from whichever cloth was weighed', () => {
    // A chain, 44 rows and the ends of the first; a chain and 22 rows of the second.
    const second = sampleWeighing('A', 46 + 1 + 22, 16);
    const { plan, cloth, again } = finished([second], { pieces: 2 });
    const one = metresToEnd(costsOfWork(plan.prepared, cloth), 0).slice(0, 44);
    const [yarn] = plan.prepared.yarns;
    const weighings = [{ ...second, position: { rows: 44 + 22, runs: 0 } }];
    const question = { metres: [...one, ...one], belief: firstBelief('measured'), weighings, part: 0 };
    const told = yarn && must(colourNow({ yarn, ...question, now: { rows: 88, runs: 0 } }));
    expect(told?.doubtful).toBe(false);
    expect(beliefOf(again).mean).toBeCloseTo(told?.belief.mean ?? 9, 9);
  });

  it('two colours of one hand are no surer than one, and a weighing that cannot be is left out', () => {
    const [a, b] = [sampleWeighing('A', 22, 38.5), sampleWeighing('B', 22, 38)];
    const [one, other, both] = [[a], [b], [a, b]].map((each) => beliefOf(finished(each).again));
    expect(both?.sd).toBeCloseTo(Math.min(one?.sd ?? 0, other?.sd ?? 0), 9);
    expect(both?.mean).toBeGreaterThan(Math.min(one?.mean ?? 0, other?.mean ?? 0));
    expect(both?.mean).toBeLessThan(Math.max(one?.mean ?? 0, other?.mean ?? 0));
    const { again } = finished([sampleWeighing('A', 22, 31)]);
    expect(again.gauge).not.toHaveProperty('weighed');
  });

  it('a belief and the one reading that leads to it are the same', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(-0.5, 0.5), number(0.01, 0.5), (ratio, error) => {
        const first = firstBelief('measured');
        const back = asReading(first, learn(first, { ratio, error }));
        expect(back.ratio).toBeCloseTo(ratio, 6);
        expect(back.error).toBeCloseTo(error, 6);
      }),
    );
  });
});
