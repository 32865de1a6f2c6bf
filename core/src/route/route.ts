import { bobbinsOf, withBobbins } from './bobbins.ts';
import { carryAlways } from './carryAlways.ts';
import { type Chart, columnsFrom, columnsTo, eachRun, isRound, stitchesBetween } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, MoveList } from './moves.ts';
import type { Strands, StrandTotals } from './strands.ts';

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
        const n = stitchesBetween(chart, row, start, from);
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
    const row = moves.row[i] as number;
    const across = kind === CUT ? 0 : stitchesBetween(chart, row, moves.to[i] as number, moves.from[i] as number);
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
      const round = stitchesBetween(chart, row, 0, chart.columns);
      const n = isRound(chart.construction) ? Math.min(across, round - across) : across;
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
    const row = moves.row[i] as number;
    const from = columnsFrom(chart, row, moves.from[i] as number, moves.to[i] as number);
    const to = columnsTo(chart, row, moves.from[i] as number, moves.to[i] as number);
    const base = row * chart.columns;
    for (let x = base + from, end = base + to; x < end; x++) (inside[x] as number)++;
  }
  return inside;
}

/** How idle strands are to be taken through a fabric. */
export type Way = 'carry-always' | 'least-cost' | 'bobbins';

/** The way of the idle strands through a fabric. @param bandGap rows a colour may rest and still be carried always */
export function route(chart: Chart, costs: StrandCosts, way: Way, bandGap = costs.climbLimit): Strands {
  const moves = new MoveList();
  if (way === 'carry-always') {
    const cost = carryAlways(chart, costs, bandGap, moves);
    return finished(chart, chart, identity(chart.colourCount), costs, moves, cost);
  }
  const single = finished(chart, chart, identity(chart.colourCount), costs, moves, asNeeded(chart, costs, moves));
  if (way === 'least-cost') return single;
  return withBobbins(chart, costs, single, (divided, colourOf) => {
    const own = new MoveList();
    return finished(chart, divided, colourOf, costs, own, asNeeded(divided, costs, own));
  });
}

function identity(count: number): number[] {
  return Array.from({ length: count }, (_, i) => i);
}

function finished(
  whole: Chart,
  chart: Chart,
  colourOf: readonly number[],
  costs: StrandCosts,
  moves: MoveList,
  cost: readonly number[],
): Strands {
  const totals = countAgain(chart, costs, moves, cost);
  const bobbins = bobbinsOf(chart, colourOf, whole.colourCount);
  return { chart, colourOf, moves, totals, bobbins, inside: strandsInside(chart, moves) };
}

/** The strands of one colour counted together. */
export function totalsByColour(strands: Strands, colours: number): StrandTotals[] {
  const sums = Array.from({ length: colours }, nothing);
  strands.totals.forEach((total, strand) => {
    const sum = sums[strands.colourOf[strand] as number] as StrandTotals;
    for (const key of Object.keys(sum) as (keyof StrandTotals)[]) sum[key] += total[key];
  });
  return sums;
}

function nothing(): StrandTotals {
  return { cost: 0, recounted: 0, ends: 0, cuts: 0, carried: 0, climbedRows: 0, floats: 0, extraMm: 0 };
}
