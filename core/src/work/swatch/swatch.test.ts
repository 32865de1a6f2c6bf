import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { policies } from '../../craft/technique/policy.ts';
import { weightOf } from '../../craft/values/belief.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { readShape } from '../../records/readJson.ts';
import { type Swatch, swatchSchema } from '../../records/swatch.ts';
import { hookFor, swatchFigures } from './hooks.ts';
import { countedOn, planSwatch, proportionOn, swatchGauge, swatchReading, withSwatch } from './readings.ts';

const id = '7b1f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d';

function swatch(more: Partial<Swatch> = {}): Swatch {
  const { pattern, yarns } = sampleWish();
  return swatchSchema.parse({ title: 'Galley cloth, first try', pattern, yarns, policy: 'carry-always', ...more });
}

const counts: Swatch['counts'] = [
  { what: 'stitches', count: 21, over: '15 cm', washed: false },
  { what: 'stitches', count: 20.5, over: '14.8 cm', washed: false },
  { what: 'stitches', count: 28.5, over: '20.2 cm', washed: false },
  { what: 'rows', count: 16, over: '10 cm', washed: false },
];

describe('the planned swatch', () => {
  it('is 15 cm and three repeats at least, whole at its edges', () => {
    const { width, height, prepared } = must(planSwatch(swatch()));
    const { repeatStitches, repeatCourses } = prepared.bound;
    expect(width.stitches).toBeGreaterThanOrEqual(3 * repeatStitches);
    expect(height.rows).toBeGreaterThanOrEqual(3 * repeatCourses);
    expect(width.width.mid ?? 0).toBeGreaterThanOrEqual(150);
    expect(height.height.mid).toBeGreaterThanOrEqual(150);
    const wide = must(planSwatch(swatch({ pattern: { key: 'block-check', numbers: { b: 20, r: 20 } } })));
    expect(wide.width.stitches).toBeGreaterThanOrEqual(120);
    expect(wide.height.rows).toBeGreaterThanOrEqual(120);
  });

  it('can be made of every pattern of the book, every way with the idle strand', () => {
    const [yarn] = swatch().yarns;
    for (const { key, colours } of patternBook) {
      const yarns = colours.map((letter) => ({ ...(yarn as Swatch['yarns'][number]), letter }));
      for (const policy of policies) {
        const planned = planSwatch(swatch({ pattern: { key }, yarns, policy }));
        expect([key, policy, planned.ok]).toEqual([key, policy, true]);
        if (planned.ok) expect(planned.value.width.width.mid).toBeGreaterThanOrEqual(150);
      }
    }
  });

  it('of blocks on the diagonal with a repeat wider than 15 cm is one repeat: a lantern of 9 × 11 blocks', () => {
    const yarns = ['A', 'B', 'C'].map((letter) => ({ ...(swatch().yarns[0] as Swatch['yarns'][number]), letter }));
    const { width, height } = must(planSwatch(swatch({ pattern: { key: 'storm-lantern' }, yarns })));
    expect([width.stitches, height.rows]).toEqual([9, 11]);
  });

  it('keeps its counts when it has been counted: it is already made', () => {
    const before = must(planSwatch(swatch()));
    const after = must(planSwatch(swatch({ counts })));
    expect(after.width.stitches).toBe(before.width.stitches);
    expect(after.height.rows).toBe(before.height.rows);
  });
});

describe('what is counted on it', () => {
  it('comes together by span: 70 stitches over 500 mm are 7.143 mm and 14 in 10 cm', () => {
    const figures = swatchFigures(swatch({ counts }));
    expect(figures?.stitchWidth).toBeCloseTo(7.143, 3);
    expect(figures?.stitches).toBeCloseTo(14, 6);
    expect(figures?.rows).toBeCloseTo(16, 6);
  });

  it('is no gauge until stitches and rows are both counted', () => {
    expect(countedOn(swatch({ counts: counts.slice(0, 3) }))).toBeUndefined();
    const none = withSwatch(sampleWish(), id, swatch());
    expect(none.ok ? '' : told(none.problems[0]).message).toContain('not counted yet');
  });

  it('sizes go by the washed counts, yarn by the others', () => {
    const washed: Swatch['counts'] = [
      ...counts,
      { what: 'stitches', count: 15, over: '10 cm', washed: true },
      { what: 'rows', count: 17, over: '10 cm', washed: true },
    ];
    const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 36 } });
    const raw = must(planWish(must(withSwatch(wish, id, swatch({ counts })))));
    const clean = must(planWish(must(withSwatch(wish, id, swatch({ counts: washed })))));
    // 36 stitches: 36 · 7.143 = 257.1 mm as worked, 36 · 6.667 = 240 mm washed.
    expect(raw.width.width.mid).toBeCloseTo(257.14, 1);
    expect(clean.width.width.mid).toBeCloseTo(240, 6);
    expect(clean.width.width.source).toBe('swatch');
    expect(clean.piece.yarn[0]?.metres.mid).toBeCloseTo(raw.piece.yarn[0]?.metres.mid ?? 0, 9);
  });
});

describe('what is weighed on it', () => {
  const plan = must(planSwatch(swatch({ counts })));
  const ends = plan.piece.yarn.reduce((sum, need) => sum + need.ends, 0);
  const metres = plan.piece.yarn.reduce((sum, need) => sum + need.metres.mid, 0);
  const perGram = 85 / 50;
  // As much as a hand that takes a tenth more: stitches · 1.1, tails as they are.
  const grams = ((metres - ends * 0.15) * 1.1 + ends * 0.15) / perGram;
  const heavy = swatch({
    counts,
    weight: { grams, scale: 0.1 },
    yarns: sampleWish().yarns.map((yarn) => ({ ...yarn, ballMetres: 85, ballGrams: 50 })),
  });

  it('is read as yarn used against yarn predicted', () => {
    const reading = must(swatchReading(heavy));
    expect(reading.ratio).toBeCloseTo(Math.log(1.1), 6);
    expect(reading.error).toBeCloseTo(Math.hypot(0.1 / Math.sqrt(3) / grams, 0.04), 9);
  });

  it('moves the yarn of a plan towards what was used and narrows its range', () => {
    const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 36 } });
    const before = must(planWish(must(withSwatch(wish, id, swatch({ counts })))));
    const after = must(planWish(must(withSwatch(wish, id, heavy))));
    const reading = must(swatchReading(heavy));
    const weight = weightOf({ mean: 0, sd: Math.hypot(0.09, 0.07) }, reading);
    const [a, b] = [before.piece.yarn[0], after.piece.yarn[0]];
    if (!a || !b) throw new Error('no yarn');
    const tails = a.ends * 0.15;
    expect((b.metres.mid - tails) / (a.metres.mid - tails)).toBeCloseTo(1.1 ** weight, 6);
    expect(b.metres.high / b.metres.low).toBeLessThan(a.metres.high / a.metres.low);
  });

  it('too light for its scale, it is refused, and the gauge goes without it', () => {
    const light = { ...heavy, weight: { grams: 2, scale: 1 } };
    const reading = swatchReading(light);
    expect(reading.ok ? '' : told(reading.problems[0]).message).toContain('too light');
    expect(swatchGauge(id, light)).not.toHaveProperty('weighed');
  });
});

describe('which hook', () => {
  it('from 7.143 mm with 5 mm, stitches of 7.456 mm ask for 5.5 mm', () => {
    expect(hookFor(7.456, { hook: 5, stitchWidth: 7.143 })).toBe(5.5);
    expect(hookFor(7.143, { hook: 5, stitchWidth: 7.143 })).toBe(5);
  });

  it('a hook told in another way than mm is refused', () => {
    const read = readShape(swatchSchema, { ...swatch(), hook: 50 });
    expect(read.ok ? undefined : read.problems[0]).toMatchObject({
      path: 'hook',
      facts: { kind: 'too_big', limit: 25 },
    });
  });

  it('tells the proportion of a cell: 16 stitches and 18 rows to 10 cm are cells of 18 to 16', () => {
    const counts = [
      { what: 'stitches' as const, count: 16, over: '10 cm', washed: false },
      { what: 'rows' as const, count: 18, over: '10 cm', washed: false },
    ];
    // 6.25 mm wide, 5.56 mm high.
    expect(proportionOn({ ...swatch(), counts })).toBeCloseTo(18 / 16, 2);
    expect(proportionOn({ ...swatch(), counts: counts.slice(0, 1) })).toBeUndefined();
  });
});
