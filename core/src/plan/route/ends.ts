import { eachRun } from './chart.ts';
import { type LastPlace, lastPlaces } from './hangs.ts';
import { CARRY, CUT } from './moves.ts';
import type { StrandWay } from './strands.ts';

/** Where an end is left to be woven in. */
export interface EndPlace {
  readonly strand: number;
  /** From 0. */
  readonly row: number;
  /** The boundary of columns at which it hangs, from the edge where row 1 begins. */
  readonly boundary: number;
}

interface Use {
  readonly row: number;
  readonly start: number;
  readonly end: number;
}

/** The runs of each strand in the order of working. */
function usesOf({ chart }: StrandWay): Use[][] {
  const uses: Use[][] = Array.from({ length: chart.colourCount }, () => []);
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (strand, start, end) => uses[strand]?.push({ row, start, end }));
  }
  return uses;
}

interface Moved {
  readonly kind: number;
  readonly row: number;
  readonly from: number;
  readonly to: number;
}

function movesOf({ chart, moves }: StrandWay): Moved[][] {
  const own: Moved[][] = Array.from({ length: chart.colourCount }, () => []);
  for (let i = 0; i < moves.length; i++) {
    const [kind, row] = [moves.kind[i] as number, moves.row[i] as number];
    own[moves.colour[i] as number]?.push({ kind, row, from: moves.from[i] as number, to: moves.to[i] as number });
  }
  return own;
}

/** Where a strand is laid in that is carried up to a place in the same row; the place itself where it is not. */
function laidIn(carries: readonly Moved[], row: number, place: number): number {
  let at = place;
  for (const each of [...carries].reverse()) if (each.row === row && each.to === at) at = each.from;
  return at;
}

/**
 * Where the ends of a piece are: one where each strand begins and one where it is left, and two at every cut. The way
 * of the strands is docs/strand-routing.md, “What can be done with a strand”.
 */
export function endsOf(way: StrandWay): EndPlace[] {
  const found: EndPlace[] = [];
  const moved = movesOf(way);
  const places = lastPlaces(way);
  usesOf(way).forEach((uses, strand) => {
    const own = moved[strand] ?? [];
    const carries = own.filter(({ kind }) => kind === CARRY);
    const cuts = own.filter(({ kind }) => kind === CUT);
    const [first] = uses;
    if (!first) return;
    found.push({ strand, row: first.row, boundary: laidIn(carries, first.row, first.start) });
    uses.slice(1).forEach((next, i) => {
      const before = uses[i] as Use;
      const cut = cuts.find(
        ({ row, to, from }) => row === before.row && to === next.row && (row !== to || from === before.end),
      );
      if (!cut) return;
      found.push({ strand, row: cut.row, boundary: cut.from });
      found.push({ strand, row: next.row, boundary: laidIn(carries, next.row, next.start) });
    });
    const { row, boundary } = places.find((place) => place.strand === strand) as LastPlace;
    found.push({ strand, row, boundary });
  });
  return found;
}
