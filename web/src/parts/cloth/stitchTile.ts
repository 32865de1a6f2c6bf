import type { StitchKey } from '@puntada/core/craft';
import { clearKinds } from './deepDrawings.ts';
import type { Side } from './drawing.ts';
import { Pen } from './pen.ts';
import { type Shades, shadesOf } from './shades.ts';
import { drawingOf } from './stitchDrawings.ts';

/** Cells in one tile: enough that no two neighbours are quite alike, as a hand makes them. */
export const tileCells = 4;

/** Under this size a stitch is only a dab of its colour with a shade beneath it. */
const smallest = 4.5;

function drawSmall(
  ctx: OffscreenCanvasRenderingContext2D,
  width: number,
  height: number,
  shades: Shades,
  side: Side,
): void {
  ctx.fillStyle = shades.dark;
  ctx.fillRect(0, 0, width * tileCells, height);
  ctx.fillStyle = side === 'RS' ? shades.body : shades.light;
  const gap = width >= 3 ? 0.8 : 0;
  for (let cell = 0; cell < tileCells; cell++) {
    ctx.fillRect(cell * width, 0, width - gap, Math.max(1, height * (side === 'RS' ? 0.86 : 0.72)));
  }
}

const tiles = new Map<string, OffscreenCanvas>();

/**
 * A tile of `tileCells` stitches side by side as they look from the right side of the cloth.
 * @param side the side that faced the maker when the row was worked @param width of a cell, whole pixels
 */
export function stitchTile(
  stitch: StitchKey,
  side: Side,
  shade: string,
  width: number,
  height: number,
): OffscreenCanvas {
  const key = `${stitch} ${side} ${shade} ${width} ${height}`;
  const known = tiles.get(key);
  if (known) return known;
  if (tiles.size > 400) tiles.clear();
  const canvas = new OffscreenCanvas(width * tileCells, height);
  const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
  const shades = shadesOf(shade);
  if (Math.min(width, height) < smallest) drawSmall(ctx, width, height, shades, side);
  else {
    if (!clearKinds.has(stitch)) {
      ctx.fillStyle = shades.hollow;
      ctx.fillRect(0, 0, canvas.width, height);
    }
    ctx.lineCap = 'round';
    const draw = drawingOf(stitch)[side];
    for (let cell = -1; cell <= tileCells; cell++) {
      ctx.setTransform(1, 0, 0, 1, cell * width, 0);
      draw(new Pen(ctx, width, height, shades), (cell + tileCells) % tileCells);
    }
  }
  tiles.set(key, canvas);
  return canvas;
}
