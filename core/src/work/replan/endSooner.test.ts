import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { prepare } from '../../plan/wish/prepare.ts';

import { endSooner } from './endSooner.ts';

/** 36 stitches and 44 rows; a row takes 132 seconds, half a metre of A and a third of B. */
const each = (value: number) => new Array<number>(44).fill(value);
const costs = {
  cells: each(36),
  hands: [],
  seconds: each(132),
  metres: [each(0.5), each(0.3)],
  finish: [],
};
const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 }, ending: 'whole' });

describe('to end a piece at the last good place', () => {
  it('in the middle of row 19, whole bands of four: three rows less at 16, and what is done of row 19 comes out', () => {
    const found = endSooner(must(prepare(wish)), 36, costs, { rows: 18, runs: 3 }, 12);
    expect(found?.rows).toBe(16);
    expect([found?.out.rows, found?.out.cells]).toEqual([2, 2 * 36 + 12]);
    // Two whole rows and a third of one.
    expect(found?.out.seconds).toBeCloseTo(132 * (2 + 1 / 3), 9);
    expect(found?.out.metres[0]).toBeCloseTo(0.5 * (2 + 1 / 3), 9);
    // 28 rows of 10 cm / 18.
    expect(found?.shorter).toBeCloseTo((28 * 100) / 18, 6);
  });

  it('spares what was still to be worked from here: 26 rows less the third that is done', () => {
    const found = endSooner(must(prepare(wish)), 36, costs, { rows: 18, runs: 3 }, 12);
    expect(found?.spared.seconds).toBeCloseTo(132 * (26 - 1 / 3), 9);
    expect(found?.spared.metres[1]).toBeCloseTo(0.3 * (26 - 1 / 3), 9);
  });

  it('at a good place nothing whole comes out; before the first there is none', () => {
    expect(endSooner(must(prepare(wish)), 36, costs, { rows: 20, runs: 0 }, 0)?.out).toMatchObject({
      rows: 0,
      cells: 0,
      seconds: 0,
    });
    expect(endSooner(must(prepare(wish)), 36, costs, { rows: 3, runs: 1 }, 4)).toBeUndefined();
  });

  it('blocks on the diagonal do not end at a row', () => {
    const flags = sampleWish({ pattern: { key: 'signal-flag' }, edges: 'whole', ending: 'any' });
    expect(endSooner(must(prepare(flags)), 12, costs, { rows: 18, runs: 0 }, 0)).toBeUndefined();
  });
});
