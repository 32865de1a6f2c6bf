import fc from 'fast-check';
import { sampleIn } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { policies } from '../../craft/technique/policy.ts';
import { itemKinds } from '../items/register.ts';
import { planWish } from './plan.ts';

const widths = fc.oneof(
  fc.record({ by: fc.constant('length' as const), length: fc.integer({ min: 5, max: 40 }).map((n) => `${n} cm`) }),
  fc.record({ by: fc.constantFrom('stitches' as const, 'chain' as const), count: fc.integer({ min: 1, max: 90 }) }),
  fc.record({ by: fc.constant('repeats' as const), count: fc.integer({ min: 1, max: 6 }) }),
);
const heights = fc.oneof(
  fc.record({ by: fc.constant('length' as const), length: fc.integer({ min: 5, max: 30 }).map((n) => `${n} cm`) }),
  fc.record({ by: fc.constant('rows' as const), count: fc.integer({ min: 1, max: 60 }) }),
  fc.record({ by: fc.constant('repeats' as const), count: fc.integer({ min: 1, max: 4 }) }),
);
const wishes = fc
  .record({
    pattern: fc.constantFrom(...patternBook),
    item: fc.constantFrom(...itemKinds.map(({ item }) => item)),
    width: widths,
    height: heights,
    edges: fc.constantFrom('whole' as const, 'mirrored' as const, 'centred' as const),
    ending: fc.constantFrom('any' as const, 'whole' as const, 'as-begun' as const),
    policy: fc.constantFrom(...policies),
    floats: fc.boolean(),
    closing: fc.boolean(),
  })
  .map(({ pattern, ...rest }) => sampleIn(pattern, rest));

describe('any wish for a pattern of the book', () => {
  it('is planned, each stitch in a colour and a row, or refused with what to take instead; never laid wrong', () => {
    fc.assert(
      fc.property(wishes, (wish) => {
        const plan = planWish(wish);
        if (!plan.ok) {
          for (const problem of plan.problems) {
            const { code } = problem;
            const { message, hint } = told(problem);
            expect([message, hint]).toEqual([expect.stringMatching(/\w/), expect.stringMatching(/\w/)]);
            expect(code).not.toMatch(/broken/);
            expect(message + hint).not.toMatch(/NaN|Infinity|undefined/);
          }
          return;
        }
        const { fabric, strands, yarn } = plan.value.piece;
        expect(fabric.starts[fabric.courses]).toBe(fabric.colours.length);
        expect(strands.chart.rows).toBe(fabric.courses);
        for (const need of yarn) {
          expect(need.metres.low).toBeGreaterThanOrEqual(0);
          expect(need.metres.low).toBeLessThanOrEqual(need.metres.mid);
          expect(need.metres.mid).toBeLessThanOrEqual(need.metres.high);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('a cloth that was to be centred', () => {
  const width = { by: 'length', length: '30 cm' } as const;
  const pattern = (key: string) => {
    const found = patternBook.find((each) => each.key === key);
    if (!found) throw new Error(`no ${key}`);
    return found;
  };

  it('cuts the blocks of a check, but never those of steps, nor windows, nor flecks: they are alike instead', () => {
    for (const key of ['landing-steps', 'long-steps', 'portholes', 'salt-spray', 'rain-marks']) {
      const [centred, alike] = (['centred', 'mirrored'] as const).map((edges) => {
        return planWish(sampleIn(pattern(key), { width, edges, ending: 'any' }));
      });
      if (!centred?.ok || !alike?.ok) throw new Error(`${key} was refused`);
      expect(centred.value.width.stitches).toBe(alike.value.width.stitches);
      expect(centred.value.piece.fabric).toEqual(alike.value.piece.fabric);
    }
    // 30 cm at 16 to 10 cm are 48 stitches; blocks of 4 alike are on 8k + 4, centred on any even number.
    const gauge = {
      from: 'counted',
      stitches: { count: 16, over: '10 cm' },
      rows: { count: 18, over: '10 cm' },
    } as const;
    const check = planWish(sampleIn(pattern('block-check'), { width, gauge, edges: 'centred', ending: 'any' }));
    expect(check.ok && check.value.width.stitches).toBe(48);
  });
});
