import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { wishSchema } from '../../records/wish.ts';
import { colourwaysOf, filled, fillings, itemsOfOneYarn, togetherWith, wishesOfSet } from './colourways.ts';

const set = { id: '1b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', title: 'Market cloths' };
const cloths = { ...set, panels: 1 } as const;
const wish = sampleWish({});
const yarn = (name: string, shade: string) => ({ ...(wish.yarns[0] as (typeof wish.yarns)[number]), name, shade });
const palette = [yarn('Chalk', '#f4f1ea'), yarn('Rust', '#a5562c'), yarn('Teal', '#1f6f78'), yarn('Plum', '#6b2f55')];

describe('a set in several colours', () => {
  it('is filled at once: five cloths of two colours, of four yarns', () => {
    expect(filled('alike', 5, 2, 4)).toEqual([
      [0, 1],
      [0, 1],
      [0, 1],
      [0, 1],
      [0, 1],
    ]);
    expect(filled('swap', 5, 2, 4)).toEqual([
      [0, 1],
      [1, 0],
      [0, 1],
      [1, 0],
      [0, 1],
    ]);
    expect(filled('rotate', 5, 2, 4)).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
      [3, 0],
      [0, 1],
    ]);
    // The first is shared by all.
    expect(filled('rotate-others', 5, 2, 4)).toEqual([
      [0, 1],
      [0, 2],
      [0, 3],
      [0, 1],
      [0, 2],
    ]);
    expect(filled('rotate-others', 2, 3, 3)).toEqual([
      [0, 1, 2],
      [0, 2, 1],
    ]);
  });

  it('never takes one yarn for two colours, however it is filled, and takes every item once', () => {
    const sizes = fc.tuple(
      fc.constantFrom(...fillings),
      fc.integer({ min: 1, max: 99 }),
      fc.integer({ min: 2, max: 6 }),
    );
    fc.assert(
      fc.property(sizes, fc.nat(5), ([how, items, colours], more) => {
        const colouring = filled(how, items, colours, colours + more);
        expect(itemsOfOneYarn(colouring)).toEqual([]);
        const ways = colourwaysOf(colouring);
        expect(ways.flatMap((way) => way.items).sort((a, b) => a - b)).toEqual(
          Array.from({ length: items }, (_, i) => i),
        );
        for (const way of ways) for (const item of way.items) expect(colouring[item]).toEqual(way.yarns);
      }),
    );
  });

  it('is one wish for each colourway: five cloths in three, which share one yarn', () => {
    const wishes = wishesOfSet(wish, cloths, palette, filled('rotate-others', 5, 2, 4));
    expect(
      wishes.map(({ title, pieces, yarns }) => [title, pieces, yarns.map((each) => `${each.letter} ${each.name}`)]),
    ).toEqual([
      ['Market cloths: Rust', 2, ['A Chalk', 'B Rust']],
      ['Market cloths: Teal', 2, ['A Chalk', 'B Teal']],
      ['Market cloths: Plum', 1, ['A Chalk', 'B Plum']],
    ]);
    for (const each of wishes) {
      expect([wishSchema.safeParse(each).success, planWish(each).ok, each.set]).toEqual([true, true, set]);
    }
    const [one, other] = wishesOfSet(wish, { ...cloths, panels: 2 }, palette, filled('swap', 4, 2, 2));
    expect([one?.title, one?.pieces, other?.title]).toEqual([
      'Market cloths: Chalk on Rust',
      4,
      'Market cloths: Rust on Chalk',
    ]);
    const long = wishesOfSet(
      wish,
      { ...cloths, title: 'W'.repeat(80) },
      [yarn('X'.repeat(60), '#123456'), ...palette],
      [
        [0, 1],
        [2, 1],
      ],
    );
    for (const each of long) expect(wishSchema.safeParse(each).success).toBe(true);
    expect(
      wishesOfSet(wish, cloths, palette, filled('alike', 3, 2, 2)).map(({ title, pieces }) => [title, pieces]),
    ).toEqual([['Market cloths', 3]]);
  });

  it('has what is set aside of a yarn once, however many of it share that yarn', () => {
    const aside = palette.map((each) => ({ ...each, balls: 2, partGrams: 20 }));
    const wishes = wishesOfSet(wish, cloths, aside, filled('rotate-others', 5, 2, 4));
    expect(wishes.map(({ yarns }) => yarns.map(({ balls, partGrams }) => [balls, partGrams]))).toEqual([
      [
        [2, 20],
        [2, 20],
      ],
      [
        [undefined, undefined],
        [2, 20],
      ],
      [
        [undefined, undefined],
        [2, 20],
      ],
    ]);
  });

  it('is a project an item where they are to be worked by turns, each told by its number where it must', () => {
    const apart = { ...cloths, apart: true };
    const titles = (how: Parameters<typeof filled>[0]) =>
      wishesOfSet(wish, apart, palette, filled(how, 3, 2, 3)).map(({ title, pieces }) => [title, pieces]);
    expect(titles('alike')).toEqual([
      ['Market cloths: 1', 1],
      ['Market cloths: 2', 1],
      ['Market cloths: 3', 1],
    ]);
    expect(titles('rotate-others')).toEqual([
      ['Market cloths: Rust 1', 1],
      ['Market cloths: Teal', 1],
      ['Market cloths: Rust 2', 1],
    ]);
  });

  it('is changed together, but for what is each one’s own', () => {
    const [one, other] = wishesOfSet(wish, cloths, palette, filled('rotate-others', 5, 2, 4));
    if (!one || !other) throw new Error('no set');
    const changed = { ...one, choice: { stitches: 36, rows: 44 }, closing: true };
    expect(togetherWith(changed, other)).toEqual({ ...other, choice: { stitches: 36, rows: 44 }, closing: true });
  });
});
