import type { ToldUnit } from '@puntada/core/craft';
import { paintStrap, paintUnder, type StrapLook } from '../../parts/cloth/paintOutfit.ts';
import { shadesOf } from '../../parts/cloth/shades.ts';
import type { MatGeometry } from './matGeometry.ts';

const inch = 25.4;
/** A cloth that is not painted yet. */
const paper = '#e4ebe2';

/** The cutting mat with its grid: 1 cm and 5 cm lines, or inches and 6 inches. Painted once for a size. */
export function paintMat(ctx: CanvasRenderingContext2D, mat: MatGeometry, units: ToldUnit, dpr: number): void {
  ctx.fillStyle = '#16382f';
  ctx.fillRect(0, 0, mat.width * dpr, mat.height * dpr);
  const small = (units === 'cm' ? 10 : inch) * mat.scale;
  const every = units === 'cm' ? 5 : 6;
  // Lines closer than this would be a haze; then only the bold ones are drawn.
  if (small >= 5) grid(ctx, mat, small, 1, dpr, '#1f463b', 1);
  grid(ctx, mat, small, every, dpr, '#2f5c50', 1);
  if (small * every < 40) grid(ctx, mat, small, every * 4, dpr, '#3c6d60', 1);
}

function grid(
  ctx: CanvasRenderingContext2D,
  mat: MatGeometry,
  small: number,
  every: number,
  dpr: number,
  colour: string,
  thick: number,
): void {
  const step = small * every;
  ctx.strokeStyle = colour;
  ctx.lineWidth = thick * dpr;
  ctx.beginPath();
  for (let x = mat.originX % step; x < mat.width; x += step) {
    const at = Math.round(x * dpr) + 0.5;
    ctx.moveTo(at, 0);
    ctx.lineTo(at, mat.height * dpr);
  }
  for (let y = mat.originY % step; y < mat.height; y += step) {
    const at = Math.round(y * dpr) + 0.5;
    ctx.moveTo(0, at);
    ctx.lineTo(mat.width * dpr, at);
  }
  ctx.stroke();
}

export interface ClothOnMat {
  /** Nothing while it is painted. */
  readonly picture: ImageBitmap | undefined;
  /** The part of the picture that is the cloth, px. */
  readonly crop:
    | undefined
    | { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** mm */
  readonly width: number;
  readonly height: number;
  /** How far gauge may move the edges, mm; nothing where it is certain. */
  readonly widthRange: readonly [number, number];
  readonly heightRange: readonly [number, number];
  /** The circle on which its sides stand, mm across: it lies below them, as cut out. */
  readonly base: undefined | { readonly picture: ImageBitmap; readonly across: number };
  /** A circle casts a round shadow and is wished for as one. */
  readonly round: boolean;
  /** How many more of it lie under it. */
  readonly behind: number;
  /** A strap over the top edge, as it hangs, mm. */
  readonly strap: StrapLook | undefined;
  /** Width of the border, mm, and its shade. */
  readonly rim: number;
  readonly rimShade: string | undefined;
  /** mm; undefined where the wish is a count. */
  readonly wishWidth: number | undefined;
  readonly wishHeight: number | undefined;
  /** mm that a size may be off the wish, either way. */
  readonly tolerance: number | undefined;
}

/** Everything that moves while an edge is dragged. */
export function paintClothOnMat(ctx: CanvasRenderingContext2D, mat: MatGeometry, cloth: ClothOnMat, dpr: number): void {
  ctx.clearRect(0, 0, mat.width * dpr, mat.height * dpr);
  const x = mat.originX * dpr;
  const bottom = mat.originY * dpr;
  const px = mat.scale * dpr;
  const width = cloth.width * px;
  const height = cloth.height * px;
  ghosts(ctx, cloth, x, bottom, px, dpr);
  for (const [spread, alpha] of [
    [10, 0.1],
    [6, 0.12],
    [3, 0.16],
  ] as const) {
    ctx.fillStyle = `rgb(0 0 0 / ${alpha})`;
    const [left, top] = [x - spread * 0.4 * dpr, bottom - height - spread * 0.1 * dpr];
    outline(ctx, cloth.round, left, top, width + spread * dpr, height + spread * 0.8 * dpr);
    ctx.fill();
  }
  const place = { x, y: bottom - height, width, height };
  if (cloth.strap) paintStrap(ctx, cloth.strap, place, px);
  paintUnder(ctx, cloth.behind, cloth.round, place, dpr);
  const { picture, crop, base } = cloth;
  if (base) {
    const across = base.across * px;
    ctx.drawImage(base.picture, x + (width - across) / 2, bottom, across, across);
  }
  const rim = cloth.rim * px;
  if (!picture) {
    ctx.fillStyle = paper;
    ctx.fillRect(x, bottom - height, width, height);
  }
  if (picture && crop) {
    if (cloth.rimShade) border(ctx, cloth.rimShade, x, bottom - height, width, height, rim, dpr);
    ctx.drawImage(
      picture,
      crop.x,
      crop.y,
      crop.width,
      crop.height,
      x + rim,
      bottom - height + rim,
      width - 2 * rim,
      height - 2 * rim,
    );
  }
  chalk(ctx, cloth, x, bottom, px, dpr);
}

/** A border of sc: its yarn, with a line for every stitch and round. */
function border(
  ctx: CanvasRenderingContext2D,
  shade: string,
  x: number,
  y: number,
  width: number,
  height: number,
  rim: number,
  dpr: number,
): void {
  const { body, dark } = shadesOf(shade);
  ctx.fillStyle = body;
  ctx.fillRect(x, y, width, height);
  ctx.strokeStyle = dark;
  ctx.lineWidth = dpr;
  for (const inset of [0.5 * dpr, rim / 2, rim - 0.5 * dpr]) {
    ctx.strokeRect(x + inset, y + inset, width - 2 * inset, height - 2 * inset);
  }
}

function outline(
  ctx: CanvasRenderingContext2D,
  round: boolean,
  x: number,
  y: number,
  width: number,
  height: number,
): void {
  ctx.beginPath();
  if (round) ctx.ellipse(x + width / 2, y + height / 2, width / 2, height / 2, 0, 0, 2 * Math.PI);
  else ctx.rect(x, y, width, height);
}

/** A pale band on each free edge: as far as the gauge leaves it open. */
function ghosts(
  ctx: CanvasRenderingContext2D,
  cloth: ClothOnMat,
  x: number,
  bottom: number,
  px: number,
  dpr: number,
): void {
  const [narrow, wide] = cloth.widthRange;
  const [low, high] = cloth.heightRange;
  if (wide - narrow < 0.5 && high - low < 0.5) return;
  ctx.fillStyle = 'rgb(238 243 234 / 0.13)';
  outline(ctx, cloth.round, x, bottom - high * px, wide * px, high * px);
  ctx.fill();
  ctx.strokeStyle = 'rgb(238 243 234 / 0.55)';
  ctx.lineWidth = dpr;
  ctx.setLineDash([2 * dpr, 4 * dpr]);
  ctx.stroke();
  ctx.setLineDash([]);
}

/** The wish as a chalk outline. */
function chalk(
  ctx: CanvasRenderingContext2D,
  cloth: ClothOnMat,
  x: number,
  bottom: number,
  px: number,
  dpr: number,
): void {
  const { wishWidth, wishHeight } = cloth;
  if (wishWidth === undefined && wishHeight === undefined) return;
  const width = (wishWidth ?? cloth.width) * px;
  const height = (wishHeight ?? cloth.height) * px;
  const off = (cloth.tolerance ?? 0) * px;
  for (const each of off ? [-off, off] : []) {
    // How far off it may be: two thin lines, inside the wish and outside of it.
    const [w, h] = [wishWidth === undefined ? width : width + each, wishHeight === undefined ? height : height + each];
    if (w <= 0 || h <= 0) continue;
    ctx.lineWidth = 1 * dpr;
    ctx.strokeStyle = 'rgb(246 250 242 / 0.55)';
    outline(ctx, cloth.round, x, bottom - h, w, h);
    ctx.stroke();
  }
  ctx.setLineDash([7 * dpr, 5 * dpr]);
  ctx.lineWidth = 3.5 * dpr;
  ctx.strokeStyle = 'rgb(22 56 47 / 0.6)';
  outline(ctx, cloth.round, x, bottom - height, width, height);
  ctx.stroke();
  ctx.lineWidth = 1.6 * dpr;
  ctx.strokeStyle = '#f6faf2';
  ctx.stroke();
  ctx.setLineDash([]);
}
