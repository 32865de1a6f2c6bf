import fc from 'fast-check';
import type { Act } from '../../craft/stitches/acts.ts';
import { type Handwork, handworkOf, secondsIn } from './hours.ts';
import { type ClockedStep, type OwnPace, paceOf, secondsBy, secondsEach, unknownPace } from './ownPace.ts';

const work = (parts: Partial<Record<Act, number>>): Handwork => new Map(Object.entries(parts) as [Act, number][]);
const step = (seconds: number, parts: Partial<Record<Act, number>>): ClockedStep => ({ seconds, work: work(parts) });
const factor = (pace: OwnPace, act: Act) => pace.acts.find((each) => each.act === act)?.factor;

describe('the pace of one hand, by what it does', () => {
  it('a minute of sc that took a minute and one of dc that took a minute and a half', () => {
    const pace = paceOf([[step(60, { sc: 60 }), step(90, { dc: 60 })]]);
    // 150 s for 120: the evening takes 1.25 of the steady time, so the steps read 0.8 and 1.2. A minute's reading has
    // the variance 0.35² = 0.1225 against 0.15² = 0.0225 before: a weight of 0.15517.
    expect(factor(pace, 'sc')).toBeCloseTo(1 - 0.2 * 0.15517, 4);
    expect(factor(pace, 'dc')).toBeCloseTo(1 + 0.2 * 0.15517, 4);
    // √(0.0225 × 0.84483)
    expect(pace.acts.map(({ sd, share }) => [sd.toFixed(4), share])).toEqual([
      ['0.1379', 0.5],
      ['0.1379', 0.5],
    ]);
    // The whole hand as before: one evening weighs 0.04 ÷ (0.04 + 0.0625) = 0.39024.
    expect(pace.ratio).toBeCloseTo(1.25 ** 0.39024, 4);
  });

  it('a step in which both were worked tells of their sum', () => {
    const pace = paceOf([[step(60, { sc: 30, dc: 30 }), step(120, { sc: 90 })]]);
    // 180 s for 150: 1.2. The first reads 60 ÷ 72 = 0.8333; reach 0.01125 each, variance 0.01125 + 0.1225 = 0.13375:
    // both fall by 0.084112 × 0.16667 to 0.985981, the variance to 0.0225 − 0.000946, the covariance to −0.000946.
    // The second reads 120 ÷ 108 = 1.1111 of sc alone, error 0.1225 × 60 ÷ 90 = 0.081667, variance 0.103220:
    // sc rises by 0.021554 ÷ 0.103220 × 0.125130 to 1.012110, dc by −0.000946 ÷ 0.103220 × 0.125130 to 0.984834.
    // Together they are one: 0.8 × 1.012110 + 0.2 × 0.984834 = 1.006655.
    expect(factor(pace, 'sc')).toBeCloseTo(1.01211 / 1.006655, 4);
    expect(factor(pace, 'dc')).toBeCloseTo(0.984834 / 1.006655, 4);
  });

  it('a step in which somebody rang tells nothing of the stitches', () => {
    const quiet = [step(100, { sc: 100 }), step(100, { dc: 100 })];
    const rung = paceOf([[...quiet, step(100, { sc: 100 }), step(900, { dc: 100 })]]);
    expect(factor(rung, 'dc')).toBeCloseTo(1, 9);
    expect(factor(rung, 'sc')).toBeCloseTo(1, 9);
    // Nor do two rows that were told together after one long silence.
    const late = paceOf([[...quiet, step(195, { sc: 100 }), step(5, { dc: 100 })]]);
    expect(factor(late, 'sc')).toBeGreaterThan(1);
    expect(factor(late, 'dc')).toBeCloseTo(2 - (factor(late, 'sc') ?? 0), 9);
  });

  it('finds a hand that is quick at sc and slow at dc, whatever it was taken for at first', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.75, max: 1.3, noNaN: true }),
        fc.double({ min: 0.6, max: 1.8, noNaN: true }),
        (slower, hand) => {
          const rows = Array.from({ length: 200 }, (_, row) =>
            row % 2 ? step(hand * 150, { sc: 150 }) : step(hand * slower * 230, { dc: 230 }),
          );
          const pace = paceOf([rows]);
          const ratio = (factor(pace, 'dc') ?? 0) / (factor(pace, 'sc') ?? 1);
          expect(Math.abs(Math.log(ratio / slower))).toBeLessThan(0.05);
        },
      ),
    );
  });

  it('learns from steps that are alike together what it learns from each of them', () => {
    const kinds = [work({ sc: 40, turn: 4 }), work({ sc: 20, dc: 30 }), work({ dc: 80, turn: 4 })];
    const evening = fc.array(fc.tuple(fc.nat(2), fc.integer({ min: 40, max: 160 })), { minLength: 5, maxLength: 30 });
    fc.assert(
      fc.property(fc.array(evening, { minLength: 1, maxLength: 4 }), (evenings) => {
        const paceWith = (workOf: (kind: number) => Handwork) =>
          paceOf(evenings.map((steps) => steps.map(([kind, seconds]) => ({ seconds, work: workOf(kind) }))));
        const shared = paceWith((kind) => kinds[kind] as Handwork);
        const apart = paceWith((kind) => new Map(kinds[kind]));
        expect(shared.ratio).toBeCloseTo(apart.ratio, 9);
        for (const { act, factor, sd, share } of apart.acts) {
          const own = shared.acts.find((each) => each.act === act);
          for (const [one, other] of [
            [own?.factor, factor],
            [own?.sd, sd],
            [own?.share, share],
          ]) {
            expect(one).toBeCloseTo(other as number, 7);
          }
        }
      }),
    );
  });

  it('takes for what was clocked as long as the whole hand says, however it is divided', () => {
    // Steps so far apart that one thing would seem to take a quarter of its time, the least that is believed.
    const farApart: { parts: [Act, number][]; pace: number }[][] = [
      [
        {
          parts: [
            ['sc', 113],
            ['turn', 143],
          ],
          pace: 0.5,
        },
        { parts: [['change', 5]], pace: 0.651597119185302 },
        { parts: [['sc', 157]], pace: 1.954746136881992 },
      ],
      [
        {
          parts: [
            ['dc', 220],
            ['sc', 300],
            ['change', 296],
          ],
          pace: 1.999999999999972,
        },
        {
          parts: [
            ['sc', 42],
            ['change', 287],
            ['dc', 93],
            ['turn', 272],
          ],
          pace: 0.5,
        },
        {
          parts: [
            ['dc', 69],
            ['turn', 179],
            ['sc', 262],
          ],
          pace: 0.6666666666666575,
        },
        {
          parts: [
            ['sc', 185],
            ['turn', 176],
          ],
          pace: 0.5,
        },
      ],
    ];
    const act = fc.constantFrom<Act>('sc', 'dc', 'hdc', 'turn', 'change');
    const clocked = fc.record({
      parts: fc.uniqueArray(fc.tuple(act, fc.integer({ min: 5, max: 300 })), { minLength: 1, selector: ([a]) => a }),
      pace: fc.double({ min: 0.5, max: 2, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(fc.array(clocked, { minLength: 3, maxLength: 12 }), { maxLength: 5 }), (evenings) => {
        const steps = evenings.map((evening) =>
          evening.map(({ parts, pace }) => {
            const done = new Map(parts);
            return { seconds: pace * secondsIn(done), work: done };
          }),
        );
        const long = steps.filter(
          (evening) =>
            evening.reduce((sum, each) => sum + each.seconds, 0) > 60 &&
            evening.reduce((sum, each) => sum + secondsIn(each.work), 0) > 60,
        );
        const pace = paceOf(steps);
        const all = handworkOf(long.flat().map((each) => [each.work, 1]));
        expect(secondsBy(pace, all).mid).toBeCloseTo(pace.ratio * secondsIn(all), 6);
      }),
      { examples: [[farApart]] },
    );
  });

  it('is told from what was known before, and before anything it is a steady hand', () => {
    const before: OwnPace = { ratio: 0.8, sd: 0.05, acts: [{ act: 'sc', factor: 1.1, sd: 0.02, share: 1 }] };
    expect(paceOf([], before)).toBe(before);
    const { ratio, sd, acts } = paceOf([[step(120, { sc: 120 })]], before);
    // 0.0025 ÷ (0.0025 + 0.0625) = 0.03846 of the way from 0.8 to 1.
    expect(ratio).toBeCloseTo(0.8 ** (1 - 0.0384615), 6);
    expect(sd).toBeLessThan(before.sd);
    // Alone it is the whole hand.
    expect(acts).toMatchObject([{ act: 'sc', factor: 1, share: 1 }]);
    const steady = secondsBy(unknownPace, work({ sc: 100, end: 150 }));
    expect(steady).toMatchObject({ mid: 250, source: 'typical' });
    expect(Math.log(steady.high / steady.mid)).toBeCloseTo(1.6449 * 0.2, 9);
  });

  it('is less sure of work that was not clocked', () => {
    const pace = paceOf([[step(600, { sc: 600 }), step(600, { sc: 600 })]]);
    const width = (parts: Partial<Record<Act, number>>) => {
      const { low, high } = secondsBy(pace, work(parts));
      return high / low;
    };
    expect(width({ sc: 100, dc: 100 })).toBeGreaterThan(width({ sc: 200 }));
    expect(width({ dc: 200 })).toBeGreaterThan(width({ sc: 100, dc: 100 }));
  });

  it('tells the seconds of one stitch beside those of a steady hand', () => {
    const sc = { act: 'sc', factor: 0.9, sd: 0.09, share: 0.8 } as const;
    const { own, steady } = secondsEach({ ratio: 1.2, sd: 0.1, acts: [sc] }, sc);
    expect(steady).toBe(3);
    expect(own.mid).toBeCloseTo(3.24, 9);
    expect(Math.log(own.high / own.mid)).toBeCloseTo(1.6449 * Math.hypot(0.1, 0.1), 9);
    const end = secondsEach(unknownPace, { act: 'end', factor: 1, sd: 0, share: 0 });
    expect(end.steady).toBe(150);
  });
});
