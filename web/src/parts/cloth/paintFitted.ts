import type { Fabric, Hand } from '@puntada/core';
import { faceOf } from './clothLayout.ts';
import { clothPicture } from './paintCloth.ts';

export interface FittedLook {
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** px of one stitch and one row, as they will be seen. */
  readonly perStitch: number;
  readonly perRow: number;
}

/**
 * A whole fabric at the very size at which it will lie, so that to show it is only to copy it.
 * @param technique its key: a tube lies double, so half of its round is seen
 */
export function paintFitted(fabric: Fabric, technique: string, look: FittedLook): OffscreenCanvas {
  const { shades, hand, perStitch, perRow } = look;
  const [cellWidth, cellHeight] = [Math.max(1, Math.ceil(perStitch)), Math.max(1, Math.ceil(perRow))];
  const whole = clothPicture(fabric, { shades, hand, cellWidth, cellHeight });
  const face = faceOf(fabric);
  const across = face.across * (technique === 'wedge-circle' ? perRow : perStitch);
  const shown = technique === 'tube' ? 0.5 : 1;
  const width = Math.max(1, Math.round(across * shown));
  const height = Math.max(1, Math.round(face.up * perRow));
  const picture = new OffscreenCanvas(width, height);
  const ctx = picture.getContext('2d') as OffscreenCanvasRenderingContext2D;
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(whole, 0, 0, across, height);
  return picture;
}
