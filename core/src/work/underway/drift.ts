import type { Fabric } from '../../craft/fabric/fabric.ts';
import { type LengthUnit, parseLength } from '../../craft/units/length.ts';
import { widthsAcross } from '../../plan/fit/across.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { Measuring } from '../../records/logEntry.ts';

/** What a measurement on the way says of the piece. */
export interface Drift {
  /** Measured against planned: 0.95 is a twentieth narrower. */
  readonly width: number | undefined;
  readonly height: number | undefined;
  /** What the piece will end up as if the hand goes on so, mm. */
  readonly finalWidth: number | undefined;
  readonly finalHeight: number | undefined;
}

/** A whole cloth as it is planned, mm. */
export interface Planned {
  readonly width: number;
  readonly height: number;
  readonly rows: number;
}

/** A difference of this much is the hand's usual unevenness. */
const usual = 0.03;

/** A measurement on the way against the plan. @param planned the whole cloth as worked */
export function driftOf(measured: Measuring, planned: Planned, units: LengthUnit): Drift {
  const read = (text: string | undefined) => {
    const length = text === undefined ? undefined : parseLength(text, units);
    return length?.ok ? length.value : undefined;
  };
  const width = read(measured.width);
  const height = read(measured.height);
  const { rows } = measured.position;
  const upToHere = (planned.height * rows) / planned.rows;
  const tall = height !== undefined && upToHere > 0 ? height / upToHere : undefined;
  return {
    width: width === undefined ? undefined : width / planned.width,
    height: tall,
    finalWidth: width,
    finalHeight: tall === undefined ? undefined : planned.height * tall,
  };
}

/** The cloth as it is worked, mm, without its finishing; nothing on the diagonal and in a circle, where no side grows row by row. */
export function clothAsWorked(prepared: Prepared, fabric: Fabric): Planned | undefined {
  const { technique, gauge } = prepared;
  if (technique.diagonal || technique.circle) return undefined;
  return {
    width: widthsAcross(prepared, fabric.count) * gauge.stitchWidth.mid,
    height: fabric.courses * gauge.rowHeight.mid,
    rows: fabric.courses,
  };
}

/** How far the hand has drifted by what was measured last, each way; 1 where nothing was measured. */
export function driftNow(
  measures: readonly Measuring[],
  planned: Planned | undefined,
  units: LengthUnit,
): { readonly width: number; readonly height: number } {
  if (!planned) return { width: 1, height: 1 };
  const drifts = [...measures].sort((a, b) => a.at - b.at).map((each) => driftOf(each, planned, units));
  const last = (side: 'width' | 'height') => drifts.findLast((each) => each[side] !== undefined)?.[side] ?? 1;
  return { width: last('width'), height: last('height') };
}

/** Whether a drift is more than a hand's usual unevenness. */
export function isDrifting({ width, height }: Drift): boolean {
  return [width, height].some((ratio) => ratio !== undefined && Math.abs(ratio - 1) > usual);
}
