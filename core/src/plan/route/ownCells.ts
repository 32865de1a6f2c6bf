import { type Chart, columnsFrom, columnsTo, stitchesBetween } from './chart.ts';

/**
 * Stitches of a strand's own colour along a row: a strand carried inside them does not show. Only bobbins ever lie so.
 * Sums along a row are made when they are first asked for.
 */
export class OwnCells {
  private readonly chart: Chart;
  private readonly colourOf: readonly number[];
  private readonly sums = new Map<number, Int32Array>();

  /** @param colourOf the colour of each strand of the chart */
  constructor(chart: Chart, colourOf: readonly number[]) {
    this.chart = chart;
    this.colourOf = colourOf;
  }

  /** Stitches of the strand's own colour between two boundaries of a row. */
  between(strand: number, row: number, a: number, b: number): number {
    const { chart } = this;
    const from = columnsFrom(chart, row, a, b);
    const to = columnsTo(chart, row, a, b);
    if (to <= from) return 0;
    const sums = this.sumsOf(this.colourOf[strand] as number, row);
    const own = (sums[to] as number) - (sums[from] as number);
    return own ? (own * stitchesBetween(chart, row, a, b)) / (to - from) : 0;
  }

  private sumsOf(colour: number, row: number): Int32Array {
    const { columns, colours, rows } = this.chart;
    const key = colour * rows + row;
    const known = this.sums.get(key);
    if (known) return known;
    const sums = new Int32Array(columns + 1);
    for (let x = 0; x < columns; x++) {
      const strand = colours[row * columns + x] as number;
      sums[x + 1] = (sums[x] as number) + (this.colourOf[strand] === colour ? 1 : 0);
    }
    this.sums.set(key, sums);
    return sums;
  }
}
