import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import { itemKinds } from '../../plan/items/register.ts';
import { planWish } from '../../plan/piece/plan.ts';
import type { PrintedWorking } from '../../records/planDocument.ts';
import type { Wish, WishInput } from '../../records/wish.ts';
import { printedWorkings } from './printed.ts';

const label = { ballMetres: 85, ballGrams: 50, balls: 2, partGrams: 20 };

function printed(wish: Wish, terms: 'US' | 'UK' = 'US') {
  return printedWorkings(must(planWish(wish)), terms);
}

const lines = (working: PrintedWorking | undefined) =>
  working && [
    ...working.parts.map(({ text, amount, from }) => `${amount} ${text}${from ? ` (${from})` : ''}`),
    working.total.amount,
  ];

function labelled(change: Partial<WishInput> = {}): Wish {
  const wish = sampleWish(change);
  return { ...wish, yarns: wish.yarns.map((yarn) => ({ ...yarn, ...label })) };
}

describe('a working as it is shown', () => {
  it('reads as on scrap paper', () => {
    const { chains, stitches, rows, width, height } = printed(labelled());
    expect(lines(chains)).toEqual(['36 36 stitches', '1 more, to turn', '37']);
    expect(lines(stitches)).toEqual(['36 9 blocks × 4', '36']);
    expect(lines(rows)).toEqual(['44 11 bands × 4', '44']);
    expect(lines(width)).toEqual(['22.5 cm 36 stitches at 16 in 10 cm (your count)', '22.5 cm']);
    expect(lines(height)).toEqual(['24.4 cm 44 rows at 18 in 10 cm (your count)', '24.4 cm']);
  });

  it('tells a typical gauge as a range, and inches over 4 inches', () => {
    const typical = printed(labelled({ gauge: { from: 'typical' } })).width;
    expect(typical.parts[0]?.text).toMatch(/^\d+ stitches at \d+(\.\d)?–\d+(\.\d)? in 10 cm$/);
    expect(typical.parts[0]?.from).toBe('typical');
    const inches = printed(
      labelled({ units: 'in', width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } }),
    );
    // 16 in 10 cm are 16.256 in 4 in.
    expect(inches.width.parts[0]?.text).toBe('36 stitches at 16.3 in 4 in');
  });

  it('says what each ball and each end is for', () => {
    const { yarn, ends, time } = printed(labelled(), 'UK');
    const [a] = yarn;
    expect(a?.balls?.parts.map(({ text }) => text)).toEqual([
      expect.stringMatching(/^\d+–\d+ m, at 85 m per ball$/),
      'more, so that it is enough 95 times in 100',
    ]);
    expect(a?.drawer?.parts[0]?.text).toBe('2 balls of 85 m and an opened ball of 20 g');
    // Six bands with five blocks of A and five with four, four rows each: 6 · 4 · 20 + 5 · 4 · 16.
    expect(a?.metres.parts[0]?.text).toBe('800 stitches');
    expect(ends.parts.map(({ text }) => text)).toEqual(['A, Oat', 'B, Ferry blue']);
    expect(time.parts[0]?.text).toMatch(/^dc, 1584 times at 3(\.\d)? s$/);
  });

  it('has words for every part of every pattern and item', () => {
    const wishes = [
      ...patternBook.map((pattern) => sampleIn(pattern, { border: { rounds: 1 }, closing: true })),
      ...itemKinds.map(({ item }) => ({ ...labelled(), item })),
    ];
    let seen = 0;
    for (const wish of wishes) {
      const plan = planWish(wish);
      if (!plan.ok) continue;
      const { yarn, ...rest } = printedWorkings(plan.value, 'US');
      const all = [...Object.values(rest), ...yarn.flatMap(({ letter: _letter, ...own }) => Object.values(own))];
      for (const working of all as PrintedWorking[]) {
        expect(working.heading).toMatch(/^[A-Z]/);
        for (const { text, amount } of working.parts) {
          expect(`${amount} ${text}`).toMatch(/\w \S/);
          expect(`${amount} ${text}`).not.toMatch(/undefined|NaN|Infinity|^[a-z]+-[a-z]+$/);
          seen++;
        }
      }
    }
    expect(seen).toBeGreaterThan(500);
  });
});
