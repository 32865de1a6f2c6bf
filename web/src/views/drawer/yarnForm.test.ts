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
    for (const yarn of [kelp, lost]) expect(readYarn(toValues(yarn)).yarn).toEqual(yarn);
  });

  it('takes numbers as people type them', () => {
    const read = readYarn({ ...toValues(kelp), ballMetres: '92,5', parts: '30,5 12' });
    expect([read.yarn?.ballMetres, read.yarn?.parts]).toEqual([92.5, [30.5, 12]]);
  });

  it('says at each field what will not do', () => {
    expect(Object.keys(readYarn(emptyYarn).wrong ?? {}).sort()).toEqual(['line', 'name']);
    const wrong = readYarn({ ...toValues(kelp), balls: '2.5', ballGrams: 'fifty', parts: '12 x' }).wrong ?? {};
    expect(wrong.balls).toContain('not a whole number');
    expect(wrong.ballGrams).toContain('is not a number');
    expect(wrong.parts).toContain('is not a number');
  });

  it('shows the first few problems of a table only', () => {
    const problem = { code: 'field-wrong', path: 'line 2', message: 'That is wrong.', hint: 'Mend it.' } as const;
    expect(firstProblems(new Array(9).fill(problem))).toHaveLength(6);
  });
});
