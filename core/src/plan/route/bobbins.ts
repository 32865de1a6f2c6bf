import { assign } from './assignment.ts';
import { type Chart, columnsFrom, columnsTo, eachRun, stitchesBetween } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { MoveList } from './moves.ts';
import { OwnCells } from './ownCells.ts';
import type { Strands } from './strands.ts';

/** Up to so many runs of a colour are divided exactly, more of them greedily. */
const exactUpTo = 300;
/** Strands that a greedy run looks at. */
const looksAt = 4;

interface Run {
  readonly row: number;
  readonly start: number;
  readonly end: number;
}

function runsByColour(chart: Chart): Run[][] {
  const runs: Run[][] = Array.from({ length: chart.colourCount }, () => []);
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (colour, start, end) => (runs[colour] as Run[]).push({ row, start, end }));
  }
  return runs;
}

/** Price of going from one run to a later one with the same strand; infinite where a new strand is as good. */
class Bridges {
  private readonly chart: Chart;
  private readonly costs: StrandCosts;
  private readonly linker: Linker;
  private readonly own: OwnCells;
  private readonly thrown = new MoveList();

  constructor(chart: Chart, costs: StrandCosts) {
    this.chart = chart;
    this.costs = costs;
    this.own = new OwnCells(
      chart,
      Array.from({ length: chart.colourCount }, (_, colour) => colour),
    );
    this.linker = new Linker(chart, costs, this.own);
  }

  price(colour: number, from: Run, to: Run): number {
    const { chart, costs } = this;
    if (from.row === to.row) {
      const n = stitchesBetween(chart, from.row, from.end, to.start);
      const float =
        n <= costs.floatLimit ? n * (costs.stitchWidth * costs.perMm + costs.perFloat) : Number.POSITIVE_INFINITY;
      const hidden = this.own.between(colour, from.row, from.end, to.start) * costs.perShow * costs.showing;
      return Math.min(carryCost(costs, n) - hidden, float, cutCost(costs));
    }
    this.thrown.length = 0;
    return this.linker.link(colour, { row: from.row, end: from.end, nextRow: to.row, start: to.start }, this.thrown);
  }

  /** The same from one run to runs in later rows that all begin at the same boundary, in the order of rows. */
  pricesUp(colour: number, from: Run, above: readonly Run[], each: (index: number, price: number) => void): void {
    const [first] = above;
    if (!first) return;
    const gap = { row: from.row, end: from.end, start: first.start };
    this.linker.costsUp(
      colour,
      gap,
      above.map(({ row }) => row),
      each,
    );
  }
}

/** For each run the run before it on its strand, or −1 where a strand begins. @param begun price of a new strand */
type Division = Int32Array;

function divideExactly(runs: readonly Run[], prices: Float64Array, begun: number): Division {
  const n = runs.length;
  const columns = assign(n, 2 * n, (run, column) => {
    if (column >= n) return column - n === run ? begun : 1e12;
    return column < run ? Math.min(prices[column * n + run] as number, 1e12) : 1e12;
  });
  return Int32Array.from(columns, (column) => (column >= n ? -1 : column));
}

function divideGreedily(colour: number, runs: readonly Run[], bridges: Bridges, begun: number): Division {
  const before = new Int32Array(runs.length).fill(-1);
  const open: number[] = [];
  runs.forEach((run, i) => {
    const near = open
      .map((at, strand) => ({ at, strand, far: Math.abs((runs[at] as Run).end - run.start) }))
      .sort((a, b) => a.far - b.far)
      .slice(0, looksAt);
    let best: { strand: number; price: number } | undefined;
    for (const { at, strand } of near) {
      const price = bridges.price(colour, runs[at] as Run, run);
      if (price <= begun && (!best || price < best.price)) best = { strand, price };
    }
    if (best) {
      before[i] = open[best.strand] as number;
      open[best.strand] = i;
    } else open.push(i);
  });
  return before;
}

/** Strands of a colour that begin while another of it still has stitches to come. */
export function bobbinsOf(chart: Chart, colourOf: readonly number[], colours: number): number[] {
  // One strand a colour leaves nothing to count.
  if (colourOf.length === colours) return new Array<number>(colours).fill(0);
  const last = new Array<number>(chart.colourCount).fill(-1);
  const first = new Array<number>(chart.colourCount).fill(-1);
  let at = 0;
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (strand) => {
      if ((first[strand] as number) < 0) first[strand] = at;
      last[strand] = at++;
    });
  }
  const counts = new Array<number>(colours).fill(0);
  colourOf.forEach((colour, strand) => {
    const begins = first[strand] as number;
    const busy = colourOf.some(
      (other, i) => i !== strand && other === colour && (first[i] as number) < begins && (last[i] as number) > begins,
    );
    if (begins >= 0 && busy) (counts[colour] as number)++;
  });
  return counts;
}

/** The same chart with a number of its own for every strand. */
function dividedChart(
  chart: Chart,
  runs: readonly Run[][],
  divisions: readonly Division[],
): { chart: Chart; colourOf: number[] } {
  const colours = new Uint16Array(chart.colours);
  const colourOf: number[] = [];
  runs.forEach((own, colour) => {
    const strandOf = new Int32Array(own.length);
    own.forEach((run, i) => {
      const before = divisions[colour]?.[i] as number;
      if (before < 0) {
        strandOf[i] = colourOf.length;
        colourOf.push(colour);
      } else strandOf[i] = strandOf[before] as number;
      const from = columnsFrom(chart, run.row, run.start, run.end);
      const to = columnsTo(chart, run.row, run.start, run.end);
      colours.fill(strandOf[i] as number, run.row * chart.columns + from, run.row * chart.columns + to);
    });
  });
  return { chart: { ...chart, colours, colourCount: colourOf.length }, colourOf };
}

/** What a way costs with the bobbins it takes. */
function wholeCost(strands: Strands, costs: StrandCosts, colour: number): number {
  const own = strands.totals.filter((_, strand) => strands.colourOf[strand] === colour);
  return own.reduce((sum, total) => sum + total.cost, 0) + (strands.bobbins[colour] as number) * costs.perBobbin;
}

/**
 * Divides each colour among strands of its own where that is cheaper than one strand: exactly up to 300 runs of a
 * colour, by the nearest strands above. docs/strand-routing.md, “Bobbins”. Right-side rows need no division.
 * @param finish routes a divided chart
 */
export function withBobbins(
  chart: Chart,
  costs: StrandCosts,
  single: Strands,
  finish: (chart: Chart, colourOf: readonly number[]) => Strands,
): Strands {
  if (chart.construction === 'right-side') return single;
  const runs = runsByColour(chart);
  const bridges = new Bridges(chart, costs);
  const chosen: Division[] = runs.map((own) => Int32Array.from(own, (_, i) => i - 1));
  let best = single;
  runs.forEach((own, colour) => {
    if (own.length < 2) return;
    const prices = own.length <= exactUpTo ? allPrices(colour, own, bridges) : undefined;
    for (const begun of [cutCost(costs), cutCost(costs) + costs.perBobbin]) {
      const division = prices ? divideExactly(own, prices, begun) : divideGreedily(colour, own, bridges, begun);
      const tried = chosen.map((each, i) => (i === colour ? division : each));
      const { chart: divided, colourOf } = dividedChart(chart, runs, tried);
      const routed = finish(divided, colourOf);
      if (wholeCost(routed, costs, colour) < wholeCost(best, costs, colour) - 1e-9) {
        best = routed;
        chosen[colour] = division;
      }
    }
  });
  return best;
}

/** The price from each run to each later one, row by row of the earlier; infinite elsewhere. */
function allPrices(colour: number, runs: readonly Run[], bridges: Bridges): Float64Array {
  const n = runs.length;
  const prices = new Float64Array(n * n).fill(Number.POSITIVE_INFINITY);
  const byStart = new Map<number, number[]>();
  runs.forEach(({ start }, i) => {
    byStart.set(start, [...(byStart.get(start) ?? []), i]);
  });
  runs.forEach((from, i) => {
    for (let to = i + 1; to < n && runs[to]?.row === from.row; to++) {
      prices[i * n + to] = bridges.price(colour, from, runs[to] as Run);
    }
    for (const alike of byStart.values()) {
      const above = alike.filter((to) => (runs[to] as Run).row > from.row);
      bridges.pricesUp(
        colour,
        from,
        above.map((to) => runs[to] as Run),
        (at, price) => {
          prices[i * n + (above[at] as number)] = price;
        },
      );
    }
  });
  return prices;
}
