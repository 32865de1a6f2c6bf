import { countedGauge, type Gauge, type GaugeCount } from '../../craft/gauge/gauge.ts';
import { parseLength } from '../../craft/units/length.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';
import { readLength } from './readLength.ts';

type Counted = Extract<Wish['gauge'], { from: 'counted' }>;
type TypedCount = Counted['stitches'];

/** A counted gauge: as worked, and after washing where that was counted too. */
export interface WishedGauge {
  readonly worked: Gauge;
  readonly washed?: Gauge | undefined;
}

/** One stitch of cloth is between these, mm; the spread of single counts may be wider. */
const smallest = 1;
/** Nobody counts over less, mm. */
const shortestSpan = 10;
const largest = 60;

/** The span a count was made over: so short a one cannot be counted over. */
function readSpan(over: string, wish: Wish, path: string, problems: Problem[]): number {
  const read = parseLength(over, wish.units);
  if (!read.ok || read.value >= shortestSpan) return readLength(over, wish, path, problems);
  problems.push({ code: 'gauge-span-short', path, facts: { typed: over } });
  return read.value;
}

/** The gauge a wish was counted at; nothing where it is typical, or where a count cannot be read. */
export function readGauge(wish: Wish, problems: Problem[]): WishedGauge | undefined {
  const { gauge } = wish;
  if (gauge.from === 'typical') return undefined;
  const before = problems.length;
  const counts = (all: readonly TypedCount[] | undefined, path: string): GaugeCount[] =>
    (all ?? []).map(({ count, over }) => ({ count, span: readSpan(over, wish, path, problems) }));
  const stitches = counts([gauge.stitches, ...(gauge.moreStitches ?? [])], 'gauge.stitches.over');
  const rows = counts([gauge.rows, ...(gauge.moreRows ?? [])], 'gauge.rows.over');
  const washedStitches = counts(gauge.washedStitches, 'gauge.washedStitches');
  const washedRows = counts(gauge.washedRows, 'gauge.washedRows');
  if (problems.length > before) return undefined;
  const source = gauge.swatch ? 'swatch' : 'typed';
  const worked = countedGauge(stitches, rows, source);
  problems.push(...tooFar(worked));
  if (!washedStitches.length && !washedRows.length) return { worked };
  const washed = countedGauge(
    washedStitches.length ? washedStitches : stitches,
    washedRows.length ? washedRows : rows,
    source,
  );
  problems.push(...tooFar(washed));
  return { worked, washed };
}

function tooFar(gauge: Gauge): Problem[] {
  const sizes = [
    ['gauge.stitches', gauge.stitchWidth.mid, 'stitch'],
    ['gauge.rows', gauge.rowHeight.mid, 'row'],
  ] as const;
  return sizes
    .filter(([, size]) => size < smallest || size > largest)
    .map(([path, size, what]) => ({
      code: 'gauge-impossible',
      path,
      facts: { what, size },
    }));
}
