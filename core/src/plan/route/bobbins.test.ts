import fc from 'fast-check';
import { checkStrands } from '../check/strands.ts';
import { assign } from './assignment.ts';
import { type Chart, type Construction, eachRun } from './chart.ts';
import { costsFor, cutCost, type StrandCosts, usualCosts } from './costs.ts';
import { Linker } from './link.ts';
import { MoveList } from './moves.ts';
import { route, totalsByColour } from './route.ts';

function chart(rows: readonly string[]): Chart {
  const colours = Uint8Array.from(rows.join(''), (mark) => mark.charCodeAt(0) - 65);
  const columns = rows[0]?.length ?? 0;
  return { rows: rows.length, columns, colours, colourCount: 2, construction: 'flat' };
}

describe('two motifs of 5 far apart, with cheap ends', () => {
  const row = `${'A'.repeat(5)}${'B'.repeat(5)}${'A'.repeat(40)}${'B'.repeat(5)}${'A'.repeat(5)}`;
  const from = chart([row, row, row, row]);
  const costs = { ...usualCosts, perEnd: 10 };

  it('with one strand it is cut in every row: 5 × 23 = 115, 10 ends', () => {
    const [, b] = totalsByColour(route(from, costs, 'least-cost'), 2);
    expect([b?.cost, b?.ends]).toEqual([115, 10]);
  });

  it('with bobbins two strands: 2 × 23 + 30 = 76, 4 ends, nothing carried', () => {
    const strands = route(from, costs, 'bobbins');
    const [, b] = totalsByColour(strands, 2);
    expect((b?.cost ?? 0) + (strands.bobbins[1] as number) * costs.perBobbin).toBe(76);
    expect([b?.ends, b?.carried, strands.bobbins[1]]).toEqual([4, 0, 1]);
    expect(checkStrands(from, strands).ok).toBe(true);
  });
});

/** Every way to divide the runs of one colour among strands, by trying them all. */
function cheapestDivision(from: Chart, costs: StrandCosts, colour: number): number {
  const runs: { row: number; start: number; end: number }[] = [];
  for (let row = 0; row < from.rows; row++) {
    eachRun(from, row, (own, start, end) => {
      if (own === colour) runs.push({ row, start, end });
    });
  }
  const linker = new Linker(from, costs);
  const price = (a: number, b: number) => {
    const [x, y] = [runs[a], runs[b]] as [(typeof runs)[0], (typeof runs)[0]];
    if (x.row !== y.row) {
      return linker.link(0, { row: x.row, end: x.end, nextRow: y.row, start: y.start }, new MoveList());
    }
    const apart = Math.abs(x.end - y.start);
    const carried = apart * (costs.stitchWidth * (1 + costs.ease) * costs.perMm + costs.perCarried + costs.perShow);
    return Math.min(carried, cutCost(costs));
  };
  let best = Number.POSITIVE_INFINITY;
  const ends: number[] = [];
  const walk = (run: number, cost: number) => {
    if (run === runs.length) {
      best = Math.min(best, cost);
      return;
    }
    for (let i = 0; i < ends.length; i++) {
      const at = ends[i] as number;
      ends[i] = run;
      walk(run + 1, cost + price(at, run));
      ends[i] = at;
    }
    ends.push(run);
    walk(run + 1, cost + cutCost(costs));
    ends.pop();
  };
  walk(0, 0);
  return runs.length ? best : 0;
}

describe('dividing colours among bobbins', () => {
  it('is as cheap as the best of all divisions where bobbins cost nothing', () => {
    const rows = fc.array(fc.string({ unit: fc.constantFrom('A', 'B'), minLength: 6, maxLength: 6 }), {
      minLength: 2,
      maxLength: 3,
    });
    fc.assert(
      fc.property(rows, fc.constantFrom(0.5, 3, 40), (drawn, perEnd) => {
        const from = chart(drawn);
        const costs = { ...usualCosts, perEnd, perBobbin: 0, floatLimit: 0, floatUpLimit: 0 };
        const strands = route(from, costs, 'bobbins');
        expect(checkStrands(from, strands).ok).toBe(true);
        totalsByColour(strands, 2).forEach((total, colour) => {
          expect(total.cost).toBeCloseTo(cheapestDivision(from, costs, colour), 6);
        });
      }),
      { numRuns: 150 },
    );
  });

  it('is never dearer than one strand, bobbins and all', () => {
    const rows = fc.array(fc.string({ unit: fc.constantFrom('A', 'B'), minLength: 9, maxLength: 9 }), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(rows, (drawn) => {
        const from = chart(drawn);
        const single = totalsByColour(route(from, usualCosts, 'least-cost'), 2);
        const strands = route(from, usualCosts, 'bobbins');
        totalsByColour(strands, 2).forEach((total, colour) => {
          const whole = total.cost + (strands.bobbins[colour] as number) * usualCosts.perBobbin;
          expect(whole).toBeLessThanOrEqual((single[colour]?.cost ?? 0) + 1e-6);
        });
      }),
      { numRuns: 100 },
    );
  });

  it('goes on above 300 runs of a colour, and still serves every stitch', () => {
    const rows = Array.from({ length: 40 }, (_, r) => (r % 2 ? 'AB' : 'BA').repeat(20));
    const from = chart(rows);
    expect(checkStrands(from, route(from, usualCosts, 'bobbins')).ok).toBe(true);
  });
});

describe('all bridges from one use up the rows', () => {
  it('cost what each by itself does, in every construction but one side, with floats and without', () => {
    const rows = fc.array(fc.string({ unit: fc.constantFrom('A', 'B'), minLength: 7, maxLength: 7 }), {
      minLength: 2,
      maxLength: 12,
    });
    const places = fc.record({ end: fc.integer({ min: 1, max: 7 }), start: fc.integer({ min: 0, max: 7 }) });
    const made = fc.constantFrom<Construction>('flat', 'rounds', 'turned-rounds', 'paired');
    const ways = fc.record({ perEnd: fc.constantFrom(0.5, 3, 40), floatUpLimit: fc.constantFrom(0, 1, 3) });
    fc.assert(
      fc.property(rows, places, ways, made, (drawn, { end, start }, own, construction) => {
        const from: Chart = { ...chart(drawn), construction };
        const costs = { ...usualCosts, ...own };
        const linker = new Linker(from, costs);
        const above = Array.from({ length: drawn.length - 1 }, (_, i) => i + 1).filter((row) => row % 3 !== 1);
        const told: number[] = [];
        linker.costsUp(0, { row: 0, end, start }, above, (i, cost) => {
          told[i] = cost;
        });
        const singly = above.map((nextRow) => linker.link(0, { row: 0, end, nextRow, start }, new MoveList()));
        expect(told).toEqual(singly);
      }),
      { numRuns: 300 },
    );
  });
});

describe('side only', () => {
  it('climbs or is cut, and carries nothing', () => {
    const from = chart([...'AAABBBAB'].map((mark) => mark.repeat(12)));
    const costs = costsFor('side-only', true, { stitchWidth: 5, rowHeight: 5 });
    for (const total of totalsByColour(route(from, costs, 'least-cost'), 2)) {
      expect([total.carried, total.floats]).toEqual([0, 0]);
    }
  });
});

describe('assignment', () => {
  it('finds the cheapest of all ways to give each row a column', () => {
    const tables = fc.array(fc.array(fc.nat(20), { minLength: 6, maxLength: 6 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(tables, (table) => {
        const columns = assign(table.length, 6, (row, column) => table[row]?.[column] as number);
        expect(new Set(columns).size).toBe(table.length);
        const cost = Array.from(columns).reduce((sum, column, row) => sum + (table[row]?.[column] as number), 0);
        const least = (row: number, taken: ReadonlySet<number>): number => {
          if (row === table.length) return 0;
          let best = Number.POSITIVE_INFINITY;
          for (let column = 0; column < 6; column++) {
            if (taken.has(column)) continue;
            best = Math.min(best, (table[row]?.[column] as number) + least(row + 1, new Set([...taken, column])));
          }
          return best;
        };
        expect(cost).toBe(least(0, new Set()));
      }),
      { numRuns: 60 },
    );
  });
});
