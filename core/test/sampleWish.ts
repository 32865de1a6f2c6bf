import type { StitchPattern } from '../src/craft/patterns/model.ts';
import { type Wish, type WishInput, wishSchema } from '../src/records/wish.ts';

/** A galley cloth as the tests wish for it: 24 × 24 cm, block check 4 × 4 in sc, 16 × 18 to 10 cm. */
export function sampleWish(change: Partial<WishInput> = {}): Wish {
  return wishSchema.parse({
    title: 'Galley cloth',
    item: 'dishcloth',
    width: { by: 'length', length: '24 cm' },
    height: { by: 'length', length: '24 cm' },
    pattern: { key: 'block-check', numbers: { b: 4, r: 4 } },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: [
      { letter: 'A', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 },
      { letter: 'B', name: 'Ferry blue', shade: '#24476b', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 },
    ],
    ...change,
  });
}

const fine = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 } as const;
const shades = ['#e9dfc4', '#24476b', '#8d2f3b', '#3b3b3b'];

/** The same wish in another pattern, at typical gauge, with a yarn for each of its colours. */
export function sampleIn(pattern: StitchPattern, change: Partial<WishInput> = {}): Wish {
  return sampleWish({
    pattern: { key: pattern.key },
    yarns: pattern.colours.map((letter, i) => ({
      ...fine,
      letter,
      name: `Yarn ${letter}`,
      shade: shades[i] ?? '#888888',
    })),
    gauge: { from: 'typical' },
    ...change,
  });
}
