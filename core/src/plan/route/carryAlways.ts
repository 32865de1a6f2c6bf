import { type Chart, eachRun, endBoundary, startBoundary, stitchesBetween } from './chart.ts';
import { carryCost, cutCost, type StrandCosts } from './costs.ts';
import { Linker } from './link.ts';
import { CARRY, CUT, type MoveList } from './moves.ts';

/** Rows in which a colour is always at hand: from a use to a later one, with no longer rest than allowed between. */
interface Band {
  readonly first: number;
  last: number;
}

function bandsOf(chart: Chart, bandGap: number): Band[][] {
  const bands: Band[][] = Array.from({ length: chart.colourCount }, () => []);
  for (let row = 0; row < chart.rows; row++) {
    const used = new Set<number>();
    eachRun(chart, row, (colour) => used.add(colour));
    for (const colour of used) {
      const own = bands[colour] as Band[];
      const last = own.at(-1);
      const apart = chart.construction === 'right-side' || !last || row - last.last - 1 > bandGap;
      if (apart) own.push({ first: row, last: row });
      else last.last = row;
    }
  }
  return bands;
}

/**
 * Carry always: within a band the strand lies inside every stitch that is not its own, so it is always at hand.
 * Bands are joined from edge to edge. Adds the moves and gives the cost of each colour.
 */
export function carryAlways(chart: Chart, costs: StrandCosts, bandGap: number, moves: MoveList): number[] {
  const linker = new Linker(chart, costs);
  return bandsOf(chart, bandGap).map((bands, colour) => {
    let cost = bands.length ? cutCost(costs) : 0;
    bands.forEach((band, i) => {
      const before = bands[i - 1];
      if (before) {
        const gap = {
          row: before.last,
          end: endBoundary(chart, before.last),
          nextRow: band.first,
          start: startBoundary(chart, band.first),
        };
        if (chart.construction === 'right-side') {
          moves.add(CUT, colour, gap.row, gap.end, gap.nextRow);
          cost += cutCost(costs);
        } else cost += linker.link(colour, gap, moves);
      }
      for (let row = band.first; row <= band.last; row++) {
        eachRun(chart, row, (own, start, end) => {
          if (own === colour) return;
          moves.add(CARRY, colour, row, start, end);
          cost += carryCost(costs, stitchesBetween(chart, row, start, end));
        });
      }
    });
    return cost;
  });
}
