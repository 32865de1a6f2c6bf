import fc from 'fast-check';
import { checkStrands } from '../check/strands.ts';
import type { Chart, Construction } from './chart.ts';
import { usualCosts } from './costs.ts';
import { cutShort } from './cutShort.ts';
import { CUT } from './moves.ts';
import { route } from './route.ts';

const charts = fc
  .record({
    columns: fc.integer({ min: 4, max: 24 }),
    rows: fc.integer({ min: 2, max: 14 }),
    construction: fc.constantFrom<Construction>('flat', 'rounds', 'turned-rounds', 'right-side'),
    seed: fc.array(fc.nat(2), { minLength: 400, maxLength: 400 }),
    block: fc.integer({ min: 1, max: 6 }),
  })
  .map(({ columns, rows, construction, seed, block }): Chart => {
    const colours = new Uint8Array(rows * columns);
    for (let i = 0; i < colours.length; i++) {
      const [row, column] = [Math.floor(i / columns), i % columns];
      colours[i] = seed[(Math.floor(row / 2) * 24 + Math.floor(column / block)) % seed.length] as number;
    }
    return { rows, columns, construction, colours, colourCount: 3 };
  });

describe('a cloth that ends sooner', () => {
  it('is proved whatever its colours are divided among, and what is worked of it stays', () => {
    fc.assert(
      fc.property(charts, fc.nat(100), fc.nat(100), fc.constantFrom('bobbins', 'least-cost'), (chart, a, b, way) => {
        const whole = route(chart, usualCosts, way);
        const rows = 1 + (a % chart.rows);
        const worked = b % (rows + 1);
        const shorter = { ...chart, rows, colours: chart.colours.subarray(0, rows * chart.columns) };
        const cut = cutShort(whole, shorter, worked);
        if (!cut) throw new Error('as wide as it was');
        const proof = checkStrands(shorter, { totals: [], bobbins: [], ...cut });
        expect(proof.ok ? [] : proof.problems).toEqual([]);
        const made = ({ moves }: typeof cut) =>
          Array.from({ length: moves.length }, (_, i) => i)
            .filter(
              (i) => (moves.row[i] as number) < worked && !(moves.kind[i] === CUT && (moves.to[i] as number) >= worked),
            )
            .map((i) => [moves.kind, moves.colour, moves.row, moves.from, moves.to].map((each) => each[i]));
        expect(made(cut)).toEqual(made(whole));
        for (let i = 0; i < cut.moves.length; i++) expect(cut.moves.row[i]).toBeLessThan(rows);
        // No later row is waited for.
        for (let i = 0; i < cut.moves.length; i++) {
          if (cut.moves.kind[i] === CUT) expect(cut.moves.to[i]).toBeLessThan(rows);
        }
      }),
      { numRuns: 80 },
    );
  });

  it('to its own last row is itself; wider or higher it is not there', () => {
    const colours = Uint8Array.from([0, 0, 1, 1, 0, 1, 1, 0]);
    const chart: Chart = { rows: 2, columns: 4, colours, colourCount: 2, construction: 'flat' };
    const whole = route(chart, usualCosts, 'bobbins');
    const same = cutShort(whole, chart, 0);
    expect(same?.moves.length).toBe(whole.moves.length);
    expect([...(same?.inside ?? [])]).toEqual([...whole.inside]);
    expect(cutShort(whole, { ...chart, columns: 2, rows: 4 }, 0)).toBeUndefined();
    expect(cutShort(whole, { ...chart, rows: 3 }, 0)).toBeUndefined();
  });
});
