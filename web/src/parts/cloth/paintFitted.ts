import { baseCourses, type Fabric, sidesOf } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { faceOf, liesDouble, shapeOf } from './clothLayout.ts';
import { paintCircle } from './paintCircle.ts';
import { clothPicture } from './paintCloth.ts';

export interface FittedLook {
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** px of one stitch and one row, as they will be seen. */
  readonly perStitch: number;
  readonly perRow: number;
}

/**
 * A whole fabric at the very size at which it will lie, so that to show it is only to copy it. A tube lies double, so
 * half of its round is seen; what stands on a circle is shown without it.
 */
export function paintFitted(whole: Fabric, look: FittedLook): OffscreenCanvas {
  const round = shapeOf(whole) === 'circle';
  const fabric = round ? whole : sidesOf(whole);
  const { shades, hand, perStitch, perRow } = look;
  const [cellWidth, cellHeight] = [Math.max(1, Math.ceil(perStitch)), Math.max(1, Math.ceil(perRow))];
  const drawn = clothPicture(fabric, { shades, hand, cellWidth, cellHeight });
  const face = faceOf(fabric);
  const across = face.across * (round ? perRow : perStitch);
  const shown = liesDouble(fabric) ? 0.5 : 1;
  const width = Math.max(1, Math.round(across * shown));
  const height = Math.max(1, Math.round(face.up * perRow));
  const picture = new OffscreenCanvas(width, height);
  const ctx = picture.getContext('2d') as OffscreenCanvasRenderingContext2D;
  ctx.imageSmoothingQuality = 'high';
  // The half that is seen is the one in which a round begins.
  ctx.drawImage(drawn, hand === 'right' ? width - across : 0, 0, across, height);
  return picture;
}

/**
 * The flat circle on which sides stand, seen from below; nothing where there is none.
 * @param across px of its diameter
 */
export function paintBase(
  fabric: Fabric,
  { shades, hand }: Pick<FittedLook, 'shades' | 'hand'>,
  across: number,
): OffscreenCanvas | undefined {
  const rounds = shapeOf(fabric) === 'based' ? baseCourses(fabric) : 0;
  if (rounds === 0 || across < 1) return undefined;
  const cellHeight = Math.max(1, Math.ceil(across / (2 * rounds)));
  const picture = new OffscreenCanvas(2 * rounds * cellHeight, 2 * rounds * cellHeight);
  const ctx = picture.getContext('2d') as OffscreenCanvasRenderingContext2D;
  paintCircle(ctx, { ...fabric, courses: rounds }, { shades, hand, cellWidth: cellHeight, cellHeight }, rounds);
  return picture;
}
