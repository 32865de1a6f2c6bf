import type { DrawerYarn } from '@puntada/core/records';
import { emptyYarn, firstProblems, readYarn, toValues } from './yarnForm.ts';

const kelp: DrawerYarn = {
  format: 'puntada-yarn',
  version: 1,
  line: 'Skerry cotton',
  name: 'Kelp',
  shade: '#2f5a45',
  lot: '22',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
  balls: 2,
  parts: [44, 12.5],
  price: 3.2,
};

describe('a yarn in its form', () => {
  it('goes there and back without loss, with a label and without', () => {
    const lost = { ...kelp, ballMetres: undefined, ballGrams: undefined, price: undefined, parts: [] };
    for (const units of ['cm', 'in'] as const) {
      for (const yarn of [kelp, lost]) expect(readYarn(toValues(yarn, units), units).yarn).toEqual(yarn);
    }
  });

  it('takes numbers as people type them', () => {
    const read = readYarn({ ...toValues(kelp, 'cm'), ballMetres: '92,5', parts: '30,5 12' }, 'cm');
    expect([read.yarn?.ballMetres, read.yarn?.parts]).toEqual([92.5, [30.5, 12]]);
  });

  it('takes yards, ounces, a whole label, and weights with or without their unit', () => {
    const typed = (part: object, units: 'cm' | 'in' = 'cm') =>
      readYarn({ ...toValues(kelp, 'cm'), ...part }, units).yarn;
    // A yard is 0.9144 m, an ounce 28.3495 g.
    expect(typed({ ballMetres: '85 yd' })?.ballMetres).toBeCloseTo(77.724, 9);
    expect(typed({ ballMetres: '85' }, 'in')?.ballMetres).toBeCloseTo(77.724, 9);
    expect(typed({ ballGrams: '1.75 oz' })?.ballGrams).toBeCloseTo(49.6116, 3);
    expect(typed({ ballMetres: '50g/85m', ballGrams: '' })).toMatchObject({ ballMetres: 85, ballGrams: 50 });
    expect(typed({ ballMetres: '', ballGrams: '50 g = 93 yd' })?.ballMetres).toBeCloseTo(85.0392, 9);
    for (const parts of ['31 12.5', '31, 12.5', '31 g; 12.5 g', '31g 12,5g']) {
      expect(typed({ parts })?.parts).toEqual([31, 12.5]);
    }
  });

  it('says at each field what will not do', () => {
    expect(Object.keys(readYarn(emptyYarn, 'cm').wrong ?? {}).sort()).toEqual(['line', 'name']);
    const wrong =
      readYarn({ ...toValues(kelp, 'cm'), balls: '2.5', ballGrams: 'fifty', parts: '12 x' }, 'cm').wrong ?? {};
    expect(wrong.balls).toContain('not a whole number');
    expect(wrong.ballGrams).toContain('is not a number');
    expect(wrong.parts).toContain('is not a number');
  });

  it('shows the first few problems of a table only', () => {
    const problem = { code: 'field-wrong', path: 'line 2', message: 'That is wrong.', hint: 'Mend it.' } as const;
    expect(firstProblems(new Array(9).fill(problem))).toHaveLength(6);
  });
});
