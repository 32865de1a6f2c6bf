import { sampleWish } from '../../../test/sampleWish.ts';
import type { Wish } from '../../records/wish.ts';
import { type CountedProject, setTotals } from './totals.ts';

const [oat, ferry] = sampleWish().yarns as [Wish['yarns'][number], Wish['yarns'][number]];
const about = (mid: number) => ({ low: mid - 2, mid, high: mid + 4 });

/** A project in oat and another yarn. */
function project(name: string, items: number, part?: 'front' | 'back'): CountedProject {
  const set = { id: '0b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', title: 'Fair', ...(part ? { part } : {}) };
  const wish = { ...sampleWish(), set, yarns: [oat, { ...ferry, name }] };
  const yarn = [
    { metres: about(34), grams: about(20) },
    { metres: about(17), grams: about(10) },
  ];
  return { wish, items, yarn, time: about(5400) };
}

describe('what a set takes', () => {
  it('three cloths in two projects: 68 m of the oat that they share, 17 of each other, 60 g of 52 to 76, three hours', () => {
    const { items, yarns, grams, gramsEach, seconds } = setTotals([project('Teal', 2), project('Plum', 1)]);
    expect(items).toBe(3);
    expect(yarns.map(({ yarn, metres }) => [yarn.name, metres])).toEqual([
      ['Oat', 68],
      ['Teal', 17],
      ['Plum', 17],
    ]);
    // Four yarns, each 2 g less at least and 4 more at most.
    expect(grams).toMatchObject({ low: 52, mid: 60, high: 76 });
    expect(gramsEach.mid).toBeCloseTo(20, 9);
    expect(seconds).toBe(2 * 5400);
  });

  it('a back is half of an item, and one that is not counted yet takes nothing', () => {
    const { items, yarns } = setTotals([project('Teal', 2, 'front'), project('Teal', 2, 'back')]);
    expect([items, yarns.map(({ metres }) => metres)]).toEqual([2, [68, 34]]);
    expect(setTotals([])).toMatchObject({ items: 1, yarns: [], seconds: 0 });
  });
});
