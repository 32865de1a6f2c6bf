import type { Estimate, Source } from '../values/estimate.ts';
import { spread } from '../values/estimate.ts';
import { type GaugeKey, typicalPer100, type WeightClass } from './typical.ts';

/** The size of one stitch in the cloth as worked. */
export interface Gauge {
  /** mm */
  readonly stitchWidth: Estimate;
  /** mm */
  readonly rowHeight: Estimate;
  readonly source: Source;
}

/** So many stitches or rows counted over a measured span. */
export interface GaugeCount {
  readonly count: number;
  /** mm */
  readonly span: number;
}

/**
 * Size of one stitch from counts, averaged by span, with what the ruler, the eye and the hand leave open:
 * each span is read to ±1 mm, each count to a quarter stitch, stitches differ by 6 %, and how the cloth lies
 * never averages out (1 %). docs/craft.md, “Gauge from counts”.
 * @returns mm
 */
export function sizeFromCounts(counts: readonly GaugeCount[], source: Source): Estimate {
  const spans = counts.reduce((sum, each) => sum + each.span, 0);
  const stitches = counts.reduce((sum, each) => sum + each.count, 0);
  return spread(spans / stitches, countError(counts), source);
}

/** Relative standard deviation of a size from counts. */
export function countError(counts: readonly GaugeCount[]): number {
  const spans = counts.reduce((sum, each) => sum + each.span, 0);
  const stitches = counts.reduce((sum, each) => sum + each.count, 0);
  const readings = counts.length;
  return Math.sqrt(
    readings / 3 / spans ** 2 + (readings * 0.14 ** 2) / stitches ** 2 + 0.06 ** 2 / stitches + 0.01 ** 2,
  );
}

/** Gauge counted on the cloth as worked, strands and all. */
export function countedGauge(
  stitches: readonly GaugeCount[],
  rows: readonly GaugeCount[],
  source: Source = 'typed',
): Gauge {
  return { stitchWidth: sizeFromCounts(stitches, source), rowHeight: sizeFromCounts(rows, source), source };
}

/** What the typical table says of a count: it may be a tenth off, and rows over carried strands a fifth. */
function typicalSize(per100mm: number, off: number, widening: number): Estimate {
  const size = (100 / per100mm) * widening;
  return { mid: size, low: size / (1 + off), high: size / (1 - off), source: 'typical' };
}

/** How much wider a stitch gets by one strand carried inside it, as a part of its width. @param diameter of the strand, mm */
export function widening(diameter: number, stitchWidth: number): number {
  return (0.1 * diameter) / stitchWidth;
}

/**
 * Typical gauge of a weight class: for use until something is measured.
 * @param strand diameter in mm of a strand carried inside throughout, or 0 for none
 */
export function typicalGauge(key: GaugeKey, weight: WeightClass, strand: number): Gauge {
  const [stitches, rows] = typicalPer100(key, weight);
  const wider = strand > 0 ? widening(strand, 100 / stitches) : 0;
  return {
    stitchWidth: typicalSize(stitches, 0.1, 1 + wider),
    rowHeight: typicalSize(rows, strand > 0 ? 0.2 : 0.1, 1 + wider / 2),
    source: 'typical',
  };
}
