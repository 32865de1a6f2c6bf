import type { PatternRow, Run, StitchPattern } from './model.ts';

/** A drawn stretch as runs. A chart shows the right side; row 1 begins at its right edge, so it is read from there. */
function drawnRuns(cells: string): Run[] {
  const runs: Run[] = [];
  for (let x = cells.length; x > 0; ) {
    const colour = cells[x - 1] as string;
    const from = x--;
    while (x > 0 && cells[x - 1] === colour) x--;
    runs.push({ count: { terms: [{ times: from - x }] }, colour });
  }
  return runs;
}

/** A line of a chart; what stands outside its two bars is worked once, at the edges. */
function chartRow(cells: string): PatternRow {
  const parts = cells.split('|');
  const [end, unit, start] = parts.length === 3 ? parts : ['', cells, ''];
  return {
    role: 'row',
    courses: { terms: [{ times: 1 }] },
    start: drawnRuns(start ?? ''),
    unit: drawnRuns(unit ?? ''),
    end: drawnRuns(end ?? ''),
  };
}

/** Rows as they were read of each pattern: what is found of a row is remembered by the row. */
const known = new WeakMap<StitchPattern, readonly PatternRow[]>();

/** The rows that repeat, the first worked first: as written, or as drawn in the chart. The same pattern has the same. */
export function repeatedRows(pattern: StitchPattern): readonly PatternRow[] {
  const before = known.get(pattern);
  if (before) return before;
  const rows = pattern.chart.length
    ? pattern.chart.map(chartRow).reverse()
    : pattern.rows.filter((row) => row.role === 'row');
  known.set(pattern, rows);
  return rows;
}

/** The rows that are worked once, before or after the others. */
export function onceRows(pattern: StitchPattern, role: 'setup' | 'close'): PatternRow[] {
  return pattern.rows.filter((row) => row.role === role);
}
