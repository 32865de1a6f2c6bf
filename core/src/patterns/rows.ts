import type { PatternRow, Run, StitchPattern } from './model.ts';

function chartRow(cells: string): PatternRow {
  const unit: Run[] = [];
  // A chart shows the right side; row 1 begins at its right edge, so a row is read from there.
  for (let x = cells.length; x > 0; ) {
    const colour = cells[x - 1] as string;
    const from = x--;
    while (x > 0 && cells[x - 1] === colour) x--;
    unit.push({ count: { terms: [{ times: from - x }] }, colour });
  }
  return { role: 'row', courses: { terms: [{ times: 1 }] }, start: [], unit, end: [] };
}

/** The rows that repeat, the first worked first: as written, or as drawn in the chart. */
export function repeatedRows(pattern: StitchPattern): PatternRow[] {
  if (pattern.chart.length) return pattern.chart.map(chartRow).reverse();
  return pattern.rows.filter((row) => row.role === 'row');
}
