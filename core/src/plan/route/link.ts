import {
  behindLast,
  type Chart,
  direction,
  endBoundary,
  firstOf,
  isRound,
  reaches,
  startBoundary,
  stitchesBetween,
} from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { CARRY, CLIMB, CUT, FLOAT_RISING, FLOAT_UP, type MoveList } from './moves.ts';
import type { OwnCells } from './ownCells.ts';

/** Costs nearer than this are the same; of two like ways the one that leaves the strand at rest longer is taken. */
const equal = 1e-9;

/** Where a strand may hang between two of its uses, with the cheapest way there. */
interface Hanging {
  /** Boundary; in rounds the seam is boundary 0. */
  readonly at: number;
  /** Rows climbed or floated up in the present stretch. */
  readonly stretch: number;
  readonly cost: number;
  readonly step?: Step;
}

interface Step {
  readonly kind: number;
  readonly row: number;
  readonly from: number;
  readonly to: number;
  readonly before?: Step | undefined;
}

/** Two successive uses of one strand: it ends at boundary `end` of row `row` and is wanted at `start` of `nextRow`. */
export interface Gap {
  readonly row: number;
  readonly end: number;
  readonly nextRow: number;
  readonly start: number;
}

/** Finds the cheapest bridges between uses in different rows. Made once for a chart and its costs. */
export class Linker {
  private readonly chart: Chart;
  private readonly costs: StrandCosts;
  private readonly cut: number;
  private readonly columns: number;
  private readonly round: boolean;
  /** Of each row its first column, the one behind its last, and the price of carrying over one column. */
  private readonly first: Int32Array;
  private readonly behind: Int32Array;
  private readonly perColumn: Float64Array;

  /** Price of what shows of one stitch, and where it does not. */
  private readonly perShown: number;
  private readonly own: OwnCells | undefined;
  private strand = 0;

  /** @param own where colours are divided among strands: the stitches in which a strand does not show */
  constructor(chart: Chart, costs: StrandCosts, own?: OwnCells) {
    this.own = own;
    this.perShown = costs.perShow * costs.showing;
    this.chart = chart;
    this.costs = costs;
    this.cut = cutCost(costs);
    this.columns = chart.columns;
    this.round = isRound(chart.construction);
    // Asked for many thousand times, of charts of many shapes.
    this.first = Int32Array.from({ length: chart.rows }, (_, row) => firstOf(chart, row));
    this.behind = Int32Array.from({ length: chart.rows }, (_, row) => behindLast(chart, row));
    this.perColumn = Float64Array.from({ length: chart.rows }, (_, row) => carryCost(costs, chart.scale?.[row] ?? 1));
  }

  /** Adds the moves of the cheapest bridge. Staying attached is preferred to an equally dear cut. @returns its cost */
  link(colour: number, gap: Gap, moves: MoveList): number {
    this.strand = colour;
    return this.take(colour, this.search(gap, gap.row + 1, this.afterUse(gap)), gap, moves);
  }

  /**
   * Costs of the bridges from one use to uses that begin at the same boundary in later rows, in one sweep up the rows.
   * @param nextRows rising, all above `row` @param each told the index in `nextRows` and what `link` would cost
   */
  costsUp(
    strand: number,
    { row, end, start }: Omit<Gap, 'nextRow'>,
    nextRows: readonly number[],
    each: (index: number, cost: number) => void,
  ): void {
    this.strand = strand;
    const gap = { row, end, start, nextRow: row };
    let states = this.afterUse(gap);
    let next = row + 1;
    nextRows.forEach((nextRow, i) => {
      for (; next < nextRow && states.length; next++) states = this.between(gap, next, states);
      gap.nextRow = nextRow;
      each(i, Math.min(this.cheapest(gap, states)?.cost ?? this.cut, this.cut));
    });
  }

  /**
   * The bridge for a strand that already hangs at boundary `at` when the hook comes to row `row`, having climbed or
   * floated up for `stretch` rows. @returns the cost of what is still to be done
   */
  linkOn(colour: number, hangs: { row: number; at: number; stretch: number }, gap: Gap, moves: MoveList): number {
    this.strand = colour;
    const { row, at, stretch } = hangs;
    const best = this.search(gap, row, [{ at: this.place(at), stretch, cost: 0 }]);
    return this.take(colour, best, { ...gap, row: row - 1, end: at }, moves);
  }

  /** Whether the hook goes straight on in the colour: the next row begins where this one ended. */
  private goesOn(gap: Gap): boolean {
    const at = startBoundary(this.chart, gap.nextRow);
    return gap.nextRow === gap.row + 1 && gap.end === endBoundary(this.chart, gap.row) && gap.start === at;
  }

  private take(colour: number, best: Hanging | undefined, gap: Gap, moves: MoveList): number {
    if (this.costs.cutsAlways && !this.goesOn(gap)) {
      moves.add(CUT, colour, gap.row, gap.end, gap.nextRow);
      return this.cut;
    }
    if (!best || best.cost > this.cut || this.chart.construction === 'right-side') {
      moves.add(CUT, colour, gap.row, gap.end, gap.nextRow);
      return this.cut;
    }
    const steps: Step[] = [];
    for (let step = best.step; step; step = step.before) steps.push(step);
    for (const step of steps.reverse()) moves.add(step.kind, colour, step.row, step.from, step.to);
    return best.cost;
  }

  private search(gap: Gap, from: number, at: Hanging[]): Hanging | undefined {
    let states = at;
    for (let row = from; row < gap.nextRow && states.length; row++) states = this.between(gap, row, states);
    return this.cheapest(gap, states);
  }

  private cheapest(gap: Gap, states: readonly Hanging[]): Hanging | undefined {
    let best: Hanging | undefined;
    for (const state of states) {
      const arrived = this.arrive(gap, state);
      if (arrived && (!best || arrived.cost < best.cost - equal)) best = arrived;
    }
    return best;
  }

  private place(boundary: number): number {
    return this.round && boundary === this.columns ? 0 : boundary;
  }

  private isEdge(at: number): boolean {
    return at === 0 || at === this.columns;
  }

  /** Where the hook meets a strand that hangs at `at` when it works `row`, or undefined if only at the row's end. */
  private met(at: number, row: number): number | undefined {
    if (!this.isEdge(at)) return reaches(this.chart, row, at) ? at : undefined;
    const start = startBoundary(this.chart, row);
    return this.round || at === start ? start : undefined;
  }

  private column(row: number, boundary: number): number {
    if (boundary === 0) return this.first[row] as number;
    return boundary === this.columns ? (this.behind[row] as number) : boundary;
  }

  private carried(state: Hanging, row: number, from: number, to: number): Hanging {
    const columns = Math.abs(this.column(row, from) - this.column(row, to));
    const hidden = this.own ? this.own.between(this.strand, row, from, to) * this.perShown : 0;
    const cost = state.cost + columns * (this.perColumn[row] as number) - hidden;
    return { at: this.place(to), stretch: 0, cost, step: { kind: CARRY, row, from, to, before: state.step } };
  }

  private afterUse(gap: Gap): Hanging[] {
    const stay: Hanging = { at: this.place(gap.end), stretch: 0, cost: 0 };
    const end = endBoundary(this.chart, gap.row);
    if (gap.end === end) return [stay];
    const states = [stay, this.carried(stay, gap.row, gap.end, end)];
    const within = reaches(this.chart, gap.row, gap.start);
    const ahead = within && (gap.start - gap.end) * direction(this.chart.construction, gap.row) > 0;
    if (ahead && gap.start !== end) states.push(this.carried(stay, gap.row, gap.end, gap.start));
    return this.kept(states);
  }

  /** One row in which the colour is not used. */
  private between(gap: Gap, row: number, states: readonly Hanging[]): Hanging[] {
    const next: Hanging[] = [];
    const end = endBoundary(this.chart, row);
    const d = direction(this.chart.construction, row);
    for (const state of states) {
      const stayed = this.stayed(state, row);
      if (stayed) next.push(stayed);
      const from = this.met(state.at, row);
      if (from === undefined) continue;
      if (from !== end) next.push(this.carried(state, row, from, end));
      // Only an edge or the next place of use can be found again, so a carry ends nowhere else.
      const within = !this.isEdge(gap.start) && reaches(this.chart, row, gap.start);
      if (within && state.at !== gap.start && (gap.start - from) * d > 0) {
        next.push(this.carried(state, row, from, gap.start));
      }
    }
    return this.kept(next);
  }

  private stayed(state: Hanging, row: number): Hanging | undefined {
    const { costs } = this;
    const edge = this.isEdge(state.at);
    const stretch = state.stretch + 1;
    if (stretch > (edge ? costs.climbLimit : costs.floatUpLimit)) return undefined;
    const price = costs.rowHeight * costs.perMm + (edge ? 0 : costs.perFloat);
    if (price === Number.POSITIVE_INFINITY) return undefined;
    const step = { kind: edge ? CLIMB : FLOAT_UP, row, from: state.at, to: state.at, before: state.step };
    return { at: state.at, stretch, cost: state.cost + price, step };
  }

  /** In the row of use: take it up, carry it on to its place, or float it there. */
  private arrive(gap: Gap, state: Hanging): Hanging | undefined {
    const { costs } = this;
    const row = gap.nextRow;
    if (state.at === this.place(gap.start)) return state;
    const found: Hanging[] = [];
    const from = this.met(state.at, row);
    if (from !== undefined && (gap.start - from) * direction(this.chart.construction, row) > 0) {
      found.push(this.carried(state, row, from, gap.start));
    }
    const across = stitchesBetween(this.chart, row, gap.start, state.at);
    const round = stitchesBetween(this.chart, row, 0, this.columns);
    const stitches = this.round ? Math.min(across, round - across) : across;
    if (!reaches(this.chart, row, state.at)) return found[0];
    if (stitches <= costs.floatLimit && costs.perFloat !== Number.POSITIVE_INFINITY) {
      const length = Math.hypot(stitches * costs.stitchWidth, costs.rowHeight);
      const step = { kind: FLOAT_RISING, row, from: state.at, to: gap.start, before: state.step };
      found.push({
        at: gap.start,
        stretch: 0,
        cost: state.cost + length * costs.perMm + stitches * costs.perFloat,
        step,
      });
    }
    return found.reduce<Hanging | undefined>((a, b) => (a && a.cost <= b.cost + equal ? a : b), undefined);
  }

  /** The best state for each place and stretch that is not dearer than a cut. */
  private kept(states: readonly Hanging[]): Hanging[] {
    const best: Hanging[] = [];
    for (const state of states) {
      if (state.cost > this.cut) continue;
      const i = best.findIndex((other) => other.at === state.at && other.stretch === state.stretch);
      if (i >= 0 && state.cost >= (best[i] as Hanging).cost - equal) continue;
      if (i >= 0) best.splice(i, 1);
      best.push(state);
    }
    return best;
  }
}
