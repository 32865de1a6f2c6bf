import fc from 'fast-check';
import { type BallQuestion, chanceEnough, pooledQuestion } from '../../craft/values/forecast.ts';
import { printedWorking } from '../../words/workings/printed.ts';
import { buyingWorking, priceWorking, type ShoppingNeed, shoppingOf } from './shopping.ts';

/** Counted gauge, nothing weighed: 0.09, 0.07 and the drift of 0.02. */
const error = Math.hypot(0.09, 0.07, 0.02);

function question(metres: number, more: Partial<BallQuestion> = {}): BallQuestion {
  return { metres, error, ends: 2, ballGrams: 50, metresPerGram: 1.7, meterageError: 0.03, ...more };
}

function need(work: string, metres: number, more: Partial<ShoppingNeed> = {}): ShoppingNeed {
  const estimate = { low: 0.8 * metres, mid: metres, high: 1.2 * metres, source: 'typed' as const };
  return { work, letter: 'A', metres: estimate, question: question(metres), sure: 0.95, ...more };
}

const nothing = { balls: 0, grams: 0 };

describe('yarn that several projects share', () => {
  it('is added up as sums of unsure lengths are: worked by hand for 31 and 36 m', () => {
    // Variance of one: 0.09² + 0.07² = 0.013. Means: 31 e^0.0065 = 31.2021, 36 e^0.0065 = 36.2348, together 67.4369.
    // Their spread: 31.2021² (e^0.013 − 1) + 36.2348² (e^0.013 − 1) + 2 · 31.2021 · 36.2348 (e^0.0081 − 1)
    // = 12.7390 + 17.1796 + 18.3904 = 48.3090; of the sum ln(1 + 48.3090 ÷ 67.4369²) = 0.0105670.
    // Its median: 67.4369 e^(−0.0052835) = 67.0815; with the drift √(0.0105670 + 0.0004) = 0.104724.
    const pooled = pooledQuestion([question(31), question(36)]);
    expect(pooled.metres).toBeCloseTo(67.0815, 3);
    expect(pooled.error).toBeCloseTo(0.104724, 5);
    expect(pooled.ends).toBe(4);
    // One question alone is itself.
    const [alone, same] = [pooledQuestion([question(31)]), question(31)];
    expect(alone.metres).toBeCloseTo(same.metres, 9);
    expect(alone.error).toBeCloseTo(same.error, 9);
  });

  it('two cloths of 31 and 36 m are one ball of 85 m, with its chance; bought apart they would be two', () => {
    const needs = [need('Cloth one', 31), need('Cloth two', 36)];
    const found = shoppingOf(needs, nothing);
    expect(found?.buy).toBe(1);
    // 85 m less four tails of 15 cm are 84.4; ln(84.4 ÷ 67.0815) = 0.22965; √(0.104724² + 0.015² + 0.03²) = 0.10996;
    // 2.0885 spreads: 0.9816 of the bell lies below.
    expect(found?.chance).toBeCloseTo(0.9816, 3);
    const apart = needs.reduce((sum, each) => sum + (shoppingOf([each], nothing)?.buy ?? 0), 0);
    expect(apart).toBe(2);
  });

  it('what is at hand is used up first, and the first project that it would leave short is named', () => {
    const needs = [need('Cloth one', 31), need('Cloth two', 36), need('Bag', 60)];
    const found = shoppingOf(needs, { balls: 1, grams: 0 });
    expect(found?.firstShort?.work).toBe('Bag');
    expect(found?.buy).toBe(1);
    expect(shoppingOf(needs, { balls: 3, grams: 10 })).toMatchObject({ buy: 0, firstShort: undefined });
    // Whoever wants to be surest rules.
    expect(shoppingOf([need('Cloth one', 31), need('Cloth two', 36, { sure: 0.99 })], nothing)).toMatchObject({
      sure: 0.99,
      buy: 2,
    });
  });

  it('says nothing where a label is unknown', () => {
    const needs = [need('Cloth one', 31), need('Cloth two', 36, { question: undefined })];
    expect(shoppingOf(needs, nothing)).toBe(undefined);
    expect(buyingWorking(needs, nothing)).toBe(undefined);
  });

  it('its sum reads as on scrap paper', () => {
    const needs = [need('Cloth one', 34), need('Cloth two', 51)];
    const printed = (working: ReturnType<typeof buyingWorking>) => {
      const { parts, total } = printedWorking(working as never, 'cm', 'US');
      return [...parts.map(({ amount, text }) => `${amount} ${text}`), total.amount];
    };
    // 34 and 51 m of 85 m a ball: 0.4 and 0.6; two balls make it sure, and half a ball is there.
    expect(printed(buyingWorking(needs, { balls: 0, grams: 25 }))).toEqual([
      '0.4 Cloth one, A: 27–41 m',
      '0.6 Cloth two, A: 41–61 m',
      '0.5 more, so that it is enough 95 times in 100',
      '−0.5 that you have: 25 g opened',
      '1',
    ]);
    expect(printed(buyingWorking(needs, { balls: 3, grams: 0 }))).toEqual([
      '0.4 Cloth one, A: 27–41 m',
      '0.6 Cloth two, A: 41–61 m',
      '2 to spare',
      '−3 that you have: 3 balls',
      '0',
    ]);
    expect(printed(priceWorking(3, 4.5))).toEqual(['13.50 3 balls at 4.50', '13.50']);
  });

  it('shares never ask for more than each alone would, and more of anything never for less', () => {
    const lengths = fc.array(fc.double({ min: 5, max: 400, noNaN: true }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(lengths, fc.nat(3), fc.nat(49), (all, balls, grams) => {
        const needs = all.map((metres, i) => need(`Cloth ${i}`, metres));
        const found = shoppingOf(needs, { balls, grams });
        if (!found) throw new Error('no answer');
        expect(found.chance).toBeGreaterThanOrEqual(0.95);
        // A ball less would not do.
        const pooled = pooledQuestion(needs.map((each) => each.question as BallQuestion));
        if (found.buy) expect(chanceEnough(pooled, balls + found.buy - 1, grams)).toBeLessThan(0.95);
        expect(found.buy).toBeLessThanOrEqual(
          needs.reduce((sum, each) => sum + (shoppingOf([each], nothing)?.buy ?? 0), 0),
        );
        const { parts, total } = buyingWorking(needs, { balls, grams }) ?? { parts: [], total: { mid: Number.NaN } };
        expect(parts.reduce((sum, part) => sum + part.amount.mid, 0)).toBeCloseTo(total.mid, 9);
      }),
      { numRuns: 60 },
    );
  });
});
