import { type Estimate, times } from '../values/estimate.ts';
import type { Gauge } from './gauge.ts';

/** Gauge with another hook. docs/craft.md, “What moves gauge”. @param from @param to mm */
export function withHook(gauge: Gauge, from: number, to: number): Gauge {
  const factor = to / from;
  return {
    ...gauge,
    stitchWidth: times(gauge.stitchWidth, factor ** 0.45),
    rowHeight: times(gauge.rowHeight, factor ** 0.55),
  };
}

/** What a first washing does to a piece. */
export type Wash = 'cotton-hot' | 'acrylic' | 'wool-blocked' | 'superwash-tumbled';

/** Relative change of width and height, from least to most. */
const washes: Readonly<
  Record<Wash, { readonly width: readonly [number, number]; readonly height: readonly [number, number] }>
> = {
  'cotton-hot': { width: [-0.05, -0.02], height: [-0.06, -0.03] },
  acrylic: { width: [-0.01, 0.02], height: [-0.01, 0.02] },
  'wool-blocked': { width: [0.02, 0.06], height: [0.01, 0.05] },
  'superwash-tumbled': { width: [0.04, 0.1], height: [0.03, 0.08] },
};

function changed(size: Estimate, [least, most]: readonly [number, number]): Estimate {
  return {
    ...size,
    mid: size.mid * (1 + (least + most) / 2),
    low: size.low * (1 + least),
    high: size.high * (1 + most),
  };
}

/** Gauge after the first washing. For sizes only: the yarn is what was worked before it. */
export function washed(gauge: Gauge, wash: Wash): Gauge {
  const { width, height } = washes[wash];
  return { ...gauge, stitchWidth: changed(gauge.stitchWidth, width), rowHeight: changed(gauge.rowHeight, height) };
}
