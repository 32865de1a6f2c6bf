import { sizeFromCounts } from '../../craft/gauge/gauge.ts';
import { parseLength } from '../../craft/units/length.ts';
import type { Swatch } from '../../records/swatch.ts';
import { countedOn } from './readings.ts';

/** A stitch is wider by this power of the hook. docs/craft.md, “What moves gauge”. */
const widthPower = 0.45;

/** Hooks as they are sold, mm. */
const hookSizes = [2, 2.25, 2.5, 2.75, 3, 3.25, 3.5, 3.75, 4, 4.5, 5, 5.5, 6, 6.5, 7, 8, 9, 10, 12, 15, 20, 25];

/** Stitch width and row height of a counted swatch, mm, with their relative errors. */
export interface SwatchFigures {
  readonly stitchWidth: number;
  readonly rowHeight: number;
  /** In 10 cm. */
  readonly stitches: number;
  readonly rows: number;
  /** Half the range that holds nine times out of ten, as a part of the middle. */
  readonly within: number;
}

/** The figures of a swatch, of its washed counts where there are any and `washed` asks for them. */
export function swatchFigures(swatch: Swatch, washed = false): SwatchFigures | undefined {
  const gauge = countedOn(swatch);
  if (!gauge) return undefined;
  const spans = (counts: readonly { count: number; over: string }[]) =>
    counts.map(({ count, over }) => {
      const read = parseLength(over, swatch.units);
      return { count, span: read.ok ? read.value : Number.NaN };
    });
  const asWorked = {
    stitches: [gauge.stitches, ...(gauge.moreStitches ?? [])],
    rows: [gauge.rows, ...(gauge.moreRows ?? [])],
  };
  const stitches = (washed && gauge.washedStitches) || asWorked.stitches;
  const rows = (washed && gauge.washedRows) || asWorked.rows;
  const width = sizeFromCounts(spans(stitches), 'swatch');
  const height = sizeFromCounts(spans(rows), 'swatch');
  return {
    stitchWidth: width.mid,
    rowHeight: height.mid,
    stitches: 100 / width.mid,
    rows: 100 / height.mid,
    within: Math.max(width.high / width.mid, height.high / height.mid) - 1,
  };
}

/**
 * The hook with which stitches would come so wide, from a swatch in another: sold sizes only. The power holds from
 * 3 to 10 mm; it is where to begin the next swatch, not an answer. @param stitchWidth mm @returns mm
 */
export function hookFor(stitchWidth: number, from: { readonly hook: number; readonly stitchWidth: number }): number {
  const exact = from.hook * (stitchWidth / from.stitchWidth) ** (1 / widthPower);
  return hookSizes.reduce((best, size) => (Math.abs(size - exact) < Math.abs(best - exact) ? size : best));
}
