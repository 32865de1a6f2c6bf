import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { firstBelief } from '../../craft/values/belief.ts';
import { narrowing } from './narrowing.ts';

const yarn = {
  letter: 'A',
  name: 'Oat',
  shade: '#e9dfc4',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 100,
  ballGrams: 50,
  balls: 2,
} as const;
// Forty rows of 4 m by the rule: 160 m in all.
const metres = new Array<number>(40).fill(4);
const weighing = (rows: number, after: number) => sampleWeighing('A', rows, after);

describe('what is foretold narrows', () => {
  // 22 g of 2 m are 44 m after ten rows, a tenth more than the rule; 44 g are 88 m after twenty.
  const found = narrowing({
    yarn,
    metres,
    belief: firstBelief('typical'),
    weighings: [weighing(20, 6), weighing(10, 28)],
  });

  it('from weighing to weighing, in their order', () => {
    expect(found.map(({ row, used }) => [row, used])).toEqual([
      [0, undefined],
      [10, 44],
      [20, 88],
    ]);
    const widths = found.map(({ total }) => total.high - total.low);
    expect(widths[1]).toBeLessThan(widths[0] ?? 0);
    expect(widths[2]).toBeLessThan(widths[1] ?? 0);
  });

  it('towards what the hand really takes: before anything was weighed 160 m by the rule, then a tenth more', () => {
    expect(found[0]?.total.mid).toBeCloseTo(160, 6);
    expect(found[2]?.total.mid).toBeGreaterThan(170);
    expect(found[2]?.total.mid).toBeLessThan(177);
  });

  it('a weighing that cannot be is left out', () => {
    const wrong = { ...weighing(10, 60), before: 50 };
    expect(
      narrowing({ yarn, metres, belief: firstBelief('typical'), weighings: [wrong] }).map(({ row }) => row),
    ).toEqual([0]);
  });
});
