import type { Chart } from './chart.ts';
import type { MoveList } from './moves.ts';

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
  /** Which strand works each cell: one strand a colour, unless colours are divided among bobbins. */
  readonly chart: Chart;
  /** The colour of each strand. */
  readonly colourOf: readonly number[];
  readonly moves: MoveList;
  /** One entry a strand; a colour that is never used has no ends. */
  readonly totals: readonly StrandTotals[];
  /** Strands of each colour begun while another of it had stitches still to come. */
  readonly bobbins: readonly number[];
  /** Idle strands inside each stitch, row-major like the chart. */
  readonly inside: Uint8Array;
}

/** The way of the strands without its sums: what a begun work keeps. */
export type StrandWay = Pick<Strands, 'chart' | 'colourOf' | 'moves' | 'inside'>;
