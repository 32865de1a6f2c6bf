import { assemble, type Fabric } from '../../craft/fabric/fabric.ts';
import { foundations } from '../../craft/foundation/foundation.ts';
import { carried } from '../../craft/techniques/carried/carried.ts';
import { firstBelief } from '../../craft/values/belief.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { ballsNeeded, chanceEnough, forecastError } from '../../craft/values/forecast.ts';
import { normalBelow } from '../../craft/values/normal.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { usualCosts } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import { measure } from './measure.ts';
import { measureParts } from './parts.ts';

const foundation = foundations[0] as (typeof foundations)[number];

function plainCloth(rows: number, columns: number, colours?: Uint8Array): Fabric {
  const cells = Array.from({ length: rows }, (_, row) => ({
    kinds: new Uint8Array(columns),
    colours: colours?.subarray(row * columns, (row + 1) * columns) ?? new Uint8Array(columns),
  }));
  return assemble('flat', columns, cells, colours ? 2 : 1);
}

describe('yarn in one stitch', () => {
  const size = (rows: number) => ({ width: 100 / 14, height: rows, diameter: 2 });
  it.each([
    ['sc', 6.25, 47.29],
    ['ch', 6.25, 23.43],
    ['hdc', 100 / 11, 62.65],
    ['dc', 13, 82.29],
    ['tr', 18, 110.29],
  ] as const)('%s in a row of %d mm takes %d mm', (stitch, height, mm) => {
    expect(yarnInStitch(stitch, size(height))).toBeCloseTo(mm, 2);
  });
});

describe('what pieces of known size should take', () => {
  /** Metres in the stitches alone of a piece so many mm wide and high, at so many stitches and rows to 10 cm. */
  const piece = (
    stitch: 'sc' | 'hdc' | 'dc',
    stitches: number,
    rows: number,
    d: number,
    wide: number,
    high: number,
  ) => {
    const size = { width: 100 / stitches, height: 100 / rows, diameter: d };
    return ((((wide / size.width) * high) / size.height) * yarnInStitch(stitch, size)) / 1000;
  };

  it.each([
    ['a throw of 90 × 90 cm in sc 14 × 16', piece('sc', 14, 16, 2, 900, 900), 858, 700, 1000],
    ['in sc 13 × 15', piece('sc', 13, 15, 2, 900, 900), 791, 700, 1000],
    ['in hdc 13.5 × 11', piece('hdc', 13.5, 11, 2, 900, 900), 760, 700, 1000],
    ['in hdc 13 × 10', piece('hdc', 13, 10, 2, 900, 900), 710, 700, 1000],
    ['127 × 152 cm in dc 14 × 7.7', piece('dc', 14, 7.7, 2, 1270, 1520), 1711, 1300, 1900],
    ['in dc 13.5 × 7.5', piece('dc', 13.5, 7.5, 2, 1270, 1520), 1645, 1300, 1900],
    ['in dc 12 × 7', piece('dc', 12, 7, 2, 1270, 1520), 1456, 1300, 1900],
    ['a light baby blanket of 75 × 90 cm in dc', piece('dc', 16, 9, 1.8, 750, 900), 693, 550, 850],
    ['a bulky throw of 100 × 130 cm in hdc', piece('hdc', 10.5, 8.5, 2.55, 1000, 1300), 945, 750, 1150],
  ])('%s', (_what, metres, predicted, least, most) => {
    expect(Math.abs(metres - predicted)).toBeLessThan(1);
    expect(metres).toBeGreaterThan(least);
    expect(metres).toBeLessThan(most);
  });

  it('a bulky scarf of 20 × 180 cm in sc takes 220 to 340 m', () => {
    const metres = piece('sc', 11, 12.5, 2.55, 200, 1800);
    expect(metres).toBeGreaterThan(220);
    expect(metres).toBeLessThan(340);
  });

  it('a chain takes 3.26 to 3.34 times its own length', () => {
    for (const [stitches, d] of [
      [14, 2],
      [17, 1.8],
      [11, 2.55],
      [8, 3.3],
    ] as const) {
      const width = 100 / stitches;
      const ratio = yarnInStitch('ch', { width, height: 6, diameter: d }) / width;
      expect(ratio).toBeGreaterThan(3.25);
      expect(ratio).toBeLessThan(3.35);
    }
  });
});

describe('yarn in a piece', () => {
  it('a 25 cm cotton cloth of 40 × 45 sc takes 77.27 m', () => {
    const fabric = plainCloth(45, 40);
    const strands = route(chartOf(fabric), usualCosts, 'least-cost');
    const { diameter } = yarnFigures({
      letter: 'A',
      name: 'Oat',
      shade: '#eeddcc',
      weight: 4,
      fibre: 'cotton',
      ballMetres: 100,
      ballGrams: 50,
    });
    expect(diameter).toBeCloseTo(1.768, 3);
    const [part] = measureParts({
      fabric,
      strands,
      foundation,
      technique: carried,
      stitchWidth: 6.25,
      rowHeight: 100 / 18,
      diameters: [diameter],
    });
    expect(part?.stitches).toBeCloseTo(75.23, 2);
    // 41 foundation chains and 44 to turn, 85 × 20.52 mm
    expect(part?.chains).toBeCloseTo(1.744, 3);
    expect(part?.tails).toBeCloseTo(0.3, 9);
    const total = (part?.stitches ?? 0) + (part?.chains ?? 0) + (part?.tails ?? 0);
    expect(total).toBeCloseTo(77.27, 2);
    expect(total / 2).toBeCloseTo(38.64, 2);
  });

  it('thirteen cloths closed as one leave whole ends: 2 of each and 4 of the closing, 30', () => {
    const fabric = plainCloth(5, 10);
    const length = (mid: number): Estimate => ({ mid, low: mid, high: mid, source: 'swatch' });
    const [need] = measure({
      fabric,
      strands: route(chartOf(fabric), usualCosts, 'least-cost'),
      foundation,
      technique: carried,
      gauge: { stitchWidth: length(6), rowHeight: length(6), source: 'swatch' },
      yarns: [{ letter: 'A', name: 'Oat', shade: '#eeddcc', weight: 4, fibre: 'cotton' }],
      finish: [{ part: 'closing', colour: 0, metres: 2, ends: 4, stitches: 20, times: 1, steps: [] }],
      pieces: 13,
    });
    expect(need?.ends).toBe(30);
  });

  it('a carried row of 80 A and 46 B takes 4.354 m of A and 2.913 m of B', () => {
    // A lies in two blocks round B, so that A is carried over all of B; B's 80 stitches of carry are counted by hand.
    const colours = Uint8Array.from({ length: 126 }, (_, x) => (x >= 40 && x < 86 ? 1 : 0));
    const fabric = plainCloth(1, 126, colours);
    const strands = route(chartOf(fabric), usualCosts, 'carry-always');
    const parts = measureParts({
      fabric,
      strands,
      foundation,
      technique: carried,
      stitchWidth: (100 / 14) * 1.028,
      rowHeight: 6.25 * 1.014,
      diameters: [2, 2],
    });
    expect((parts[0]?.stitches ?? 0) + (parts[0]?.carried ?? 0)).toBeCloseTo(4.354, 3);
    expect((parts[1]?.stitches ?? 0) + (parts[1]?.carried ?? 0)).toBeCloseTo(2.913, 3);
  });

  it('a counted turning chain is yarn of two chains in place of a stitch, and of none in row 1', () => {
    const counted = foundations.find((each) => each.key === 'hdc-3rd-counted') as (typeof foundations)[number];
    const kinds = Uint8Array.from([3, 1, 1, 1, 1, 3]);
    const fabric = { ...plainCloth(2, 3), kinds };
    const strands = route(chartOf(fabric), usualCosts, 'least-cost');
    const [part] = measureParts({
      fabric,
      strands,
      foundation: counted,
      technique: carried,
      stitchWidth: 8,
      rowHeight: 9,
      diameters: [2],
    });
    // 4 hdc of 2·8 + 4·9 + 6·2 = 64 mm, one ch 2 of 6·8 + 2·2 = 52 mm, and 4 foundation chains of 3·8 + 2 = 26 mm
    expect(((part?.stitches ?? 0) + (part?.chains ?? 0)) * 1000).toBeCloseTo(4 * 64 + 52 + 4 * 26, 6);
  });
});

describe('how sure the yarn is', () => {
  it('0.116 from a measured gauge, 0.153 from the table', () => {
    expect(forecastError(firstBelief('measured'))).toBeCloseTo(0.116, 3);
    expect(forecastError(firstBelief('typical'))).toBeCloseTo(0.153, 3);
  });

  it('the normal distribution agrees with a sum of its density', () => {
    for (const z of [-3, -1.6449, -0.4, 0, 0.7, 1.6449, 2.5]) {
      let sum = 0;
      const step = 1e-4;
      for (let x = -9 + step / 2; x < z; x += step) sum += (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * step;
      expect(normalBelow(z)).toBeCloseTo(sum, 5);
    }
  });

  it('buys the fewest balls that are enough 19 times in 20', () => {
    const question = { metres: 90, error: 0.116, ends: 2, ballGrams: 50, metresPerGram: 1.7 };
    // One ball is 85 m: 84.7 usable of 90, z = ln(84.7/90)/hypot(.116,.015,.03) = −0.503
    expect(chanceEnough(question, 1)).toBeCloseTo(0.307, 2);
    expect(ballsNeeded(question).balls).toBe(2);
    expect(ballsNeeded({ ...question, metres: 60 }).balls).toBe(1);
  });
});
