import { makingsOf, patternBook } from '@puntada/core/craft';
import { itemKinds, planWish } from '@puntada/core/plan';
import { type Wish, wishSchema } from '@puntada/core/records';
import fc from 'fast-check';
import type { Reading } from './shown.ts';

/** One project that a maker may think of, and how that maker reads. */
export interface Trial {
  readonly wish: Wish;
  readonly reading: Reading;
}

/** Any pattern of the book made in any way that it can be. */
const made = patternBook.flatMap((pattern) => {
  const rounds = makingsOf(pattern.technique).filter((each) => each === 'rounds' || each === 'turned-rounds');
  return [undefined, ...rounds.filter((each) => each !== pattern.made)].map((round) => ({ pattern, round }));
});

/** Projects at random: pattern, making, item, size, ending, idle yarn, border, closing row, pieces, units, terms and hand. */
export const trials = fc
  .record({
    which: fc.nat({ max: made.length - 1 }),
    item: fc.constantFrom(...itemKinds.map(({ item }) => item)),
    wide: fc.integer({ min: 2, max: 4 }),
    high: fc.integer({ min: 1, max: 2 }),
    policy: fc.constantFrom('carry-always' as const, 'as-needed' as const, 'cut-always' as const, 'side-only' as const),
    edges: fc.constantFrom('whole' as const, 'mirrored' as const),
    border: fc.integer({ min: 0, max: 3 }),
    borderIn: fc.constantFrom('A', 'B'),
    envelope: fc.boolean(),
    closing: fc.boolean(),
    locked: fc.boolean(),
    pieces: fc.constantFrom(1, 1, 2, 3),
    mouth: fc.boolean(),
    seam: fc.constantFrom('sc' as const, 'slip stitch' as const, 'whipped' as const),
    units: fc.constantFrom('cm' as const, 'in' as const),
    terms: fc.constantFrom('US' as const, 'UK' as const),
    hand: fc.constantFrom('right' as const, 'left' as const),
  })
  .map((drawn): Trial | undefined => {
    const { pattern, round } = made[drawn.which] as (typeof made)[number];
    const colours = pattern.colours;
    const second = colours[1] === undefined ? 'A' : drawn.borderIn;
    const wish = wishSchema.safeParse({
      title: pattern.name,
      item: drawn.item,
      units: drawn.units,
      width: { by: 'repeats', count: drawn.wide },
      height: { by: 'repeats', count: pattern.made === 'netted' ? drawn.high + 2 : drawn.high },
      pattern: { key: pattern.key, ...(round ? { made: round } : {}) },
      edges: drawn.edges,
      ending: 'any',
      policy: drawn.policy,
      gauge: { from: 'typical' },
      pieces: drawn.pieces,
      ...(drawn.border ? { border: { rounds: drawn.border, colour: second, envelope: drawn.envelope } } : {}),
      closing: drawn.closing,
      ...(drawn.locked ? { lastLoop: 'locked' } : {}),
      finish: { seam: drawn.seam, ...(drawn.mouth ? { mouth: { eyelets: true } } : {}) },
      yarns: colours.map((letter) => ({
        letter,
        name: `Yarn ${letter}`,
        shade: '#888888',
        weight: 4,
        fibre: 'cotton',
      })),
    });
    if (!wish.success || !planWish(wish.data).ok) return undefined;
    const { units, terms, hand } = drawn;
    return { wish: wish.data, reading: { units, terms, hand } };
  });
