import fc from 'fast-check';
import { type Costs, materialsOf, pricesOf } from './price.ts';

/** 31 m of A and 36 m of B from balls of 85 m at 3.40: 4 cents a metre; a label for 0.20; an hour and a half at 12. */
const cloth: Costs = {
  yarn: [
    { letter: 'A', metres: 31, perMetre: 3.4 / 85 },
    { letter: 'B', metres: 36, perMetre: 3.4 / 85 },
  ],
  extras: [0.2],
  hours: 1.5,
  rate: 12,
};

describe('a price', () => {
  it('of a cloth: 67 m at 4 cents and a label are 2.88; three ways, and what an hour earns at each', () => {
    // 67 × 0.04 = 2.68.
    expect(materialsOf(cloth).money).toBeCloseTo(2.88, 9);
    const [hours, materials, asked] = pricesOf(cloth, 15);
    // 2.88 + 18 = 20.88, by which the hour earns its 12.
    expect([hours?.price, hours?.hour]).toEqual([expect.closeTo(20.88, 9), expect.closeTo(12, 9)]);
    // 3 × 2.88 = 8.64; 5.76 over an hour and a half are 3.84 an hour.
    expect([materials?.price, materials?.hour]).toEqual([expect.closeTo(8.64, 9), expect.closeTo(3.84, 9)]);
    // 12.12 / 1.5 = 8.08.
    expect([asked?.price, asked?.hour]).toEqual([15, expect.closeTo(8.08, 9)]);
  });

  it('says whose price is not known, and nothing of an hour where there is none', () => {
    const part = { ...cloth, yarn: [{ letter: 'B', metres: 36, perMetre: undefined }] };
    expect(materialsOf(part)).toEqual({ money: 0.2, unknown: ['B'] });
    expect(pricesOf({ ...cloth, hours: 0 }, undefined).map(({ hour }) => hour)).toEqual([undefined, undefined]);
  });

  it('grows with every cost, and its hours add up to what is left over materials', () => {
    const money = fc.double({ min: 0, max: 200, noNaN: true });
    fc.assert(
      fc.property(money, money, fc.double({ min: 0.1, max: 80, noNaN: true }), money, (extra, rate, hours, asked) => {
        const costs = { ...cloth, extras: [extra], rate, hours };
        const { money: spent } = materialsOf(costs);
        for (const { price, hour } of pricesOf(costs, asked)) {
          expect((hour as number) * hours + spent).toBeCloseTo(price, 6);
        }
        expect(pricesOf({ ...costs, extras: [extra + 1] }, asked)[0]?.price).toBeCloseTo(
          (pricesOf(costs, asked)[0]?.price ?? 0) + 1,
          6,
        );
      }),
    );
  });
});
