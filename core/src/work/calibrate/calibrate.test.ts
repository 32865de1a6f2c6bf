import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { type Belief, firstBelief, isDoubtful, learn, weightOf } from '../../craft/values/belief.ts';
import { forecastError } from '../../craft/values/forecast.ts';
import { must } from '../../craft/values/problem.ts';
import { yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { ballsSd, chanceOf, remaining, runsOutAt, usableMetres } from '../../plan/measure/remaining.ts';
import { weighedBall, weighedSwatch } from './readings.ts';

/** Worsted: 14 × 16 sc to 10 cm, 2 mm, 1.95 m a gram. */
const size = { width: 100 / 14, height: 6.25, diameter: 2 };
const sc = yarnInStitch('sc', size) / 1000;
const chain = yarnInStitch('ch', size) / 1000;
const metresPerGram = 1.95;
const first = firstBelief('measured');

/** A swatch of 20 × 24 sc with 21 + 23 chains, weighed as 13 g on a kitchen scale. */
const predicted = 20 * 24 * sc + 44 * chain;
const swatch = { grams: 13, scale: 1, metresPerGram, tails: 0.3, predicted };
const swatchReading = must(weighedSwatch(swatch));
const afterSwatch = learn(first, swatchReading);

describe('a weighed swatch', () => {
  it('on a kitchen scale', () => {
    expect(predicted).toBeCloseTo(23.73, 2);
    expect(first.sd).toBeCloseTo(0.114, 4);
    expect(swatchReading.ratio).toBeCloseTo(0.0542, 4);
    expect(swatchReading.error).toBeCloseTo(0.0598, 4);
    expect(weightOf(first, swatchReading)).toBeCloseTo(0.784, 3);
    expect(afterSwatch.mean).toBeCloseTo(0.0425, 4);
    expect(afterSwatch.sd).toBeCloseTo(0.0529, 4);
    expect(Math.exp(afterSwatch.mean)).toBeCloseTo(1.0434, 4);
    expect(forecastError(afterSwatch)).toBeCloseTo(0.0566, 4);
  });

  it('on a scale that reads to a tenth of a gram', () => {
    const reading = must(weighedSwatch({ ...swatch, grams: 12.7, scale: 0.1 }));
    expect(reading.ratio).toBeCloseTo(0.0306, 4);
    expect(reading.error).toBeCloseTo(0.0403, 4);
    const after = learn(first, reading);
    expect(weightOf(first, reading)).toBeCloseTo(0.889, 3);
    expect([after.mean, after.sd].map((value) => value.toFixed(4))).toEqual(['0.0272', '0.0380']);
    expect(forecastError(after)).toBeCloseTo(0.0429, 4);
  });

  it('from the table’s gauge less is known to begin with', () => {
    expect(forecastError(firstBelief('typical'))).toBeCloseTo(0.153, 3);
    expect(forecastError(first)).toBeCloseTo(0.116, 3);
  });
});

describe('a ball weighed on the way', () => {
  const reading = must(
    weighedBall({ before: 100, after: 37, scale: 1, metresPerGram, tails: 0.15, predicted: 2450 * sc }),
  );
  const after = learn(afterSwatch, reading);

  it('after 2450 sc', () => {
    expect(2450 * sc).toBeCloseTo(115.85, 2);
    expect(reading.ratio).toBeCloseTo(0.0574, 4);
    expect(reading.error).toBeCloseTo(0.0238, 4);
    expect(weightOf(afterSwatch, reading)).toBeCloseTo(0.831, 3);
    expect(after.mean).toBeCloseTo(0.0549, 4);
    expect(after.sd).toBeCloseTo(0.0217, 4);
    expect(forecastError(after)).toBeCloseTo(0.0295, 4);
  });

  const left = 7000 * sc;
  const balls = { partGrams: 37, scale: 1, newBalls: 3, ballGrams: 50, metresPerGram };

  it('7000 sc are left: what they take', () => {
    const forecast = remaining(left, after);
    expect(left).toBeCloseTo(331, 1);
    expect(forecast.low).toBeCloseTo(333.1, 1);
    expect(forecast.high).toBeCloseTo(367.1, 1);
    expect(forecast.mid).toBeCloseTo(349.7, 1);
    expect(forecast.mean).toBeCloseTo(349.8, 1);
  });

  it('37 g and three balls are likely but not surely enough; two are not', () => {
    expect(usableMetres(balls)).toBeCloseTo(362.7, 2);
    expect(ballsSd(balls)).toBeCloseTo(0.0076, 4);
    expect(chanceOf(balls, left, after)).toBeCloseTo(0.884, 3);
    expect(chanceOf({ ...balls, newBalls: 2 }, left, after)).toBeCloseTo(0, 3);
  });

  it('where the 37 g end: between row 11 and row 13 of 126 stitches', () => {
    const part = { ...balls, newBalls: 0 };
    expect(usableMetres(part)).toBeCloseTo(72, 2);
    expect(ballsSd(part)).toBeCloseTo(0.0156, 4);
    const end = runsOutAt(part, after);
    expect(Math.floor(end.mid / sc)).toBe(1441);
    expect(Math.round(end.low / sc)).toBe(1364);
    expect(Math.round(end.high / sc)).toBe(1523);
    expect(Math.floor(end.low / sc / 126)).toBe(10);
    expect(Math.ceil(end.high / sc / 126)).toBe(13);
  });

  it('a label’s weight is less sure than a reading', () => {
    const label = must(
      weighedBall({
        before: 100,
        beforeIsLabel: true,
        after: 37,
        scale: 1,
        metresPerGram,
        tails: 0.15,
        predicted: 2450 * sc,
      }),
    );
    // 2 % of 100 g, and 1/√3 g of the other reading, over 63 g.
    expect(label.error).toBeCloseTo(Math.hypot(Math.hypot(2, 1 / Math.sqrt(3)) / 63, 0.02), 9);
  });
});

describe('readings that cannot be', () => {
  const ball = { before: 100, after: 37, scale: 1, metresPerGram, tails: 0.15, predicted: 100 };
  it.each([
    ['a swatch lighter than the scale can tell', weighedSwatch({ ...swatch, grams: 2 })],
    ['a swatch of nothing but tails', weighedSwatch({ ...swatch, tails: 40 })],
    ['nothing worked', weighedSwatch({ ...swatch, predicted: 0 })],
    ['a ball that grew', weighedBall({ ...ball, after: 101 })],
    ['a difference lost in the scale', weighedBall({ ...ball, after: 98 })],
  ])('%s is refused with a sentence and a hint', (_what, reading) => {
    expect(reading.ok).toBe(false);
    if (!reading.ok) expect(told(reading.problems[0]).hint.length).toBeGreaterThan(10);
  });

  it('one that is far off is asked about, not swallowed', () => {
    expect(isDoubtful(first, { ratio: Math.log(2), error: 0.05 })).toBe(true);
    expect(isDoubtful(first, swatchReading)).toBe(false);
  });
});

describe('the laws of learning', () => {
  const belief = fc.record({
    mean: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
    sd: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
  });
  const reading = fc.record({
    ratio: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
    error: fc.double({ min: 0.005, max: 0.3, noNaN: true }),
  });

  it('a reading always narrows, and draws the mean towards itself', () => {
    fc.assert(
      fc.property(belief, reading, (known: Belief, read) => {
        const after = learn(known, read);
        expect(after.sd).toBeLessThan(known.sd);
        expect(Math.abs(after.mean - read.ratio)).toBeLessThanOrEqual(Math.abs(known.mean - read.ratio) + 1e-12);
      }),
    );
  });

  it('two readings come to the same in either order', () => {
    fc.assert(
      fc.property(belief, reading, reading, (known, a, b) => {
        const ab = learn(learn(known, a), b);
        const ba = learn(learn(known, b), a);
        expect(ab.mean).toBeCloseTo(ba.mean, 10);
        expect(ab.sd).toBeCloseTo(ba.sd, 10);
      }),
    );
  });
});
