import { bobbinsOf, withBobbins } from './bobbins.ts';
import { carryAlways } from './carryAlways.ts';
import { type Chart, columnsFrom, columnsTo, eachRun, isRound, stitchesBetween } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP, MoveList } from './moves.ts';
import { OwnCells } from './ownCells.ts';
import type { Strands, StrandTotals, StrandWay } from './strands.ts';

/** As needed: every gap is bridged in the cheapest way. docs/strand-routing.md. Linear in stitches. */
function asNeeded(chart: Chart, costs: StrandCosts, moves: MoveList, own?: OwnCells): number[] {
  const linker = new Linker(chart, costs, own);
  const perShown = costs.perShow * costs.showing;
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
        const carry = n * perCarry - (own ? own.between(colour, row, from, start) * perShown : 0);
        const floats = n <= costs.floatLimit && n * perFloat < carry;
        const least = costs.cutsAlways ? Number.POSITIVE_INFINITY : floats ? n * perFloat : carry;
        if (least > cut) moves.add(CUT, colour, row, from, row);
        else moves.add(floats ? FLOAT : CARRY, colour, row, from, start);
        (cost[colour] as number) += least < cut ? least : cut;
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

/** What the carries of a move list come to: stitches carried by each strand, and idle strands in each cell. */
interface Carries {
  readonly stitches: Float64Array;
  /** Those of them in which a strand lies inside its own colour. */
  readonly hidden: Float64Array;
  readonly inside: Uint8Array;
}

/** Most moves are carries, so they are gone through by themselves. */
function countCarries(chart: Chart, moves: MoveList, own?: OwnCells): Carries {
  const { columns, scale } = chart;
  const { kind, colour, row, from, to } = moves;
  const inside = new Uint8Array(chart.rows * columns);
  const stitches = new Float64Array(chart.colourCount);
  const hidden = new Float64Array(chart.colourCount);
  for (let i = 0; i < moves.length; i++) {
    if (kind[i] !== CARRY) continue;
    const r = row[i] as number;
    const a = columnsFrom(chart, r, from[i] as number, to[i] as number);
    const b = columnsTo(chart, r, from[i] as number, to[i] as number);
    const strand = colour[i] as number;
    stitches[strand] = (stitches[strand] as number) + (b - a) * (scale ? (scale[r] as number) : 1);
    if (own) hidden[strand] = (hidden[strand] as number) + own.between(strand, r, from[i] as number, to[i] as number);
    const base = r * columns;
    for (let x = base + a; x < base + b; x++) inside[x] = (inside[x] as number) + 1;
  }
  return { stitches, hidden, inside };
}

/** Everything but the carries of one strand, added to its totals. */
function addMove(chart: Chart, costs: StrandCosts, moves: MoveList, i: number, total: StrandTotals): void {
  const { stitchWidth, rowHeight } = costs;
  const kind = moves.kind[i];
  if (kind === CUT) {
    total.cuts++;
    total.ends += 2;
  } else if (kind === CLIMB) {
    total.climbedRows++;
    total.extraMm += rowHeight;
  } else if (kind === FLOAT_UP) {
    total.floats++;
    total.extraMm += rowHeight;
  } else {
    const row = moves.row[i] as number;
    const across = stitchesBetween(chart, row, moves.to[i] as number, moves.from[i] as number);
    const round = stitchesBetween(chart, row, 0, chart.columns);
    const rising = kind === FLOAT_RISING;
    const n = rising && isRound(chart.construction) ? Math.min(across, round - across) : across;
    total.floats += n;
    total.extraMm += rising ? Math.hypot(n * stitchWidth, rowHeight) : n * stitchWidth;
  }
}

function countAgain(
  chart: Chart,
  costs: StrandCosts,
  moves: MoveList,
  claimed: readonly number[],
  carries: Carries,
): StrandTotals[] {
  const totals = claimed.map((cost) => ({ ...nothing(), cost, ends: cost > 0 ? 2 : 0 }));
  for (let i = 0; i < moves.length; i++) {
    if (moves.kind[i] === CARRY) continue;
    addMove(chart, costs, moves, i, totals[moves.colour[i] as number] as StrandTotals);
  }
  totals.forEach((total, strand) => {
    total.carried = carries.stitches[strand] as number;
    total.extraMm += total.carried * costs.stitchWidth * (1 + costs.ease) + total.ends * costs.tail;
    total.recounted =
      total.extraMm * costs.perMm +
      total.ends * costs.perEnd +
      total.carried * costs.perCarried +
      (total.carried - (carries.hidden[strand] as number)) * costs.perShow * costs.showing +
      (total.floats ? total.floats * costs.perFloat : 0);
  });
  return totals;
}

/** How idle strands are to be taken through a fabric. */
export type Way = 'carry-always' | 'least-cost' | 'bobbins';

/** Idle strands in each cell of a chart, from the moves alone. */
export function insideOf(chart: Chart, moves: MoveList): Uint8Array {
  return countCarries(chart, moves).inside;
}

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
    const moved = new MoveList();
    const own = new OwnCells(divided, colourOf);
    return finished(chart, divided, colourOf, costs, moved, asNeeded(divided, costs, moved, own));
  });
}

export function identity(count: number): number[] {
  return Array.from({ length: count }, (_, i) => i);
}

/** A way of the strands with its sums, counted again from its moves. @param cost of each strand, as it was claimed */
export function finished(
  whole: Chart,
  chart: Chart,
  colourOf: readonly number[],
  costs: StrandCosts,
  moves: MoveList,
  cost: readonly number[],
): Strands {
  const carries = countCarries(chart, moves, whole === chart ? undefined : new OwnCells(chart, colourOf));
  const totals = countAgain(chart, costs, moves, cost, carries);
  const bobbins = bobbinsOf(chart, colourOf, whole.colourCount);
  return { chart, colourOf, moves, totals, bobbins, inside: carries.inside };
}

/** The sums of a way that is known by its moves alone. */
export function counted(way: StrandWay, costs: StrandCosts): Strands {
  const { chart, colourOf, moves } = way;
  const used = new Set(chart.colours);
  const cost = Array.from({ length: chart.colourCount }, (_, strand) => (used.has(strand) ? cutCost(costs) : 0));
  const colours = Math.max(...colourOf) + 1;
  const whole = colourOf.every((colour, strand) => colour === strand) ? chart : { ...chart, colourCount: colours };
  return { ...way, ...finished(whole, chart, colourOf, costs, moves, cost) };
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
