import {
  type BoundPattern,
  bindPattern,
  chooseFoundation,
  type Fabric,
  findPattern,
  must,
  techniqueOf,
} from '@puntada/core/craft';
import { lay } from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';
import { faceOf, shapeOf } from './clothLayout.ts';
import { clothPicture } from './paintCloth.ts';

/** Which pattern, with which numbers and stitch as far as they are chosen, in which yarns. */
export interface SampleRequest {
  readonly pattern: string;
  readonly numbers: Readonly<Record<string, string>>;
  readonly stitch: string | undefined;
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** px */
  readonly side: number;
}

/** A count near to a wanted one that the pattern can be worked on. */
function near(wanted: number, { multiple, extra }: { multiple: number; extra: number }): number {
  return Math.max(1, Math.round((wanted - extra) / multiple)) * multiple + extra;
}

/** A sample of a pattern: about two repeats, or a small piece of what is not made in repeats. */
function sampleOf(bound: BoundPattern): Fabric | undefined {
  const technique = must(techniqueOf(bound.pattern));
  const foundation = chooseFoundation(technique.foundations(bound), undefined);
  if (!foundation.ok) return undefined;
  const { across, up } = bound;
  const [wide, high] = technique.sample ?? [24, 24];
  const stitches = wide
    ? near(Math.max(wide, Math.min(30, bound.repeatStitches * 2)), across.works)
    : across.works.multiple;
  const rows = near(Math.max(high, Math.min(30, bound.repeatCourses * 2)), up.works);
  const courses = technique.courses?.(stitches, rows) ?? rows;
  return lay({ bound, foundation: foundation.value, edges: 'whole', stitches, courses });
}

function boundOf({ pattern: key, numbers, stitch, shades }: SampleRequest): BoundPattern | undefined {
  const pattern = findPattern(key);
  if (!pattern.ok) return undefined;
  const chosen = Object.fromEntries(
    pattern.value.numbers.flatMap((each) => (numbers[each.name] ? [[each.name, Number(numbers[each.name])]] : [])),
  );
  const own = stitch && pattern.value.stitches.includes(stitch) ? { stitch } : {};
  const open = pattern.value.fewestColours < pattern.value.mostColours ? { colours: shades.length } : {};
  const found = bindPattern(pattern.value, { numbers: chosen, ...own, ...open });
  const bound = found.ok ? found : bindPattern(pattern.value);
  return bound.ok ? bound.value : undefined;
}

/** A piece of a pattern as real cloth, square; nothing where there is no such pattern. */
export function paintSample(request: SampleRequest): OffscreenCanvas | undefined {
  const bound = boundOf(request);
  const fabric = bound && sampleOf(bound);
  if (!fabric) return undefined;
  const { shades, hand, side } = request;
  const square = new OffscreenCanvas(side, side);
  const face = faceOf(fabric);
  const whole = shapeOf(fabric) === 'circle' || shapeOf(fabric) === 'blocks';
  const cell = Math.max(4, Math.ceil(side / (whole ? face.across : Math.min(face.across, face.up, 22))));
  const picture = clothPicture(fabric, { shades, hand, cellWidth: cell, cellHeight: cell });
  const ctx = square.getContext('2d');
  if (whole) ctx?.drawImage(picture, 0, 0, side, side * (picture.height / picture.width));
  // A sample is shown from its lower edge, where the work begins.
  else ctx?.drawImage(picture, 0, Math.min(0, side - picture.height));
  return square;
}
