import fc from 'fast-check';
import { patternBook } from '../book/book.ts';
import { bindPattern } from '../notation/bind.ts';
import { printPattern } from '../notation/print.ts';
import { readPattern } from '../notation/read.ts';
import { must } from '../values/problem.ts';
import {
  beginWheel,
  mostRounds,
  mostWedges,
  patternOfWheel,
  type Wheel,
  wedgeStitches,
  wheelOf,
  wheelProblems,
  withWedges,
} from './wheel.ts';

const wheels = patternBook.filter(({ technique }) => technique === 'wedge-circle');

const anyWheel = fc
  .record({
    wedges: fc.array(fc.constantFrom('A', 'B', 'C', 'D'), { minLength: 2, maxLength: mostWedges }),
    grows: fc.array(fc.boolean(), { minLength: 1, maxLength: mostRounds }),
    usual: fc.integer({ min: 6, max: 36 }),
  })
  .map(({ wedges, grows, usual }): Wheel => {
    const wheel = beginWheel('own', 'Own');
    return withWedges({ ...wheel, grows, around: { ...wheel.around, usual } }, wedges);
  });

describe('a wheel', () => {
  it('of the book goes to the desk and back as it was', () => {
    expect(wheels.length).toBeGreaterThan(1);
    for (const pattern of wheels) expect(patternOfWheel(must(wheelOf(pattern)))).toEqual(pattern);
  });

  it('drawn, written and read again is the same', () => {
    fc.assert(
      fc.property(anyWheel, (wheel) => {
        const text = printPattern(patternOfWheel(wheel));
        expect(must(wheelOf(must(readPattern(text))))).toEqual(wheel);
      }),
    );
  });

  it('that has nothing in its way binds, and its wedges go round whole', () => {
    fc.assert(
      fc.property(anyWheel, (wheel) => {
        expect(wheel.around.usual % wheel.wedges.length).toBe(0);
        const open = wheelProblems(wheel);
        const cyclic = wheel.wedges.some((letter, i) => letter === wheel.wedges[(i + 1) % wheel.wedges.length]);
        expect(open.some(({ code }) => code === 'wedges-alike')).toBe(cyclic);
        if (!open.length) expect(bindPattern(patternOfWheel(wheel)).ok).toBe(true);
      }),
    );
  });

  it('says why it cannot be worked', () => {
    const wheel = beginWheel('own', 'Own');
    const codes = (change: Partial<Wheel>) => wheelProblems({ ...wheel, ...change }).map(({ code }) => code);
    expect(codes({})).toEqual([]);
    expect(codes({ wedges: ['A', 'B', 'B'] })).toEqual(['wedges-alike']);
    expect(codes({ wedges: ['A'] })).toEqual(['wedges-one']);
    expect(codes({ grows: [false, false] })).toEqual(['wedges-never-grow']);
    expect(codes({ around: { usual: 13, least: 6, most: 36 } })).toEqual(['wedges-not-divided']);
  });

  it('grows by a stitch a wedge in each round that grows', () => {
    // Three rounds that grow and a plain one: 1, then 2 3 4, 4, then 5 6 7, 7.
    expect(wedgeStitches({ grows: [true, true, true, false] }, 9)).toEqual([1, 2, 3, 4, 4, 5, 6, 7, 7]);
  });
});
