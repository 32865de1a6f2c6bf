import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { checkStrands } from '../check/strands.ts';
import { type Chart, direction, eachRun } from './chart.ts';
import { cutCost, usualCosts } from './costs.ts';
import { goOn } from './goOn.ts';
import { hangingMap, OFF } from './hangs.ts';
import { CARRY, CLIMB, CUT } from './moves.ts';
import { route } from './route.ts';
import type { Strands } from './strands.ts';

function chart(rows: readonly string[], construction: Chart['construction'] = 'flat'): Chart {
  const colours = Uint8Array.from(rows.join(''), (mark) => mark.charCodeAt(0) - 65);
  return { rows: rows.length, columns: rows[0]?.length ?? 0, colours, colourCount: 3, construction };
}

function list({ moves }: Strands, keep: (i: number) => boolean = () => true): number[][] {
  const found: number[][] = [];
  for (let i = 0; i < moves.length; i++) {
    if (!keep(i)) continue;
    found.push([moves.kind, moves.colour, moves.row, moves.from, moves.to].map((part) => part[i] as number));
  }
  return found;
}

const total = (strands: Strands) => strands.totals.reduce((sum, each) => sum + each.cost, 0);

function proved(whole: Chart, strands: Strands): Strands {
  const proof = checkStrands(whole, strands);
  expect(proof.ok ? [] : proof.problems.map((problem) => told(problem).message)).toEqual([]);
  return strands;
}

const construction = fc.constantFrom('flat' as const, 'turned-rounds' as const, 'rounds' as const);
const way = fc.constantFrom('least-cost' as const, 'carry-always' as const);
const rowsOf = (columns: number) =>
  fc.array(
    fc.array(fc.constantFrom('A', 'B', 'C'), { minLength: columns, maxLength: columns }).map((cells) => cells.join('')),
    { minLength: 2, maxLength: 12 },
  );

const stripes = ['AAAA', 'AAAA', 'BBBB', 'BBBB'];

/** Where a colour is used again after a move, in a chart: the boundary at which that run begins. */
function nextStart(whole: Chart, colour: number, row: number, to: number): number | undefined {
  for (let r = row; r < whole.rows; r++) {
    let found: number | undefined;
    eachRun(whole, r, (own, start) => {
      const ahead = r > row || (start - to) * direction(whole.construction, r) >= 0;
      if (own === colour && ahead) found ??= start;
    });
    if (found !== undefined) return found;
  }
  return undefined;
}

/**
 * Whether the old plan took a strand to a place inside the cloth, for a use that the new one has not. One who had known
 * would not have looked for it there, and now and then it hangs better there than anywhere that is looked at.
 */
function strayed({ moves }: Strands, next: Chart, row: number): boolean {
  for (let i = 0; i < moves.length; i++) {
    const [kind, colour, at, to] = [moves.kind, moves.colour, moves.row, moves.to].map((part) => part[i] as number);
    if (kind !== CARRY || (at as number) >= row || to === 0 || to === next.columns) continue;
    if (nextStart(next, colour as number, at as number, to as number) !== to) return true;
  }
  return false;
}

describe('going on from a row that is reached', () => {
  it('changes nothing in a plan that is not changed, and costs what it cost', () => {
    fc.assert(
      fc.property(rowsOf(7), construction, fc.nat(12), (rows, made, at) => {
        const whole = chart(rows, made);
        const before = route(whole, usualCosts, 'least-cost');
        const after = proved(whole, goOn(before, whole, Math.min(at, whole.rows), usualCosts, 'least-cost'));
        expect(total(after)).toBeCloseTo(total(before), 6);
      }),
      { numRuns: 200 },
    );
  });

  it('keeps every move that was made, whatever is to come, and can be worked', () => {
    fc.assert(
      fc.property(rowsOf(6), rowsOf(6), construction, way, fc.nat(12), (first, second, made, how, at) => {
        const row = Math.min(at, first.length);
        const before = route(chart(first, made), usualCosts, how);
        const next = chart([...first.slice(0, row), ...second], made);
        const after = proved(next, goOn(before, next, row, usualCosts, how));
        const { moves } = before;
        const done = (of: Strands) => list(of, (i) => (of.moves.row[i] as number) < row && of.moves.kind[i] !== CUT);
        expect(done(after).sort()).toEqual(done(before).sort());
        const joined = list(before, (i) => moves.kind[i] === CUT && (moves.to[i] as number) < row);
        const kept = list(after);
        for (const cut of joined) expect(kept).toContainEqual(cut);
      }),
      { numRuns: 200 },
    );
  });

  it('is never cheaper than the best way that knew from the beginning, but from a place that this one had no use for', () => {
    fc.assert(
      fc.property(rowsOf(6), rowsOf(6), construction, fc.nat(12), (first, second, made, at) => {
        const row = Math.min(at, first.length);
        const next = chart([...first.slice(0, row), ...second], made);
        const before = route(chart(first, made), usualCosts, 'least-cost');
        fc.pre(!strayed(before, next, row));
        const after = goOn(before, next, row, usualCosts, 'least-cost');
        expect(total(after)).toBeGreaterThanOrEqual(total(route(next, usualCosts, 'least-cost')) - 1e-6);
      }),
      { numRuns: 200 },
    );
  });

  it('stripes of two rows, swapped after four: B hangs at the edge and climbs on, worked by hand', () => {
    const before = route(chart([...stripes, ...stripes]), usualCosts, 'least-cost');
    // A climbed rows 3 and 4 (2, 3 from 0) at the edge where row 2 ended; now B goes on and A waits two rows more.
    const next = chart(['AAAA', 'AAAA', 'BBBB', 'BBBB', 'BBBB', 'BBBB', 'AAAA', 'AAAA']);
    const after = proved(next, goOn(before, next, 4, usualCosts, 'least-cost'));
    expect(list(after)).toEqual([
      [CLIMB, 0, 2, 0, 0],
      [CLIMB, 0, 3, 0, 0],
      [CLIMB, 0, 4, 0, 0],
      [CLIMB, 0, 5, 0, 0],
    ]);
    // Two rows more are past the four that a strand may climb: it is carried out and back, cheaper than a cut.
    const later = chart([...Array(2).fill('AAAA'), ...Array(6).fill('BBBB'), 'AAAA']);
    const far = proved(later, goOn(before, later, 4, usualCosts, 'least-cost'));
    expect(far.totals[0]).toMatchObject({ climbedRows: 4, carried: 8, cuts: 0 });
  });

  it('a colour that was fastened off is joined anew, and one that comes no more is only ended', () => {
    const before = route(chart(['BBBB', 'AAAA', 'AAAA', 'AAAA', 'AAAA', 'AAAA', 'AAAA']), usualCosts, 'least-cost');
    const back = chart(['BBBB', 'AAAA', 'AAAA', 'AAAA', 'AAAA', 'BBBB']);
    const joined = proved(back, goOn(before, back, 4, usualCosts, 'least-cost'));
    expect(list(joined)).toEqual([[CUT, 1, 0, 4, 5]]);
    // A: tails at both ends; B the same twice.
    expect(total(joined)).toBeCloseTo(3 * cutCost(usualCosts), 9);
    const planned = route(chart([...stripes, ...stripes]), usualCosts, 'least-cost');
    const short = chart(['AAAA', 'AAAA', 'BBBB', 'BBBB']);
    const ended = proved(short, goOn(planned, short, 3, usualCosts, 'least-cost'));
    expect(list(ended)).toEqual([[CLIMB, 0, 2, 0, 0]]);
    expect(hangingMap(short, ended.moves).at(-3)).toBe(OFF);
  });

  it('carried always: what hangs inside goes on inside', () => {
    const rows = ['AABB', 'AABB', 'BBAA', 'BBAA'];
    const before = route(chart(rows), usualCosts, 'carry-always');
    const next = chart(['AABB', 'AABB', 'AAAA', 'ABAB']);
    const after = proved(next, goOn(before, next, 2, usualCosts, 'carry-always'));
    expect(list(after, (i) => after.moves.row[i] === 3 && after.moves.kind[i] === CARRY).length).toBeGreaterThan(0);
    expect(after.totals[1]).toMatchObject({ cuts: 0 });
  });
});
