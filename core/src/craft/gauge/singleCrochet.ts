import { type Estimate, times } from '../values/estimate.ts';
import type { Gauge } from './gauge.ts';
import { type GaugeKey, typicalPer100, type WeightClass } from './typical.ts';

/** The size of a plain sc of the same hand and yarn, from the gauge of another stitch: as the typical table has the two. */
export function singleCrochetOf(
  gauge: Gauge,
  key: GaugeKey,
  weight: WeightClass,
): { width: Estimate; height: Estimate } {
  const [stitches, rows] = typicalPer100(key, weight);
  const [scStitches, scRows] = typicalPer100('sc', weight);
  return {
    width: times(gauge.stitchWidth, stitches / scStitches),
    height: times(gauge.rowHeight, rows / scRows),
  };
}
