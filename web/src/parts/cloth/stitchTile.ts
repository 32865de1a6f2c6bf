import type { StitchKey } from '@puntada/core';
import { type Shades, shadesOf } from './shades.ts';

export type Side = 'RS' | 'WS';

/** Cells in one tile: enough that no two neighbours are quite alike, as a hand makes them. */
export const tileCells = 4;

type Draw = (pen: Pen, cell: number) => void;

/** Draws strands of yarn in a cell of 1 × 1, y downwards, with light from above. */
class Pen {
  private readonly ctx: OffscreenCanvasRenderingContext2D;
  private readonly width: number;
  private readonly height: number;
  private readonly shades: Shades;

  constructor(ctx: OffscreenCanvasRenderingContext2D, width: number, height: number, shades: Shades) {
    this.ctx = ctx;
    this.width = width;
    this.height = height;
    this.shades = shades;
  }

  /** One strand along a curve, its thickness as a part of the cell's width. */
  strand(points: readonly [number, number][], thickness: number): void {
    const { ctx, shades } = this;
    const thick = thickness * Math.min(this.width, this.height * 1.1);
    this.line(points, 0, thick + Math.max(0.8, thick * 0.34), shades.hollow);
    this.line(points, 0, thick, shades.body);
    if (thick < 2.2) return;
    this.line(points, thick * 0.24, thick * 0.36, shades.dark);
    this.line(points, -thick * 0.2, thick * 0.34, shades.light);
    ctx.globalAlpha = 1;
  }

  private line(points: readonly [number, number][], down: number, thick: number, colour: string): void {
    const { ctx } = this;
    ctx.beginPath();
    const at = ([x, y]: readonly [number, number]): [number, number] => [x * this.width, y * this.height + down];
    const [first, ...rest] = points;
    if (!first) return;
    ctx.moveTo(...at(first));
    if (rest.length === 1) ctx.lineTo(...at(rest[0] as [number, number]));
    else if (rest.length === 2)
      ctx.quadraticCurveTo(...at(rest[0] as [number, number]), ...at(rest[1] as [number, number]));
    else
      ctx.bezierCurveTo(
        ...at(rest[0] as [number, number]),
        ...at(rest[1] as [number, number]),
        ...at(rest[2] as [number, number]),
      );
    ctx.strokeStyle = colour;
    ctx.lineWidth = thick;
    ctx.stroke();
  }
}

/** A little unevenness that is always the same for the same cell. */
function waver(cell: number, part: number): number {
  return Math.sin(cell * 12.9898 + part * 4.1414) * 0.03;
}

/** The right side of a single crochet: two short legs that close upwards under a loop that lies along the top. */
const scFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.2 + w(1), 1.06],
      [0.24, 0.66],
      [0.45 + w(2), 0.36],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.82 + w(3), 1.06],
      [0.78, 0.66],
      [0.57 + w(2), 0.36],
    ],
    0.25,
  );
  pen.strand(
    [
      [-0.04, 0.29 + w(4)],
      [0.2, 0.08 + w(5)],
      [0.72, 0.06],
      [1.04, 0.25 + w(6)],
    ],
    0.27,
  );
};

/** The wrong side: the loop lies forward as a bar across the middle, with the legs short beneath it. */
const scBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.34 + w(1), 1.05],
      [0.36, 0.86],
      [0.38 + w(2), 0.68],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.68 + w(3), 1.05],
      [0.66, 0.86],
      [0.64 + w(2), 0.68],
    ],
    0.24,
  );
  pen.strand(
    [
      [-0.02, 0.2 + w(6)],
      [0.3, 0.12],
      [0.7, 0.12],
      [1.02, 0.2 + w(7)],
    ],
    0.2,
  );
  pen.strand(
    [
      [0.02, 0.58 + w(4)],
      [0.3, 0.4 + w(5)],
      [0.72, 0.4],
      [0.98, 0.57 + w(6)],
    ],
    0.29,
  );
};

/** A half double: as a single, with the third loop slanting across. */
const hdcFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.26 + w(1), 1.05],
      [0.3, 0.7],
      [0.44 + w(2), 0.28],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.76 + w(3), 1.05],
      [0.72, 0.7],
      [0.58 + w(2), 0.28],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.14, 0.62 + w(5)],
      [0.5, 0.46],
      [0.86, 0.42 + w(4)],
    ],
    0.2,
  );
  pen.strand(
    [
      [-0.04, 0.22 + w(4)],
      [0.2, 0.05 + w(5)],
      [0.72, 0.03],
      [1.04, 0.18 + w(6)],
    ],
    0.25,
  );
};

const hdcBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.36 + w(1), 1.05],
      [0.38, 0.8],
      [0.4 + w(2), 0.5],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.66 + w(3), 1.05],
      [0.64, 0.8],
      [0.62 + w(2), 0.5],
    ],
    0.24,
  );
  pen.strand(
    [
      [-0.02, 0.14 + w(6)],
      [0.3, 0.07],
      [0.7, 0.07],
      [1.02, 0.14 + w(7)],
    ],
    0.19,
  );
  pen.strand(
    [
      [0, 0.46 + w(4)],
      [0.3, 0.3 + w(5)],
      [0.72, 0.3],
      [1, 0.44 + w(6)],
    ],
    0.26,
  );
};

/** A double: a tall post of two strands, bound once across the middle. */
const dcFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.34 + w(1), 1.03],
      [0.32, 0.6],
      [0.42 + w(2), 0.2],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.66 + w(3), 1.03],
      [0.68, 0.6],
      [0.58 + w(2), 0.2],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.16, 0.62 + w(5)],
      [0.5, 0.58],
      [0.84, 0.44 + w(4)],
    ],
    0.22,
  );
  pen.strand(
    [
      [-0.04, 0.16 + w(4)],
      [0.2, 0.04],
      [0.72, 0.03],
      [1.04, 0.14 + w(6)],
    ],
    0.25,
  );
};

const dcBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.38 + w(1), 1.03],
      [0.36, 0.62],
      [0.42 + w(2), 0.24],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.64 + w(3), 1.03],
      [0.66, 0.62],
      [0.58 + w(2), 0.24],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.16, 0.46 + w(5)],
      [0.5, 0.6],
      [0.84, 0.64 + w(4)],
    ],
    0.22,
  );
  pen.strand(
    [
      [0, 0.26 + w(4)],
      [0.3, 0.14],
      [0.72, 0.14],
      [1, 0.25 + w(6)],
    ],
    0.25,
  );
};

const drawings: Readonly<Record<StitchKey, Readonly<Record<Side, Draw>>>> = {
  sc: { RS: scFront, WS: scBack },
  hdc: { RS: hdcFront, WS: hdcBack },
  dc: { RS: dcFront, WS: dcBack },
  'hdc-ch2': { RS: hdcFront, WS: hdcBack },
};

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
    ctx.fillStyle = shades.hollow;
    ctx.fillRect(0, 0, canvas.width, height);
    ctx.lineCap = 'round';
    const draw = drawings[stitch][side];
    for (let cell = -1; cell <= tileCells; cell++) {
      ctx.setTransform(1, 0, 0, 1, cell * width, 0);
      draw(new Pen(ctx, width, height, shades), (cell + tileCells) % tileCells);
    }
  }
  tiles.set(key, canvas);
  return canvas;
}
