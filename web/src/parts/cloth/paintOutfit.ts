import type { PatternedRound } from '@puntada/core/plan';
import { borderArcs, borderRects } from './borderLook.ts';
import { shadesOf } from './shades.ts';

type Ctx = CanvasRenderingContext2D;

/** Where a cloth lies on a canvas, px. */
interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A strap as it hangs, mm. */
export interface StrapLook {
  readonly drop: number;
  readonly width: number;
  readonly shade: string | undefined;
}

/** The other panels, or the rest of a set: their edges look out from under the first. @param behind how many */
export function paintUnder(ctx: Ctx, behind: number, round: boolean, place: Place, dpr: number): void {
  const { x, y, width, height } = place;
  for (let i = behind; i > 0; i--) {
    const off = i * 6 * dpr;
    ctx.beginPath();
    if (round) ctx.ellipse(x + off + width / 2, y - off + height / 2, width / 2, height / 2, 0, 0, 2 * Math.PI);
    else ctx.rect(x + off, y - off, width, height);
    ctx.fillStyle = '#cfc7b4';
    ctx.fill();
    ctx.strokeStyle = 'rgb(43 27 48 / 0.5)';
    ctx.lineWidth = dpr;
    ctx.stroke();
  }
}

/** A border, its colours by number. */
export interface BorderLook {
  readonly colour: number;
  readonly pattern?: { readonly rounds: readonly PatternedRound[]; readonly colour: number } | undefined;
}

/** A border about the place where the cloth is painted next, in its pattern where it has one. @param depth px */
export function paintBorder(
  ctx: Ctx,
  { colour, pattern }: BorderLook,
  shades: readonly string[],
  inner: Place,
  depth: number,
  round: boolean,
): void {
  const { x, y, width, height } = inner;
  ctx.fillStyle = shades[colour] ?? '#888888';
  const second = (pattern && shades[pattern.colour]) ?? '#888888';
  const rounds = pattern?.rounds ?? [];
  if (!round) {
    ctx.fillRect(x - depth, y - depth, width + 2 * depth, height + 2 * depth);
    ctx.fillStyle = second;
    for (const rect of borderRects(rounds, inner, depth)) ctx.fillRect(rect.x, rect.y, rect.width, rect.height);
    return;
  }
  const [across, up] = [x + width / 2, y + height / 2];
  ctx.beginPath();
  ctx.arc(across, up, width / 2 + depth, 0, 2 * Math.PI);
  ctx.fill();
  ctx.strokeStyle = second;
  ctx.lineWidth = depth / Math.max(1, rounds.length);
  for (const { radius, from, to } of borderArcs(rounds, width / 2, depth)) {
    ctx.beginPath();
    ctx.arc(across, up, radius, 2 * Math.PI * from, 2 * Math.PI * to);
    ctx.stroke();
  }
}

/** A strap from corner to corner of the top edge, as high as its drop. @param px of one mm */
export function paintStrap(ctx: Ctx, strap: StrapLook, { x, y, width }: Place, px: number): void {
  const { light, body, dark } = shadesOf(strap.shade ?? '#888888');
  const broad = Math.max(2, strap.width * px);
  const [left, right, foot] = [x + broad / 2, x + width - broad / 2, y + broad / 2];
  // A curve of this kind rises to three quarters of its handles.
  const handle = y - (strap.drop * px) / 0.75;
  for (const [colour, part] of [
    ['rgb(0 0 0 / 0.25)', 1.3],
    [dark, 1],
    [body, 0.86],
    [light, 0.12],
  ] as const) {
    ctx.strokeStyle = colour;
    ctx.lineWidth = broad * part;
    ctx.beginPath();
    ctx.moveTo(left, foot);
    ctx.bezierCurveTo(left, handle, right, handle, right, foot);
    ctx.stroke();
  }
}

/** A hanging ring at the upper corner. @param inside its inner length, mm @param px of one mm */
export function paintRing(ctx: Ctx, inside: number, shade: string, { x, y, width }: Place, px: number): void {
  const { body, dark } = shadesOf(shade);
  // The chain lies round its inside: as long as it is told, so this wide.
  const radius = (inside * px) / Math.PI;
  for (const [colour, thick] of [
    [dark, 7],
    [body, 5],
  ] as const) {
    ctx.strokeStyle = colour;
    ctx.lineWidth = thick * px;
    ctx.beginPath();
    ctx.arc(x + width, y, radius, 0, 2 * Math.PI);
    ctx.stroke();
  }
}
