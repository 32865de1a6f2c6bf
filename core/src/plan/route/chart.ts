/** How rows follow one another, as the strands see it. */
export type Construction = 'flat' | 'turned-rounds' | 'rounds' | 'right-side' | 'paired' | 'netted';

/** No cell: columns of a diagonal piece that a row does not reach. */
export const EMPTY = 255;

/** What routing needs of a fabric: which strand or colour is where. Row 0 is worked first. */
export interface Chart {
  readonly rows: number;
  readonly columns: number;
  /** Colour of each cell, row-major; `EMPTY` outside the spans of a row. */
  readonly colours: Uint8Array | Uint16Array;
  readonly colourCount: number;
  readonly construction: Construction;
  /** Stitches in one column of each row, where that is not one. */
  readonly scale?: Float64Array;
  /** Columns of each row, from and to, where rows do not fill the chart: length 2 × rows. */
  readonly spans?: Int32Array;
  /** The chart cell of each cell of the fabric, where they are not one for one. */
  readonly cellOf?: Uint32Array;
}

/** +1 where a row runs from boundary 0 to the last, −1 where it comes back. */
export function direction(construction: Construction, row: number): 1 | -1 {
  if (construction === 'rounds' || construction === 'right-side') return 1;
  if (construction === 'paired') return row % 4 < 2 ? 1 : -1;
  if (construction === 'netted') return row === 0 || (row - 1) % 4 >= 2 ? 1 : -1;
  return row % 2 === 0 ? 1 : -1;
}

export function startBoundary(chart: Chart, row: number): number {
  return direction(chart.construction, row) === 1 ? 0 : chart.columns;
}

export function endBoundary(chart: Chart, row: number): number {
  return direction(chart.construction, row) === 1 ? chart.columns : 0;
}

/** In rounds both edges are one place, the seam. */
export function isRound(construction: Construction): boolean {
  return construction === 'rounds' || construction === 'turned-rounds';
}

/** Whether two boundaries are one place: in rounds both edges are the seam. */
export function isSamePlace(chart: Chart, a: number, b: number): boolean {
  return a === b || (isRound(chart.construction) && a % chart.columns === b % chart.columns);
}

/** First column of a row, and the one behind its last. The edges of every row are boundaries 0 and `columns`. */
export function firstOf(chart: Chart, row: number): number {
  return chart.spans ? (chart.spans[2 * row] as number) : 0;
}

export function behindLast(chart: Chart, row: number): number {
  return chart.spans ? (chart.spans[2 * row + 1] as number) : chart.columns;
}

/** Whether a boundary inside the cloth lies within a row. */
export function reaches(chart: Chart, row: number, boundary: number): boolean {
  if (!chart.spans || boundary === 0 || boundary === chart.columns) return true;
  return boundary > firstOf(chart, row) && boundary < behindLast(chart, row);
}

function columnOf(chart: Chart, row: number, boundary: number): number {
  const { spans } = chart;
  if (!spans) return boundary;
  if (boundary === 0) return spans[2 * row] as number;
  return boundary === chart.columns ? (spans[2 * row + 1] as number) : boundary;
}

/** The first column between two boundaries of a row, and the one behind the last. */
export function columnsFrom(chart: Chart, row: number, a: number, b: number): number {
  return columnOf(chart, row, a < b ? a : b);
}

export function columnsTo(chart: Chart, row: number, a: number, b: number): number {
  return columnOf(chart, row, a < b ? b : a);
}

/** Columns between two boundaries of a row. */
export function columnsBetween(chart: Chart, row: number, a: number, b: number): number {
  return Math.abs(columnOf(chart, row, a) - columnOf(chart, row, b));
}

/** Stitches between two boundaries of a row; a part of a cluster or block counts as a part. */
export function stitchesBetween(chart: Chart, row: number, a: number, b: number): number {
  if (!chart.scale) return chart.spans ? columnsBetween(chart, row, a, b) : Math.abs(a - b);
  return columnsBetween(chart, row, a, b) * (chart.scale[row] as number);
}

/** Calls `visit` for each run of one colour, in working order. Boundaries are where the hook stands. */
export function eachRun(chart: Chart, row: number, visit: (colour: number, start: number, end: number) => void): void {
  const { columns, colours } = chart;
  const base = row * columns;
  const low = firstOf(chart, row);
  const high = behindLast(chart, row);
  const edge = (x: number) => (x === low ? 0 : x === high ? columns : x);
  if (direction(chart.construction, row) === 1) {
    for (let x = low; x < high; ) {
      const colour = colours[base + x] as number;
      const start = x++;
      while (x < high && colours[base + x] === colour) x++;
      visit(colour, edge(start), edge(x));
    }
    return;
  }
  for (let x = high; x > low; ) {
    const colour = colours[base + x - 1] as number;
    const start = x--;
    while (x > low && colours[base + x - 1] === colour) x--;
    visit(colour, edge(start), edge(x));
  }
}
