import type { Fabric } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { faceOf } from './clothLayout.ts';
import { clothPicture } from './paintCloth.ts';

/** How a strip is to look. */
export interface StripLook {
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** Stitch width over row height. */
  readonly proportion: number;
  readonly rowsWorked: number;
  /** px, of the place it may take. */
  readonly width: number;
  readonly height: number;
  readonly dpr: number;
}

const largestRow = 13;
const smallestRow = 2;

/**
 * A work as a strip of its own cloth, lying on its side: row 1 at the left, worked rows as cloth, the rest in chalk.
 * @returns the strip, as long as it needs to be
 */
export function paintStrip(fabric: Fabric, look: StripLook): OffscreenCanvas {
  const { shades, hand, proportion, rowsWorked, width, height, dpr } = look;
  const face = faceOf(fabric);
  const rows = Math.ceil(face.up);
  const row = Math.max(smallestRow, Math.min(largestRow, Math.floor(width / rows)));
  const shown = Math.min(rows, Math.floor(width / row));
  const strip = new OffscreenCanvas(Math.max(1, Math.round(shown * row * dpr)), Math.round(height * dpr));
  const ctx = strip.getContext('2d') as OffscreenCanvasRenderingContext2D;
  const cellHeight = Math.max(1, Math.round(row * dpr));
  // A cloth narrower than the strip is shown as wide as the strip is high.
  const perStitch = Math.max(proportion * row, height / face.across);
  const cellWidth = Math.max(1, Math.ceil(perStitch * dpr));
  const picture = clothPicture(fabric, { shades, hand, cellWidth, cellHeight });
  // Turned a quarter to the right, the bottom of the cloth is at the left.
  const along = shown * row * dpr;
  ctx.save();
  ctx.translate(along, 0);
  ctx.rotate(Math.PI / 2);
  ctx.drawImage(picture, 0, picture.height - along, height * dpr, along, 0, 0, height * dpr, along);
  ctx.restore();
  // On the diagonal and in a circle courses are no rows of the picture.
  const done = (rowsWorked / fabric.courses) * rows;
  const worked = Math.min(shown, done) * row * dpr;
  ctx.fillStyle = 'rgb(251 252 250 / 0.8)';
  ctx.fillRect(worked, 0, along - worked, strip.height);
  ctx.strokeStyle = '#8b8590';
  ctx.lineWidth = dpr;
  ctx.setLineDash([5 * dpr, 4 * dpr]);
  ctx.strokeRect(worked + dpr / 2, dpr / 2, Math.max(0, along - worked - dpr), strip.height - dpr);
  if (done > 0 && done < shown) {
    ctx.fillStyle = '#2b1b30';
    ctx.fillRect(worked - dpr, 0, 2 * dpr, strip.height);
  }
  return strip;
}
