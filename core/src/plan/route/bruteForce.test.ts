import fc from 'fast-check';
import type { Construction } from './chart.ts';
import { type StrandCosts, usualCosts } from './costs.ts';
import { route } from './route.ts';

/*
 * A second way to the cheapest strands that shares nothing with the first: it walks the hook stitch by stitch and
 * tries whatever a maker could do with one strand at each boundary. Slow, and only for small charts.
 */

/** Not attached, hanging, being carried along, or in the hand after its own stitch. */
type Mode = 'off' | 'hangs' | 'carried' | 'hand';

interface State {
  readonly mode: Mode;
  readonly at: number;
  readonly stretch: number;
  /** Since when it hangs there: from its own use in this row, moved in this row, or from an earlier row. */
  readonly since: 'use' | 'moved' | 'earlier';
}

class Walk {
  private readonly rows: readonly string[];
  private readonly construction: Construction;
  private readonly colour: string;
  private readonly costs: StrandCosts;
  private readonly columns: number;
  private states = new Map<string, { state: State; cost: number }>();
  private next = new Map<string, { state: State; cost: number }>();

  constructor(rows: readonly string[], construction: Construction, colour: string, costs: StrandCosts) {
    this.rows = rows;
    this.construction = construction;
    this.colour = colour;
    this.costs = costs;
    this.columns = rows[0]?.length ?? 0;
  }

  cheapest(): number {
    const used = this.rows.flatMap((row, r) => (row.includes(this.colour) ? [r] : []));
    const [first, last] = [used[0], used.at(-1)];
    if (first === undefined || last === undefined) return 0;
    this.keep({ mode: 'off', at: 0, stretch: 0, since: 'earlier' }, 0);
    this.advance();
    for (let row = first; row <= last; row++) {
      for (let n = 0; n < this.width(row); n++) this.stitch(row, n);
      this.turn(row);
    }
    return Math.min(...[...this.states.values()].map((each) => each.cost));
  }

  private get round(): boolean {
    return this.construction === 'rounds' || this.construction === 'turned-rounds';
  }

  private isBack(row: number): boolean {
    if (this.construction === 'paired') return [2, 3].includes(row % 4);
    return (this.construction === 'flat' || this.construction === 'turned-rounds') && row % 2 === 1;
  }

  /** Dots before and behind a row are places that it does not reach. */
  private low(row: number): number {
    return (this.rows[row] as string).search(/[^.]/);
  }

  private width(row: number): number {
    return (this.rows[row] as string).replaceAll('.', '').length;
  }

  /** Where the hook stands before the n-th stitch of a row; the edges of every row are one place each. */
  private boundary(row: number, n: number): number {
    const low = this.low(row);
    const high = low + this.width(row);
    const at = this.isBack(row) ? high - n : low + n;
    if (this.round) return at % this.columns;
    return at === low ? 0 : at === high ? this.columns : at;
  }

  private colourOf(row: number, n: number): string | undefined {
    const at = this.isBack(row) ? this.width(row) - 1 - n : n;
    return this.rows[row]?.[this.low(row) + at];
  }

  /** Where the strand is wanted next, looking on from before the n-th stitch of a row. */
  private wantedAt(row: number, n: number): number | undefined {
    for (let r = row; r < this.rows.length; r++) {
      for (let i = r === row ? n : 0; i < this.width(r); i++) {
        if (this.colourOf(r, i) === this.colour) return this.boundary(r, i);
      }
    }
    return undefined;
  }

  private keep(state: State, cost: number): void {
    if (!Number.isFinite(cost)) return;
    const key = Object.values(state).join();
    const known = this.next.get(key);
    if (!known || cost < known.cost) this.next.set(key, { state, cost });
  }

  private advance(): void {
    this.states = this.next;
    this.next = new Map();
  }

  private get join(): number {
    return 2 * this.costs.tail * this.costs.perMm + 2 * this.costs.perEnd;
  }

  private get carry(): number {
    const { stitchWidth, ease, perMm, perCarried, perShow, showing } = this.costs;
    return stitchWidth * (1 + ease) * perMm + perCarried + perShow * showing;
  }

  private stitch(row: number, n: number): void {
    const here = this.boundary(row, n);
    const own = this.colourOf(row, n) === this.colour;
    for (const { state, cost } of this.states.values()) {
      if (own) this.workOwn(state, cost, here);
      else this.passBy(state, cost, here, row, n);
    }
    this.advance();
  }

  private workOwn(state: State, cost: number, here: number): void {
    const hand: State = { mode: 'hand', at: 0, stretch: 0, since: 'use' };
    if (state.mode === 'hand' || state.mode === 'carried') this.keep(hand, cost);
    if (state.mode === 'off') this.keep(hand, cost + this.join);
    if (state.mode !== 'hangs') return;
    if (state.at === here && state.since !== 'use') this.keep(hand, cost);
    const { stitchWidth, rowHeight, perMm, perFloat, floatLimit } = this.costs;
    const apart = Math.abs(state.at - here);
    if (state.since === 'use' && apart <= floatLimit && apart > 0) {
      this.keep(hand, cost + apart * stitchWidth * perMm + apart * perFloat);
    }
    const across = this.round ? Math.min(apart, this.columns - apart) : apart;
    if (state.since === 'earlier' && across <= floatLimit && across > 0) {
      this.keep(hand, cost + Math.hypot(across * stitchWidth, rowHeight) * perMm + across * perFloat);
    }
  }

  private passBy(state: State, cost: number, here: number, row: number, n: number): void {
    const carried: State = { mode: 'carried', at: 0, stretch: 0, since: 'moved' };
    this.keep({ mode: 'off', at: 0, stretch: 0, since: 'earlier' }, cost);
    if (state.mode === 'hand') {
      this.keep({ mode: 'hangs', at: here, stretch: 0, since: 'use' }, cost);
      this.keep(carried, cost + this.carry);
    } else if (state.mode === 'carried') {
      this.keep(carried, cost + this.carry);
      if (this.wantedAt(row, n) === here) this.keep({ mode: 'hangs', at: here, stretch: 0, since: 'moved' }, cost);
    } else if (state.mode === 'hangs') {
      this.keep(state, cost);
      if (state.at === here && state.since === 'earlier') this.keep(carried, cost + this.carry);
    }
  }

  private turn(row: number): void {
    const edge = this.boundary(row, this.width(row));
    const used = this.rows[row]?.includes(this.colour) ?? false;
    const { rowHeight, perMm, perFloat, climbLimit, floatUpLimit } = this.costs;
    for (const { state, cost } of this.states.values()) {
      this.keep({ mode: 'off', at: 0, stretch: 0, since: 'earlier' }, cost);
      if (this.construction === 'right-side' || state.mode === 'off') continue;
      const at = state.mode === 'hangs' ? state.at : edge;
      const rested = state.mode === 'hangs' && state.since === 'earlier' && !used;
      const stretch = rested ? state.stretch + 1 : 0;
      const atEdge = at === 0 || at === this.columns;
      if (rested && stretch > (atEdge ? climbLimit : floatUpLimit)) continue;
      const price = rested ? rowHeight * perMm + (atEdge ? 0 : perFloat) : 0;
      this.keep({ mode: 'hangs', at, stretch, since: 'earlier' }, cost + price);
    }
    this.advance();
  }
}

const charts = fc
  .record({
    rows: fc.integer({ min: 1, max: 7 }),
    columns: fc.integer({ min: 2, max: 6 }),
    colours: fc.integer({ min: 2, max: 3 }),
  })
  .chain(({ rows, columns, colours }) =>
    fc.array(fc.string({ unit: fc.constantFrom(...'ABC'.slice(0, colours)), minLength: columns, maxLength: columns }), {
      minLength: rows,
      maxLength: rows,
    }),
  );

const prices = fc.record({
  climbLimit: fc.nat(4),
  floatUpLimit: fc.nat(2),
  floatLimit: fc.nat(4),
  perEnd: fc.constantFrom(0.2, 2, 40),
  perCarried: fc.constantFrom(0.05, 0.5, 3),
  perFloat: fc.constantFrom(0.05, 0.4, 1),
});

describe('the cheapest way of a strand, found by trying everything a maker could do', () => {
  const constructions: Construction[] = ['flat', 'turned-rounds', 'rounds', 'right-side', 'paired'];
  it.each(constructions)('agrees in every random %s chart', (construction) => {
    fc.assert(
      fc.property(charts, prices, (rows, change) => {
        const costs = { ...usualCosts, ...change };
        const columns = rows[0]?.length ?? 0;
        const colours = Uint8Array.from(rows.join(''), (letter) => letter.charCodeAt(0) - 65);
        const found = route({ rows: rows.length, columns, colours, colourCount: 3, construction }, costs, 'least-cost');
        'ABC'.split('').forEach((letter, colour) => {
          expect(found.totals[colour]?.cost).toBeCloseTo(new Walk(rows, construction, letter, costs).cheapest(), 6);
        });
      }),
      { numRuns: 500 },
    );
  });

  it('agrees in rows that shift and widen, as on the diagonal', () => {
    const shifting = charts.chain((rows) =>
      fc.array(fc.tuple(fc.nat(2), fc.nat(2)), { minLength: rows.length, maxLength: rows.length }).map((dots) =>
        rows.map((row, i) => {
          const [before = 0, behind = 0] = dots[i] ?? [];
          const width = row.length + 4;
          return '.'.repeat(before) + row.padEnd(width, row).slice(0, width - before - behind) + '.'.repeat(behind);
        }),
      ),
    );
    fc.assert(
      fc.property(shifting, prices, (rows, change) => {
        const costs = { ...usualCosts, ...change, floatLimit: 0 };
        const columns = rows[0]?.length ?? 0;
        const colours = Uint8Array.from(rows.join(''), (mark) => (mark === '.' ? 255 : mark.charCodeAt(0) - 65));
        const spans = Int32Array.from(
          rows.flatMap((row) => [row.search(/[^.]/), row.length - (/\.*$/.exec(row)?.[0].length ?? 0)]),
        );
        const chart = { rows: rows.length, columns, colours, colourCount: 3, construction: 'flat' as const, spans };
        const found = route(chart, costs, 'least-cost');
        'ABC'.split('').forEach((letter, colour) => {
          expect(found.totals[colour]?.cost).toBeCloseTo(new Walk(rows, 'flat', letter, costs).cheapest(), 6);
        });
      }),
      { numRuns: 500 },
    );
  });

  it('is itself right about a chart worked by hand', () => {
    // B ends after stitch 5 and is wanted after stitch 8 of the row that comes back: 3 carried, 83 + 3 × 0.802.
    const costs = { ...usualCosts, floatLimit: 0 };
    expect(new Walk(['AAABBAAAAA', 'AAAAAAABAA'], 'flat', 'B', costs).cheapest()).toBeCloseTo(85.406, 6);
  });
});
