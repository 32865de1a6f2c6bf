import type { Fabric } from '../lay/fabric.ts';
import { cellWorked } from '../lay/fabric.ts';
import { type StitchKey, stitchKinds } from '../stitches/kinds.ts';

/** Seconds for each thing that hands do. */
export interface Pace {
  readonly stitches: Readonly<Partial<Record<StitchKey, number>>>;
  readonly change: number;
  readonly turn: number;
  /** Weaving in one end. */
  readonly end: number;
  /** Working one stitch over a strand. */
  readonly carry: number;
  /** Cutting a strand and joining it again. */
  readonly join: number;
}

/**
 * A steady hand before its own pace was logged; judged, not measured (docs/craft.md, “Time”). A kind that is not
 * named takes what the stitch it stands for takes.
 */
export const typicalPace: Pace = {
  stitches: {
    ch: 1.2,
    sc: 3,
    'sc@back': 3.2,
    hdc: 3.6,
    'hdc@between': 4,
    dc: 4.6,
    'dc@below2': 5.4,
    'dc@front2': 5.6,
    fpdc: 6.5,
    bpdc: 7.5,
    cluster: 14,
    'edge-dc': 5,
    block: 22,
    inc: 9.2,
    fleck: 5,
    'hdc-ch2': 2.4,
    'dc-ch3': 3.6,
  },
  change: 2.5,
  turn: 4,
  end: 75,
  carry: 0.4,
  join: 12,
};

/** A hand may be a third quicker or slower than typical. */
export const paceSd = 0.2;

/** Seconds of one cell. */
export function secondsOf(key: StitchKey, pace: Pace): number {
  const kind = stitchKinds.find((each) => each.key === key);
  return pace.stitches[key] ?? pace.stitches[kind?.standsFor ?? 'sc'] ?? 3;
}

/** Seconds to work a fabric and weave in its ends; linear in cells. @param ends yarn ends of the work */
export function secondsToMake(fabric: Fabric, ends: number, pace: Pace = typicalPace): number {
  const counts = new Int32Array(stitchKinds.length);
  for (const code of fabric.kinds) (counts[code] as number)++;
  let seconds = 0;
  stitchKinds.forEach((kind, code) => {
    seconds += (counts[code] as number) * secondsOf(kind.key, pace);
  });
  let changes = 0;
  for (let course = 0; course < fabric.courses; course++) {
    const to = fabric.starts[course + 1] as number;
    for (let i = (fabric.starts[course] as number) + 1; i < to; i++) {
      if (fabric.colours[i] !== fabric.colours[i - 1]) changes++;
    }
    if (course && fabric.colours[cellWorked(fabric, course, 0)] !== lastColour(fabric, course - 1)) changes++;
  }
  return seconds + changes * pace.change + fabric.courses * pace.turn + ends * pace.end;
}

function lastColour(fabric: Fabric, course: number): number | undefined {
  const cells = (fabric.starts[course + 1] as number) - (fabric.starts[course] as number);
  return fabric.colours[cellWorked(fabric, course, cells - 1)];
}
