import { type Chart, EMPTY, eachRun, endBoundary, isRound, startBoundary, stitchesBetween } from './chart.ts';
import { carryCost, type StrandCosts } from './costs.ts';
import { type LastPlace, lastPlaces } from './hangs.ts';
import { CARRY, CLIMB, CUT, MoveList } from './moves.ts';
import { finished, insideOf } from './route.ts';
import type { Strands, StrandWay } from './strands.ts';

/** The strand that the last stitch is worked with. */
function workedLast(chart: Chart): number {
  let last = EMPTY;
  eachRun(chart, chart.rows - 1, (strand) => {
    last = strand;
  });
  return last;
}

/** A strand of another colour that hangs where the last row ends, so that both can be locked there; nothing where none does. */
export function lockingStrand(way: StrandWay): number | undefined {
  const { chart, colourOf } = way;
  const end = endBoundary(chart, chart.rows - 1);
  const own = colourOf[workedLast(chart)];
  const isEnd = (boundary: number) => boundary === end || (isRound(chart.construction) && isEdge(chart, boundary));
  return lastPlaces(way).find(
    ({ strand, row, boundary }) => colourOf[strand] !== own && row === chart.rows - 1 && isEnd(boundary),
  )?.strand;
}

function moveAt(moves: MoveList, i: number): [kind: number, strand: number, row: number, from: number, to: number] {
  const { kind, colour, row, from, to } = moves;
  return [kind[i] as number, colour[i] as number, row[i] as number, from[i] as number, to[i] as number];
}

function isEdge({ columns }: Chart, boundary: number): boolean {
  return boundary === 0 || boundary === columns;
}

/** How a strand is brought to the end of the last row: rows it climbs, and from where it is then carried in the last row. */
interface Bringing extends LastPlace {
  readonly climbs: number;
  readonly carriedFrom: number | undefined;
}

function bringing(chart: Chart, place: LastPlace, climbLimit: number): Bringing | undefined {
  const last = chart.rows - 1;
  const [start, end] = [startBoundary(chart, last), endBoundary(chart, last)];
  const round = isRound(chart.construction);
  const isSeam = round && isEdge(chart, place.boundary);
  if (place.row === last) return { ...place, climbs: 0, carriedFrom: place.boundary };
  const away = last - place.row;
  if (isSeam || place.boundary === end)
    return away <= climbLimit ? { ...place, climbs: away, carriedFrom: undefined } : undefined;
  if (place.boundary === start)
    return away - 1 <= climbLimit ? { ...place, climbs: away - 1, carriedFrom: start } : undefined;
  return away === 1 && !round ? { ...place, climbs: 0, carriedFrom: place.boundary } : undefined;
}

/**
 * The same way with a second strand brought to the end of the last row, so that it can be laid across the last loop and both
 * be locked. docs/craft.md, “Borders, seams, straps”. The way as it is where one hangs there already, or none can be brought.
 * @param mayCarry whether strands may lie inside stitches
 */
export function withLock(strands: Strands, costs: StrandCosts, mayCarry: boolean): Strands {
  const { chart, colourOf, moves } = strands;
  const { construction, rows } = chart;
  if (construction === 'right-side' || construction === 'paired' || construction === 'netted') return strands;
  if (lockingStrand(strands) !== undefined) return strands;
  const own = colourOf[workedLast(chart)];
  const last = rows - 1;
  const length = ({ carriedFrom }: Bringing) =>
    carriedFrom === undefined ? 0 : stitchesBetween(chart, last, carriedFrom, endBoundary(chart, last));
  const [best] = lastPlaces(strands)
    .filter(({ strand }) => colourOf[strand] !== own)
    .flatMap((place) => bringing(chart, place, costs.climbLimit) ?? [])
    .filter(({ carriedFrom }) => mayCarry || carriedFrom === undefined)
    .sort((a, b) => length(a) - length(b) || a.climbs - b.climbs);
  if (!best) return strands;
  const { strand, row, boundary, climbs, carriedFrom } = best;
  const brought = new MoveList();
  for (let i = 0; i < moves.length; i++) brought.add(...moveAt(moves, i));
  for (let n = 1; n <= climbs; n++) brought.add(CLIMB, strand, row + n, boundary, boundary);
  if (carriedFrom !== undefined) brought.add(CARRY, strand, last, carriedFrom, endBoundary(chart, last));
  const price = climbs * costs.rowHeight * costs.perMm + carryCost(costs, length(best));
  const cost = strands.totals.map((total, i) => total.cost + (i === strand ? price : 0));
  const divided = colourOf.some((colour, i) => colour !== i);
  const whole = divided ? { ...chart, colourCount: Math.max(...colourOf) + 1 } : chart;
  return finished(whole, chart, colourOf, costs, brought, cost);
}

/** A way without what was done with strands after their last stitch: none is brought to the last loop. */
export function withoutLock(way: StrandWay): StrandWay {
  const { chart, moves } = way;
  const lastUse = new Map<number, { readonly row: number; readonly end: number }>();
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (strand, _start, end) => lastUse.set(strand, { row, end }));
  }
  const kept = new MoveList();
  for (let i = 0; i < moves.length; i++) {
    const [kind, strand, row, from, to] = moveAt(moves, i);
    const last = lastUse.get(strand);
    if (kind !== CUT && last && (row > last.row || (row === last.row && kind === CARRY && from === last.end))) continue;
    kept.add(kind, strand, row, from, to);
  }
  return { ...way, moves: kept, inside: insideOf(chart, kept) };
}
