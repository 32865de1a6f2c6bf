import { carryAlways } from './carryAlways.ts';
import { type Chart, eachRun, isRound } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, MoveList } from './moves.ts';

/** What became of one colour's strand. Counted again from its moves. */
export interface StrandTotals {
  /** As the search claimed it. */
  cost: number;
  /** The same, priced again from the moves and tails. */
  recounted: number;
  /** Ends to weave in. */
  ends: number;
  cuts: number;
  /** Stitches it is carried over. */
  carried: number;
  climbedRows: number;
  /** Stitches it floats over; a row floated up counts as one. */
  floats: number;
  /** Bridges and tails, mm. */
  extraMm: number;
}

export interface Strands {
  readonly moves: MoveList;
  /** One entry a colour; a colour that is never used has no ends. */
  readonly totals: readonly StrandTotals[];
  /** Idle strands inside each stitch, row-major like the chart. */
  readonly inside: Uint8Array;
}

/** As needed: every gap is bridged in the cheapest way. docs/strand-routing.md. Linear in stitches. */
function asNeeded(chart: Chart, costs: StrandCosts, moves: MoveList): number[] {
  const linker = new Linker(chart, costs);
  const cut = cutCost(costs);
  const perCarry = carryCost(costs, 1);
  const perFloat = costs.stitchWidth * costs.perMm + costs.perFloat;
  const lastRow = new Int32Array(chart.colourCount).fill(-1);
  const lastEnd = new Int32Array(chart.colourCount);
  const cost = new Array<number>(chart.colourCount).fill(0);
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (colour, start, end) => {
      const before = lastRow[colour] as number;
      if (before < 0) cost[colour] = cut;
      else if (before === row) {
        const from = lastEnd[colour] as number;
        const n = Math.abs(start - from);
        const float = n <= costs.floatLimit ? n * perFloat : Number.POSITIVE_INFINITY;
        const carry = n * perCarry;
        const least = Math.min(carry, float);
        if (least > cut) moves.add(CUT, colour, row, from, row);
        else moves.add(carry <= float ? CARRY : FLOAT, colour, row, from, start);
        (cost[colour] as number) += Math.min(least, cut);
      } else {
        const gap = { row: before, end: lastEnd[colour] as number, nextRow: row, start };
        (cost[colour] as number) += linker.link(colour, gap, moves);
      }
      lastRow[colour] = row;
      lastEnd[colour] = end;
    });
  }
  return cost;
}

function countAgain(chart: Chart, costs: StrandCosts, moves: MoveList, claimed: readonly number[]): StrandTotals[] {
  const totals = claimed.map((cost) => ({
    cost,
    recounted: 0,
    ends: cost > 0 ? 2 : 0,
    cuts: 0,
    carried: 0,
    climbedRows: 0,
    floats: 0,
    extraMm: 0,
  }));
  const { stitchWidth, rowHeight, ease } = costs;
  for (let i = 0; i < moves.length; i++) {
    const total = totals[moves.colour[i] as number] as StrandTotals;
    const kind = moves.kind[i];
    const across = Math.abs((moves.to[i] as number) - (moves.from[i] as number));
    if (kind === CARRY) {
      total.carried += across;
      total.extraMm += across * stitchWidth * (1 + ease);
    } else if (kind === CLIMB) {
      total.climbedRows++;
      total.extraMm += rowHeight;
    } else if (kind === FLOAT_UP) {
      total.floats++;
      total.extraMm += rowHeight;
    } else if (kind === FLOAT) {
      total.floats += across;
      total.extraMm += across * stitchWidth;
    } else if (kind === FLOAT_RISING) {
      const n = isRound(chart.construction) ? Math.min(across, chart.columns - across) : across;
      total.floats += n;
      total.extraMm += Math.hypot(n * stitchWidth, rowHeight);
    } else if (kind === CUT) {
      total.cuts++;
      total.ends += 2;
    }
  }
  for (const total of totals) {
    total.extraMm += total.ends * costs.tail;
    total.recounted =
      total.extraMm * costs.perMm +
      total.ends * costs.perEnd +
      total.carried * (costs.perCarried + costs.perShow * costs.showing) +
      (total.floats ? total.floats * costs.perFloat : 0);
  }
  return totals;
}

function strandsInside(chart: Chart, moves: MoveList): Uint8Array {
  const inside = new Uint8Array(chart.rows * chart.columns);
  for (let i = 0; i < moves.length; i++) {
    if (moves.kind[i] !== CARRY) continue;
    const from = moves.from[i] as number;
    const to = moves.to[i] as number;
    const base = (moves.row[i] as number) * chart.columns;
    for (let x = base + Math.min(from, to), end = base + Math.max(from, to); x < end; x++) (inside[x] as number)++;
  }
  return inside;
}

/** The way of the idle strands through a fabric. @param bandGap rows a colour may rest and still be carried always */
export function route(
  chart: Chart,
  costs: StrandCosts,
  policy: 'carry-always' | 'least-cost',
  bandGap = costs.climbLimit,
): Strands {
  const moves = new MoveList();
  const cost = policy === 'carry-always' ? carryAlways(chart, costs, bandGap, moves) : asNeeded(chart, costs, moves);
  return { moves, totals: countAgain(chart, costs, moves, cost), inside: strandsInside(chart, moves) };
}
