import { findPattern, patternBook } from '../../craft/book/book.ts';
import { findFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import type { Policy } from '../../craft/technique/policy.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { firstBelief } from '../../craft/values/belief.ts';
import { ballsNeeded } from '../../craft/values/forecast.ts';
import { must } from '../../craft/values/problem.ts';
import { cellPaths, fleckClosing, yarnAlong } from '../../craft/yarn/yarnPerStitch.ts';
import { lay } from '../lay/lay.ts';
import { costsFor } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import { courseAt, metresByCourse } from './byCourse.ts';
import { measureNext } from './next.ts';
import { measureParts } from './parts.ts';
import { ballEnds } from './runsOut.ts';

const size = { width: 100 / 14, height: 6.25, diameter: 2 };

function request(
  key: string,
  stitches: number,
  rows: number,
  gauge: [number, number, number],
  way = 0,
  policy: Policy = 'as-needed',
) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern));
  const technique = must(techniqueOf(pattern));
  const foundation = findFoundation(technique.foundations(bound)[way] as string) as NonNullable<
    ReturnType<typeof findFoundation>
  >;
  const fabric = lay({
    bound,
    foundation,
    edges: 'whole',
    stitches,
    courses: technique.courses?.(stitches, rows) ?? rows,
  });
  const costs = costsFor(policy, false, { stitchWidth: gauge[0], rowHeight: gauge[1] });
  const strands = route(chartOf(fabric), costs, technique.policy === 'carry-always' ? 'carry-always' : 'least-cost');
  const diameters = bound.colours.map(() => gauge[2]);
  return { fabric, strands, foundation, technique, stitchWidth: gauge[0], rowHeight: gauge[1], diameters };
}

describe('yarn in the stitches of each technique', () => {
  it.each([
    // a·w + b·h + c·d by hand, w 7.142857, h 6.25, d 2
    ['sc@space', 2 * 7.142857 + 25 + 14],
    ['sc@back', 2 * 7.142857 + 25 + 7],
    ['dc@front2', 2 * 7.142857 + 50 + 18],
    ['dc@below2', 2 * 7.142857 + 50 + 22],
    ['hdc@between', 2 * 7.142857 + 25 + 18],
  ] as const)('%s', (key, mm) => {
    expect(yarnAlong(cellPaths[key], size)).toBeCloseTo(mm, 4);
  });

  it('a pair of mesh or linen is a stitch and a chain: 5, 9, 13.5 and 5, 4, 8', () => {
    const pair = (key: 'fpdc' | 'sc@space') => [
      cellPaths[key].a + cellPaths.ch.a,
      cellPaths[key].b + cellPaths.ch.b,
      cellPaths[key].c + cellPaths.ch.c,
    ];
    expect(pair('fpdc')).toEqual([5, 9, 13.5]);
    expect(pair('sc@space')).toEqual([5, 4, 8]);
  });

  it('two-colour sc: 25.64 mm of contrast and 25.43 of main, half and half; the carry of the main is in it', () => {
    // The main lies inside the fleck, which adds its diameter to the contrast.
    const contrast = yarnAlong(cellPaths.fleck, size, 1);
    const main = yarnAlong(fleckClosing, size) + 1.04 * size.width;
    expect(contrast).toBeCloseTo(25.64, 2);
    expect(main).toBeCloseTo(25.43, 2);
    expect(contrast / (contrast + main)).toBeCloseTo(0.502, 3);
  });
});

describe('whole pieces of each technique', () => {
  const total = (parts: ReturnType<typeof measureParts>) =>
    parts.reduce((sum, part) => sum + part.stitches + part.carried + part.bridged + part.chains + part.tails, 0);
  const stitches = (parts: ReturnType<typeof measureParts>) => parts.reduce((sum, part) => sum + part.stitches, 0);

  it('granny rows 120 × 150 cm of light yarn take about 2089 m in their clusters, 1500 to 2300', () => {
    // 5.5 × 9.5 clusters to 10 cm: 66 across, 142.5 up.
    const parts = measureParts(request('net-floats', 66, 142, [100 / 5.5, 100 / 9.5, 1.8], 1));
    expect(stitches(parts)).toBeGreaterThan(2089 * 0.97);
    expect(stitches(parts)).toBeLessThan(2089 * 1.03);
  });

  it('corner to corner, 50 × 40 blocks of 4.5 to 10 cm with nothing carried: 927.1 m', () => {
    const parts = measureParts(request('signal-flag', 50, 40, [100 / 4.5, 100 / 4.5, 2], 0, 'cut-always'));
    expect(stitches(parts)).toBeCloseTo(927.1, 1);
    expect(total(parts)).toBeGreaterThan(927.1);
  });

  it('overlay mosaic 100 × 120 cm of light yarn takes 1150 to 1900 m', () => {
    // 17 × 17.5 to 10 cm: 170 across, 210 up.
    const parts = measureParts(request('tide-marks', 171, 210, [100 / 17, 100 / 17.5, 1.8]));
    expect(stitches(parts)).toBeGreaterThan(1150);
    expect(stitches(parts)).toBeLessThan(1900);
  });

  it.each(patternBook.map((pattern) => pattern.key))('%s: the metres of its courses add up to its parts', (key) => {
    const pattern = must(findPattern(key));
    const bound = must(bindPattern(pattern));
    const { across, up } = bound;
    const wide =
      pattern.technique === 'wedge-circle' ? across.works.multiple : across.works.multiple * 4 + across.works.extra;
    const asked = request(key, wide, up.works.multiple * 3 + up.works.extra, [6, 7, 1.8]);
    const parts = measureParts(asked);
    metresByCourse(asked).forEach((metres, colour) => {
      const { stitches, carried, bridged, chains } = parts[colour] as (typeof parts)[number];
      expect(metres.reduce((sum, each) => sum + each, 0)).toBeCloseTo(stitches + carried + bridged + chains, 6);
    });
  });
});

describe('where a ball ends', () => {
  const metres = new Float64Array(100).fill(2);
  it('is told as a range of rows, with the row after which to join', () => {
    // One ball of 50 g at 2 m/g is 100 m less two tails: 99.7 m, in row 50; ± exp(1.6449 · 0.1168) with its weighing.
    const [first, ...more] = ballEnds({
      metres,
      belief: firstBelief('measured'),
      ballGrams: 50,
      metresPerGram: 2,
      balls: 3,
    });
    expect(first).toMatchObject({ ball: 1, mid: 50 });
    expect([first?.low, first?.high]).toEqual([
      Math.ceil(99.7 / 2 / Math.exp(1.6449 * 0.1167)),
      Math.ceil((99.7 / 2) * Math.exp(1.6449 * 0.1167)),
    ]);
    expect(first?.joinAfter).toBe((first?.low ?? 0) - 1);
    expect(more.map((end) => end.ball)).toEqual([2]);
  });

  it('the course is that in which the sum passes', () => {
    expect([0.5, 2, 2.1, 199, 201].map((m) => courseAt(metres, m))).toEqual([0, 0, 1, 99, 100]);
  });
});

describe('what to measure next', () => {
  it('a swatch of 13 g: 0.057 with a kitchen scale, 0.043 with a fine one', () => {
    const next = measureNext(400, 'measured');
    const of = (words: string) => next.find((each) => each.what.includes(words))?.sd;
    expect(of('to-gram')).toBeCloseTo(0.057, 3);
    expect(of('to-tenth')).toBeCloseTo(0.043, 3);
    expect(next.map((each) => each.sd)).toEqual([...next.map((each) => each.sd)].sort((a, b) => a - b));
  });

  it('from the table, counting comes first of all but is not the surest', () => {
    const next = measureNext(400, 'typical');
    expect(next.at(-1)?.what).toContain('count');
    expect(next.at(-1)?.sd).toBeCloseTo(0.116, 3);
  });
});

describe('a set that shares its balls', () => {
  it('of 12 cloths takes fewer balls than 12 times one', () => {
    const one = { metres: 60, error: 0.116, ends: 2, ballGrams: 50, metresPerGram: 1.7 };
    const set = { ...one, metres: 720, ends: 24 };
    // One cloth needs a whole ball of 85 m; twelve need 720 m and their tails, at 95 %: 11 balls, not 12.
    expect(ballsNeeded(one).balls).toBe(1);
    expect(ballsNeeded(set).balls).toBeLessThan(12);
  });
});
