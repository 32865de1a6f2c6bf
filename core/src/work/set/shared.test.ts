import { sampleWish } from '../../../test/sampleWish.ts';
import { firstBelief } from '../../craft/values/belief.ts';
import { entryLabel, type Weighing } from '../../records/logEntry.ts';
import { colourNow } from '../underway/weighed.ts';
import { sharedNow } from './shared.ts';

const [oat] = sampleWish({}).yarns;
// 85 m on a ball of 50 g, two of them: 170 m.
const yarn = { ...(oat as NonNullable<typeof oat>), balls: 2 };
const belief = firstBelief('measured');
const rows = (count: number, metres: number) => Array.from({ length: count }, () => metres);
const at = (units: number) => ({ rows: units, runs: 0 });
const weigh = (after: number, units: number, time = 1): Weighing => ({
  ...{ ...entryLabel, kind: 'weigh', id: crypto.randomUUID(), at: time, letter: 'A', ball: 1 },
  ...{ before: 50, beforeIsLabel: false, after, scale: 1, position: at(units) },
});
const need = (id: string, metres: readonly number[], done = 0, weighings: readonly Weighing[] = []) => ({
  ...{ id, metres, now: at(done), weighings },
});

describe('a yarn that a set shares', () => {
  it('lasts as one long work would, project after project', () => {
    const [one, other] = [rows(40, 1), rows(60, 1)];
    const whole = colourNow({ yarn, metres: [...one, ...other], belief, weighings: [], now: at(0), part: 0 });
    expect(sharedNow(yarn, belief, [need('one', one), need('other', other)])?.chance).toBe(
      whole.ok && whole.value.chance,
    );
  });

  it('ends where it ends: 200 m of 170 m in the second of two, some 70 rows into it', () => {
    const ends = sharedNow(yarn, belief, [need('one', rows(100, 1)), need('other', rows(100, 1))])?.endsIn;
    expect(ends?.id).toBe('other');
    // At what is expected after 70; it may be as many sooner as the hand is doubtful.
    expect(ends?.unit).toBeGreaterThan(30);
    expect(ends?.unit).toBeLessThan(70);
    expect(sharedNow(yarn, belief, [need('one', rows(30, 1))])?.endsIn).toBeUndefined();
  });

  it('is told by a ball weighed in one of them: who uses a third more there will in the others too', () => {
    const others = [need('b', rows(40, 1)), need('c', rows(40, 1))];
    // Twenty rows of 1 m, 11.8 g by the rule.
    const byRule = sharedNow(yarn, belief, [need('a', rows(40, 1), 20, [weigh(50 - 20 / 1.7, 20)]), ...others]);
    const more = sharedNow(yarn, belief, [need('a', rows(40, 1), 20, [weigh(50 - (20 * 1.34) / 1.7, 20)]), ...others]);
    const unweighed = sharedNow(yarn, belief, [need('a', rows(40, 1), 20), ...others]);
    expect([byRule?.weighedIn, unweighed?.weighedIn]).toEqual(['a', undefined]);
    expect(byRule?.chance ?? 0).toBeGreaterThan(unweighed?.chance ?? 1);
    expect(more?.chance ?? 1).toBeLessThan(byRule?.chance ?? 0);
    // Between what was expected, 1, and what was weighed, 1.34; a hand that was not weighed goes by the plan.
    expect(more?.hand).toBeGreaterThan(1.1);
    expect(more?.hand).toBeLessThan(1.34);
    // Of what was weighed a tail is no stitch.
    expect([byRule?.hand, unweighed?.hand]).toEqual([expect.closeTo(1, 1), 1]);
    // The order in which they are told changes nothing of it.
    const turned = sharedNow(yarn, belief, [
      ...others,
      need('a', rows(40, 1), 20, [weigh(50 - (20 * 1.34) / 1.7, 20)]),
    ]);
    expect(turned?.chance).toBeCloseTo(more?.chance ?? 0, 12);
  });

  it('counts what the others have used since, and says nothing where it is not known what there is', () => {
    const weighed = need('a', rows(40, 1), 20, [weigh(50 - 20 / 1.7, 20)]);
    const idle = sharedNow(yarn, belief, [weighed, need('b', rows(140, 1))]);
    // The same left to be made, but forty more metres are gone.
    const begun = sharedNow(yarn, belief, [weighed, need('b', rows(180, 1), 40)]);
    expect(begun?.chance ?? 1).toBeLessThan(idle?.chance ?? 0);
    const { balls: _balls, ...unknown } = yarn;
    expect(sharedNow(unknown, belief, [weighed])).toBeUndefined();
    expect(sharedNow(yarn, belief, [])).toBeUndefined();
  });
});
