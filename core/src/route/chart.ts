/** How rows follow one another, as the strands see it. */
export type Construction = 'flat' | 'turned-rounds' | 'rounds' | 'right-side';

/** What routing needs of a fabric: which colour is where. Row 0 is worked first. */
export interface Chart {
  readonly rows: number;
  readonly columns: number;
  /** Colour of each cell, row-major. */
  readonly colours: Uint8Array;
  readonly colourCount: number;
  readonly construction: Construction;
}

/** +1 where a row runs from boundary 0 to the last, −1 where it comes back. */
export function direction(construction: Construction, row: number): 1 | -1 {
  if (construction === 'rounds' || construction === 'right-side') return 1;
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

/** Calls `visit` for each run of one colour, in working order. Boundaries are where the hook stands. */
export function eachRun(chart: Chart, row: number, visit: (colour: number, start: number, end: number) => void): void {
  const { columns, colours } = chart;
  const base = row * columns;
  if (direction(chart.construction, row) === 1) {
    for (let x = 0; x < columns; ) {
      const colour = colours[base + x] as number;
      const start = x++;
      while (x < columns && colours[base + x] === colour) x++;
      visit(colour, start, x);
    }
    return;
  }
  for (let x = columns; x > 0; ) {
    const colour = colours[base + x - 1] as number;
    const start = x--;
    while (x > 0 && colours[base + x - 1] === colour) x--;
    visit(colour, start, x);
  }
}
