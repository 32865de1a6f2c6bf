import type { Measuring } from '../formats/logEntry.ts';
import { type LengthUnit, parseLength } from '../units/length.ts';

/** What a measurement on the way says of the piece. */
export interface Drift {
  /** Measured against planned: 0.95 is a twentieth narrower. */
  readonly width: number | undefined;
  readonly height: number | undefined;
  /** What the piece will end up as if the hand goes on so, mm. */
  readonly finalWidth: number | undefined;
  readonly finalHeight: number | undefined;
}

/** A difference of this much is the hand's usual unevenness. */
const usual = 0.03;

/**
 * A measurement on the way against the plan. @param planned mm, the whole cloth as worked @param rows of the whole
 */
export function driftOf(
  measured: Measuring,
  planned: { readonly width: number; readonly height: number; readonly rows: number },
  units: LengthUnit,
): Drift {
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

/** Whether a drift is more than a hand's usual unevenness. */
export function isDrifting({ width, height }: Drift): boolean {
  return [width, height].some((ratio) => ratio !== undefined && Math.abs(ratio - 1) > usual);
}
