import fc from 'fast-check';
import { checkStrands } from '../check/strands.ts';
import { type Chart, type Construction, isRound } from './chart.ts';
import { cutCost, type StrandCosts, usualCosts } from './costs.ts';
import { hangingMap } from './hangs.ts';
import { CUT } from './moves.ts';
import { route } from './route.ts';

function chart(rows: readonly string[], construction: Construction = 'flat'): Chart {
  const colours = Uint8Array.from(rows.join(''), (mark) => mark.charCodeAt(0) - 65);
  const columns = rows[0]?.length ?? 0;
  return { rows: rows.length, columns, colours, colourCount: Math.max(...colours) + 1, construction };
}

function stripes(colours: string, columns: number, height: number, rows: number): string[] {
  return Array.from({ length: rows }, (_, r) =>
    (colours[Math.floor(r / height) % colours.length] as string).repeat(columns),
  );
}

function routed(
  from: Chart,
  costs: Partial<StrandCosts> = {},
  policy: 'carry-always' | 'least-cost' = 'least-cost',
  bandGap?: number,
) {
  const strands = route(from, { ...usualCosts, ...costs }, policy, bandGap);
  const proof = checkStrands(from, strands);
  expect(proof.ok ? [] : proof.problems).toEqual([]);
  const sum = (key: 'cost' | 'carried' | 'climbedRows' | 'ends' | 'cuts' | 'floats' | 'extraMm') =>
    strands.totals.reduce((total, each) => total + each[key], 0);
  return { strands, sum };
}

const motif = [
  'A'.repeat(11),
  'AAAABBBAAAA',
  'A'.repeat(11),
  'AAAABBBAAAA',
  ...Array(3).fill('A'.repeat(11)),
  'AAAABBBAAAA',
];

describe('bridges between uses, against figures worked by hand', () => {
  it('one-row stripes in two colours, flat: carried through every row between, until it is dearer than a cut', () => {
    const { sum } = routed(chart(stripes('AB', 20, 1, 6)));
    expect([sum('carried'), sum('ends'), sum('extraMm')]).toEqual([80, 4, 1016]);
    expect(sum('cost')).toBeCloseTo(230.16, 6);
    expect(routed(chart(stripes('AB', 103, 1, 6))).sum('cuts')).toBe(0);
    const wide = routed(chart(stripes('AB', 104, 1, 6)));
    expect([wide.sum('cuts'), wide.sum('ends'), wide.sum('cost')]).toEqual([4, 12, 498]);
  });

  it('one-row stripes in three colours climb the edge', () => {
    const { sum } = routed(chart(stripes('ABC', 20, 1, 9)));
    expect([sum('climbedRows'), sum('carried'), sum('ends'), sum('extraMm')]).toEqual([12, 0, 6, 960]);
    expect(sum('cost')).toBeCloseTo(249.6, 6);
  });

  it('two-row stripes climb', () => {
    const { sum } = routed(chart(stripes('AB', 20, 2, 8)));
    expect([sum('climbedRows'), sum('carried'), sum('extraMm')]).toEqual([4, 0, 620]);
    expect(sum('cost')).toBeCloseTo(166.2, 6);
  });

  it('six-row stripes climb four rows and go out and back inside the other two, or climb all six where they may', () => {
    const rows = stripes('AB', 20, 6, 24);
    const { sum } = routed(chart(rows));
    expect([sum('carried'), sum('climbedRows')]).toEqual([80, 8]);
    expect(sum('cost')).toBeCloseTo(230.56, 6);
    const free = routed(chart(rows), { climbLimit: 6 });
    expect(free.sum('climbedRows')).toBe(12);
    expect(free.sum('cost')).toBeCloseTo(166.6, 6);
  });

  const check = Array.from({ length: 8 }, (_, r) => (r < 4 ? 'AAAABBBB' : 'BBBBAAAA').repeat(2));
  it('a check of 4 × 4 carries between its blocks and on where the blocks change', () => {
    const { strands, sum } = routed(chart(check));
    expect(strands.totals.map((total) => total.carried)).toEqual([36, 36]);
    expect(sum('extraMm')).toBeCloseTo(974.4, 6);
    expect(sum('cost')).toBeCloseTo(223.744, 6);
  });

  it('carried always, a check carries over every stitch that is not its own', () => {
    const { strands, sum } = routed(chart(check), {}, 'carry-always');
    expect(strands.totals.map((total) => total.carried)).toEqual([64, 64]);
    expect(sum('extraMm')).toBeCloseTo(1265.6, 6);
    expect(sum('cost')).toBeCloseTo(268.656, 6);
    expect([...strands.inside].every((n) => n === 1)).toBe(true);
  });

  it('a motif on plain ground, flat: where B hangs after each row', () => {
    const from = chart(motif);
    const { strands } = routed(from);
    const b = strands.totals[1];
    expect([b?.carried, b?.climbedRows]).toEqual([14, 2]);
    expect(b?.extraMm).toBeCloseTo(382.8, 6);
    expect(b?.cost).toBeCloseTo(94.328, 6);
    expect(strands.totals[0]?.cost).toBeCloseTo(90.218, 6);
    const map = hangingMap(from, strands.moves);
    const off = -1;
    expect(Array.from({ length: 8 }, (_, r) => map[r * 2 + 1])).toEqual([off, 4, 7, 4, 11, 11, 11, off]);
    const rows = Array.from({ length: 8 }, (_, r) =>
      strands.inside.slice(r * 11, r * 11 + 11).reduce((a, n) => a + n, 0),
    );
    expect(rows).toEqual([0, 3, 3, 3, 7, 0, 0, 7]);
  });

  it('the same motif in rounds, from the right side only, and carried always', () => {
    const turned = routed(chart(motif, 'turned-rounds')).strands.totals[1];
    expect([turned?.carried, turned?.climbedRows]).toEqual([11, 3]);
    expect(turned?.cost).toBeCloseTo(91.972, 6);
    const rounds = routed(chart(motif, 'rounds')).strands.totals[1];
    expect([rounds?.carried, rounds?.floats]).toEqual([8, 4]);
    expect(rounds?.cost).toBeCloseTo(93.674, 3);
    const right = routed(chart(motif, 'right-side')).strands.totals;
    expect(right.map((total) => total.ends)).toEqual([16, 6]);
    const always = routed(chart(motif), {}, 'carry-always', 3).strands.totals[1];
    expect(always?.carried).toBe(68);
    expect(always?.cost).toBeCloseTo(137.536, 6);
  });

  it('where the next row needs it earlier, it is carried on past its last use', () => {
    const b = routed(chart(['AAABBAAAAA', 'AAAAAAABAA']), { floatLimit: 0 }).strands.totals[1];
    expect(b?.carried).toBe(3);
    expect(b?.extraMm).toBeCloseTo(315.6, 6);
    expect(b?.cost).toBeCloseTo(85.406, 6);
  });

  it('in unturned rounds it climbs the seam, is carried past it, or floats back', () => {
    const climb = routed(chart(stripes('AB', 20, 1, 6), 'rounds'));
    expect(climb.sum('climbedRows')).toBe(4);
    expect(climb.sum('cost')).toBeCloseTo(166.2, 6);
    const rows = ['AAAAAAABAA', 'AAABAAAAAA'];
    const past = routed(chart(rows, 'rounds'), { floatLimit: 0 }).strands.totals[1];
    expect(past?.carried).toBe(5);
    expect(past?.cost).toBeCloseTo(87.01, 6);
    const back = routed(chart(rows, 'rounds'), { floatLimit: 5, perFloat: 0.2 }).strands.totals[1];
    expect(back?.floats).toBe(5);
    expect(back?.cost).toBeCloseTo(84.255, 3);
  });

  it('right side only: every used colour costs two tails a row', () => {
    const { sum } = routed(chart(stripes('AB', 20, 1, 6), 'right-side'));
    expect([sum('ends'), sum('extraMm'), sum('cost')]).toEqual([12, 1800, 498]);
  });

  it('within a row it floats where floats are cheap, else it is carried', () => {
    expect(routed(chart(['AABBAA']), { perFloat: 0.2 }).strands.totals[0]?.cost).toBeCloseTo(83.5, 6);
    expect(routed(chart(['AABBAA'])).strands.totals[0]?.cost).toBeCloseTo(84.604, 6);
  });
});

describe('laws of every routed fabric', () => {
  const cells = fc
    .record({
      rows: fc.integer({ min: 1, max: 9 }),
      columns: fc.integer({ min: 1, max: 9 }),
      colours: fc.integer({ min: 1, max: 3 }),
    })
    .chain(({ rows, columns, colours }) =>
      fc
        .array(fc.nat(colours - 1), { minLength: rows * columns, maxLength: rows * columns })
        .map((flat) => ({ rows, columns, flat })),
    );
  const constructions: Construction[] = ['flat', 'turned-rounds', 'rounds', 'right-side'];
  const weights = fc.record({
    climbLimit: fc.nat(4),
    floatUpLimit: fc.nat(2),
    floatLimit: fc.nat(4),
    perEnd: fc.constantFrom(1, 10, 40),
    perFloat: fc.constantFrom(0.1, 1, Number.POSITIVE_INFINITY),
  });

  it('every strand is where the hook wants it, costs what was claimed, and no more than cutting every time', () => {
    fc.assert(
      fc.property(cells, fc.constantFrom(...constructions), weights, ({ rows, columns, flat }, construction, costs) => {
        const from: Chart = { rows, columns, colours: Uint8Array.from(flat), colourCount: 3, construction };
        const all = { ...usualCosts, ...costs };
        for (const policy of ['least-cost', 'carry-always'] as const) {
          const strands = route(from, all, policy);
          const proof = checkStrands(from, strands);
          expect(proof.ok ? [] : proof.problems).toEqual([]);
        }
        const strands = route(from, all, 'least-cost');
        const least = strands.totals.reduce((sum, total) => sum + total.cost, 0);
        const gaps = countRuns(from) - new Set(flat).size;
        expect(least).toBeLessThanOrEqual((gaps + new Set(flat).size) * cutCost(all) + 1e-9);
      }),
      { numRuns: 400 },
    );
  });

  it('a damaged way is refused', () => {
    const from = chart(motif);
    const strands = route(from, usualCosts, 'least-cost');
    for (let i = 0; i < strands.moves.length; i++) {
      if (strands.moves.kind[i] === CUT) continue;
      const broken = route(from, usualCosts, 'least-cost');
      broken.moves.to[i] = (broken.moves.to[i] as number) + 1;
      broken.moves.from[i] = (broken.moves.from[i] as number) + 1;
      expect(checkStrands(from, broken).ok).toBe(false);
    }
  });
});

/** Counts runs the plain way, row by row from column 0; a run's length does not depend on its direction. */
function countRuns(from: Chart): number {
  let runs = 0;
  for (let row = 0; row < from.rows; row++) {
    for (let x = 0; x < from.columns; x++) {
      if (x === 0 || from.colours[row * from.columns + x] !== from.colours[row * from.columns + x - 1]) runs++;
    }
  }
  expect(isRound('flat')).toBe(false);
  return runs;
}
