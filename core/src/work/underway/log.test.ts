import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { told } from '../../../test/told.ts';
import { firstBelief, learn } from '../../craft/values/belief.ts';
import { must } from '../../craft/values/problem.ts';
import { type Handwork, handworkOf } from '../../plan/pace/hours.ts';
import { secondsBy } from '../../plan/pace/ownPace.ts';
import type { Weighing } from '../../records/logEntry.ts';
import { entryLabel } from '../../records/logEntry.ts';
import { shortText } from '../../words/en/lasting.ts';
import { driftNow, driftOf, isDrifting } from './drift.ts';
import { isShort, lasting } from './lasting.ts';
import { asCorrected, paceOfSessions, sessionRatio, sessionsOf, sittingSince } from './sessions.ts';
import { colourNow } from './weighed.ts';

const row: Handwork = new Map([
  ['sc', 108],
  ['turn', 4],
  ['change', 8],
]);
const costs = {
  cells: [36, 36, 36, 36],
  hands: [row, row, row, row],
  seconds: [120, 120, 120, 120],
  metres: [[2, 2, 2, 2]],
};
const id = '7b1f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d';
const at = (rows: number, runs = 0) => ({ rows, runs });
const minute = 60_000;
const tick = (from: number, to: number, time: number) => ({ id, at: time, from: at(from), to: at(to) });

describe('sessions found from the ticks', () => {
  const ticks = [
    tick(0, 1, 100 * minute),
    tick(1, 2, 103 * minute),
    // Half an hour's pause.
    tick(2, 3, 133 * minute),
    tick(3, 2, 134 * minute),
    tick(2, 3, 137 * minute),
  ];
  const sessions = sessionsOf(ticks, costs, () => 9);

  it('a long pause parts them, and each begins with the row that its first step ended', () => {
    expect(sessions.map((each) => [each.seconds, each.expected, each.rows])).toEqual([
      // Two minutes for the first row by the rule, and three until the second step.
      [300, 240, 2],
      [120 + 240, 240, 2],
    ]);
  });

  it('the pace is drawn towards what was logged, and what is left is told with a range', () => {
    const pace = paceOfSessions(sessions);
    // After the first step of each 180 + 240 s for 120 + 120 s; two evenings: 0.04 ÷ (0.04 + 0.0625 ÷ 2) = 0.5614.
    expect(pace.ratio).toBeCloseTo((420 / 240) ** 0.5614, 3);
    const left = secondsBy(pace, handworkOf([[row, 10]]));
    expect(left.mid).toBeCloseTo(1200 * pace.ratio, 6);
    // The mix is the one that was clocked, so it is as sure as the whole hand: 0.2 √(1 − 0.5614).
    expect(Math.log(left.high / left.mid)).toBeCloseTo(1.6449 * 0.13246, 4);
    expect(paceOfSessions([]).ratio).toBe(1);
  });

  it('each session stands to a steady hand by its clocked steps: 180 s for 120, then 60 and 180 s for 120', () => {
    // The first step of a session has no clock; the step back takes its minute and works nothing.
    expect(sessions.map(sessionRatio)).toEqual([1.5, 2]);
    const [made] = sessionsOf([tick(0, 4, 100 * minute)], costs, () => 9);
    expect(made && sessionRatio(made)).toBeUndefined();
  });

  it('rows made up for in one step say nothing of the pace', () => {
    const [made] = sessionsOf([tick(0, 4, 100 * minute)], costs, () => 9);
    expect(made).toMatchObject({ rows: 4, expected: 480, clocked: [] });
    expect(paceOfSessions(made ? [made] : [])).toEqual({ ratio: 1, sd: 0.2, acts: [] });
  });

  it('a run counts by its part of the row', () => {
    const [only] = sessionsOf([{ at: 100 * minute, from: at(0), to: at(0, 3) }], costs, () => 9);
    expect(only?.expected).toBeCloseTo(40, 9);
  });
});

describe('a session that the clock told wrong', () => {
  // Two rows clocked at 10 min each, the first having begun two minutes before its step.
  const [session] = sessionsOf(
    [tick(0, 1, 100 * minute), tick(1, 2, 110 * minute), tick(2, 3, 120 * minute)],
    costs,
    () => 9,
  );
  if (!session) throw new Error('no session');

  it('takes as long as the maker says, each step its share: 22 minutes told as 11 halve its pace', () => {
    const told = asCorrected(session, [{ of: session.from, minutes: 11 }]);
    expect([session.seconds, told.seconds, told.corrected]).toEqual([22 * 60, 11 * 60, true]);
    expect(told.clocked.map(({ seconds }) => seconds)).toEqual([300, 300]);
    expect(sessionRatio(told)).toBeCloseTo((sessionRatio(session) ?? 0) / 2, 9);
  });

  it('does not count at no minutes; the last word on it holds; another session is left alone', () => {
    const of = session.to;
    const out = asCorrected(session, [
      { of, minutes: 11 },
      { of, minutes: 0 },
    ]);
    expect([out.seconds, out.clocked, out.rows]).toEqual([0, [], 3]);
    expect(asCorrected(session, [{ of: session.to + 1, minutes: 1 }])).toBe(session);
  });
});

describe('a work that is laid down', () => {
  // Two rows, laid down five minutes later for twelve minutes, and one row more.
  const ticks = [tick(0, 1, 100 * minute), tick(1, 2, 102 * minute), tick(2, 3, 119 * minute)];
  const pauses = [107 * minute];

  it('parts the session there: until then it was worked, and the next begins with the row it ended', () => {
    expect(sessionsOf(ticks, costs, () => 9).map((each) => each.seconds)).toEqual([120 + 19 * 60]);
    expect(sessionsOf(ticks, costs, () => 9, pauses).map((each) => [each.seconds, each.rows])).toEqual([
      [120 + 7 * 60, 2],
      [120, 1],
    ]);
  });

  it('a next session never begins before the work was taken up again', () => {
    const [, next] = sessionsOf(ticks, costs, () => 9, [118.5 * minute]);
    expect(next?.seconds).toBe(30);
  });

  it('says nothing of the pace: the minutes between are no row of anybody', () => {
    expect(sessionsOf(ticks, costs, () => 9, pauses).map((each) => each.clocked.length)).toEqual([1, 0]);
  });

  it('has been sat at since the last pause, whoever told of it', () => {
    const steps = ticks.map((each) => each.at);
    expect(sittingSince(steps, [], 120 * minute)).toBe(100 * minute);
    expect(sittingSince(steps, pauses, 120 * minute)).toBe(119 * minute);
    // Laid down after the last step, or left for more than twenty minutes: nobody sits at it.
    expect(sittingSince(steps, [...pauses, 120 * minute], 121 * minute)).toBeUndefined();
    expect(sittingSince(steps, [], 140 * minute)).toBeUndefined();
    expect(sittingSince([], [], 140 * minute)).toBeUndefined();
  });
});

describe('rows taken out', () => {
  it('stay in the session in which they were: from row 12 back to row 8, and a run back over a row end is none', () => {
    const back = { id, at: 104 * minute, from: at(12, 3), to: at(8) };
    const byRun = { id, at: 105 * minute, from: at(8), to: at(7, 8) };
    const [only] = sessionsOf([tick(11, 12, 103 * minute), back, byRun], costs, () => 9);
    expect([only?.rows, only?.takenOut]).toEqual([1, 4]);
  });
});

describe('what the balls on the scale say', () => {
  const yarn = {
    letter: 'A',
    name: 'Oat',
    shade: '#e9dfc4',
    weight: 4,
    fibre: 'cotton',
    ballMetres: 97.5,
    ballGrams: 50,
    balls: 4,
  } as const;
  // 11.585 m a row: ten rows are the 115.85 m of 2450 sc at 1.95 m a gram, of 100 g that fell to 37 g.
  const metres = new Array<number>(38).fill(11.585);
  const weigh = (more: Partial<Weighing>) => sampleWeighing('A', 10, 37, { at: 1, before: 100, scale: 1, ...more });
  const after = learn({ mean: 0, sd: 0.114 }, { ratio: 0.0542, error: 0.0598 });
  const ask = (weighings: readonly Weighing[]) =>
    colourNow({ yarn, metres, belief: after, weighings, now: at(10), part: 0 });

  it('a ball weighed part-way is the worked example: 122.70 m used, and the belief narrows to 0.0217', () => {
    const now = must(ask([weigh({})]));
    expect(now.usedByRule).toBeCloseTo(115.85, 6);
    // 63 g at 1.95 m are 122.85 m, of which one tail is 0.15.
    expect(now.used).toBeCloseTo(122.85, 6);
    expect(now.belief.mean).toBeCloseTo(0.0549, 3);
    expect(now.belief.sd).toBeCloseTo(0.0217, 3);
    expect(now.doubtful).toBe(false);
  });

  it('says what is left, whether it is enough, and between which rows it ends', () => {
    const now = must(ask([weigh({})]));
    // 28 rows left of 11.585 m are 324.38 m by the rule; 37 g and three balls of 50 g hold about 362.7 m.
    expect(now.left.mid).toBeCloseTo(324.38 * Math.exp(now.belief.mean), 6);
    expect(now.chance).toBeGreaterThan(0.9);
    const short = must(
      colourNow({ yarn: { ...yarn, balls: 2 }, metres, belief: after, weighings: [weigh({})], now: at(10), part: 0 }),
    );
    expect(short.chance).toBeLessThan(0.01);
    // 87 g hold some 169 m: about 13.8 rows of 12.24 m.
    expect(short.endsAt?.low).toBeGreaterThanOrEqual(22);
    expect(short.endsAt?.high).toBeLessThanOrEqual(26);
    // The same in a few words for the row in hand; a colour whose balls are not known says nothing.
    const question = (balls: number | undefined, letter: string) => ({
      ...{ yarn: { ...yarn, letter, balls }, metres, belief: after },
      weighings: [weigh({})],
    });
    const told = lasting([question(2, 'A'), question(9, 'B'), question(undefined, 'C')], at(10));
    expect(told.map((each) => [each.letter, isShort(each, { sure: 0.95 })])).toEqual([
      ['A', true],
      ['B', false],
    ]);
    expect(shortText(told.slice(0, 1), { rows: 38, sequence: undefined, item: 'dishcloth' })).toMatch(
      /^A runs out between rows 2[2-4] and 2[4-6]$/,
    );
    expect(
      shortText([{ letter: 'A', chance: 0.5, endsAt: undefined }], {
        rows: 38,
        sequence: undefined,
        item: 'dishcloth',
      }),
    ).toBe('A may not last');
  });

  it('before anything is weighed, what was used comes off one ball after the other, and off what is left of one', () => {
    const fresh = (more: { balls?: number | undefined; partGrams?: number | undefined }) =>
      must(
        colourNow({
          yarn: { ...yarn, ...more },
          ...{ metres, belief: { mean: 0, sd: 0.114 }, weighings: [], now: at(10), part: 0 },
        }),
      );
    // Ten rows are 115.85 m or 59.4 g: of three balls 90.6 g are left, 40.6 of them on the work. Less four ends of 15 cm and
    // a joining these are some 176 m, for 15 rows.
    const three = fresh({ balls: 3 });
    expect(three.endsAt?.low).toBeLessThanOrEqual(25);
    expect(three.endsAt?.low).toBeGreaterThanOrEqual(22);
    expect(three.endsAt?.high).toBeLessThanOrEqual(30);
    expect(three.chance).toBeLessThan(0.01);
    // Of one ball of 50 g nothing is left.
    expect(fresh({ balls: 1 }).chance).toBe(0);
    // Leftovers alone, no ball: of 200 g 140.6 are left, 274 m for 324; of 300 g they are 469 m.
    const over = (partGrams: number) => fresh({ balls: 0, partGrams });
    expect(over(200).chance).toBeLessThan(0.1);
    expect(over(300).chance).toBeGreaterThan(0.98);
    expect(fresh({ balls: undefined, partGrams: 300 }).chance).toBe(over(300).chance);
    // Beside whole balls they are used last.
    expect(fresh({ balls: 1, partGrams: 250 }).chance).toBe(over(300).chance);
    expect(fresh({ balls: undefined, partGrams: undefined }).chance).toBeUndefined();
  });

  it('a later weighing of the same ball takes the place of the first, in whatever order they come', () => {
    const early = weigh({ at: 1, after: 70, position: at(5) });
    const late = weigh({ at: 2 });
    expect(must(ask([late, early]))).toEqual(must(ask([late])));
  });

  it('before anything was weighed it goes by what was known', () => {
    const now = must(ask([]));
    expect(now.used).toBeUndefined();
    expect(now.belief).toBe(after);
  });

  it('refuses a ball that grew, and asks about one that is far off', () => {
    const grown = ask([weigh({ after: 101 })]);
    expect(grown.ok ? '' : told(grown.problems[0]).message).toContain('but only 100 g at the start');
    expect(must(ask([weigh({ after: 5 })])).doubtful).toBe(true);
    expect(firstBelief('measured').sd).toBeCloseTo(0.114, 3);
  });
});

describe('how far the hand has drifted by now', () => {
  const planned = { width: 225, height: 244, rows: 44 };
  const measure = (at: number, rows: number, size: { width?: string; height?: string }) =>
    ({ ...entryLabel, kind: 'measure', id, at, position: { rows, runs: 0 }, ...size }) as const;

  it('each way by what was measured last, whatever the order it came in', () => {
    const early = measure(1, 11, { width: '20 cm', height: '5 cm' });
    const late = measure(2, 22, { width: '21.6' });
    // 216 of 225 mm; eleven of 44 rows should be 61 mm.
    for (const measures of [
      [early, late],
      [late, early],
    ]) {
      const drift = driftNow(measures, planned, 'cm');
      expect(drift.width).toBeCloseTo(0.96, 9);
      expect(drift.height).toBeCloseTo(50 / 61, 9);
    }
  });

  it('is none where nothing was measured, or nothing that could be', () => {
    const none = { width: 1, height: 1 };
    expect(driftNow([], planned, 'cm')).toEqual(none);
    expect(driftNow([measure(1, 11, { width: '21 cm' })], undefined, 'cm')).toEqual(none);
    // Before the first row there is no height.
    expect(driftNow([measure(1, 0, { height: '5 cm' })], planned, 'cm')).toEqual(none);
    expect(driftNow([measure(1, 11, { width: 'a hand' })], planned, 'cm')).toEqual(none);
  });
});

describe('measured on the way', () => {
  const measured = {
    ...entryLabel,
    kind: 'measure',
    id,
    at: 1,
    width: '21.4 cm',
    height: '6 cm',
    position: at(11),
  } as const;
  it('tells how far the hand has drifted and what the piece will end up as', () => {
    const drift = driftOf(measured, { width: 225, height: 244, rows: 44 }, 'cm');
    // 214 of 225 mm; eleven of 44 rows should be 61 mm.
    expect(drift.width).toBeCloseTo(0.951, 3);
    expect(drift.height).toBeCloseTo(60 / 61, 6);
    expect(drift.finalHeight).toBeCloseTo(240, 6);
    expect(isDrifting(drift)).toBe(true);
    expect(isDrifting(driftOf({ ...measured, width: '22.5' }, { width: 225, height: 244, rows: 44 }, 'cm'))).toBe(
      false,
    );
  });
});
