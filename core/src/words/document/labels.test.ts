import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { type Plan, planWish } from '../../plan/piece/plan.ts';
import { labelKinds, labelWishSchema } from '../../records/label.ts';
import type { WishInput } from '../../records/wish.ts';
import { bandRound, fibreShares, labelOf } from './labels.ts';

const planOf = (change: Partial<WishInput> = {}): Plan => must(planWish(sampleWish(change)));
const of = (plan: Plan, wish: object) => labelOf(plan, labelWishSchema.parse(wish));
const texts = (plan: Plan, wish: object) => of(plan, wish).lines.map(({ text }) => text);

describe('the labels of a project', () => {
  it('a band goes round the folded piece with 3 cm over, and is longer for a pair by its thickness', () => {
    const plan = planOf();
    // 22.5 cm folded in two are 112.5 mm; each cloth is four layers of 2.2 yarn diameters, on both faces of the band.
    const diameter = (bandRound(plan, 2) - bandRound(plan, 1)) / (2 * 4 * 2.2);
    expect(diameter).toBeGreaterThan(1.4);
    expect(diameter).toBeLessThan(2.6);
    expect(bandRound(plan, 1)).toBeGreaterThan(2 * 112.5 + 30);
    expect(bandRound(plan, 3) - bandRound(plan, 2)).toBeCloseTo(bandRound(plan, 2) - bandRound(plan, 1), -0.5);
    expect(of(plan, { kind: 'band', together: 2 }).width).toBe(bandRound(plan, 2));
  });

  it('says only what is known: no mark, no price, no empty line', () => {
    expect(texts(planOf(), { kind: 'tag' })).toEqual(['Galley cloth', 'Dishcloth', '22.5 × 24.4 cm', 'cotton']);
    expect(texts(planOf(), { kind: 'tag', mark: 'M. Q.', price: '9.50 €' })).toEqual([
      'M. Q.',
      'Galley cloth',
      'Dishcloth',
      '22.5 × 24.4 cm',
      'cotton',
      '9.50 €',
    ]);
    expect(texts(planOf(), { kind: 'price', price: '9.50 €' })).toEqual(['Galley cloth', '9.50 €']);
    expect(texts(planOf({ pieces: 5 }), { kind: 'list' })).toEqual([
      'Galley cloth',
      '5 × dishcloth',
      'A  Oat',
      'B  Ferry blue',
    ]);
  });

  it('tells fibres by their weight, and 100 together', () => {
    const [a, b] = sampleWish().yarns;
    const mixed = planOf({
      yarns: [
        {
          ...a,
          fibre: 'cotton',
          blend: [
            { fibre: 'cotton', percent: 60 },
            { fibre: 'acrylic', percent: 40 },
          ],
        },
        { ...b, fibre: 'wool' },
      ] as WishInput['yarns'],
    });
    const shares = fibreShares(mixed);
    const percents = [...shares.matchAll(/(\d+) %/g)].map(([, percent]) => Number(percent));
    expect(percents.reduce((sum, each) => sum + each, 0)).toBe(100);
    expect(percents).toEqual([...percents].sort((x, y) => y - x));
    expect(shares).toMatch(/wool/);
    expect(shares).toMatch(/acrylic/);
    expect(fibreShares(planOf())).toBe('cotton');
  });

  it('the care is of its first wash, or of its yarns; what melts is kept from the iron', () => {
    expect(texts(planOf(), { kind: 'care' })).toEqual([
      'cotton',
      'Wash as the labels of its yarns say, the gentlest of them.',
    ]);
    expect(texts(planOf({ wash: 'cotton-hot' }), { kind: 'care' })[1]).toMatch(/^Machine wash warm or hot/);
    const melting = planOf({
      yarns: sampleWish().yarns.map((yarn) => ({ ...yarn, fibre: 'acrylic' })) as WishInput['yarns'],
    });
    expect(texts(melting, { kind: 'care' }).at(-1)).toBe('Do not iron: it melts.');
  });

  it('none is empty or without size, whatever is typed', () => {
    const plan = planOf();
    fc.assert(
      fc.property(
        fc.constantFrom(...labelKinds),
        fc.integer({ min: 1, max: 3 }),
        fc.string({ maxLength: 40 }),
        fc.string({ maxLength: 20 }),
        (kind, together, mark, price) => {
          const label = of(plan, { kind, together, mark, price });
          expect(label.width > 0 && label.height > 0 && label.lines.length > 0).toBe(true);
          expect(label.lines.every(({ text }) => text.trim())).toBe(true);
        },
      ),
    );
  });
});
