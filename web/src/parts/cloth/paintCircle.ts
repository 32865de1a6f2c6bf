import { cellsIn, type Fabric, type StitchKey, stitchKind } from '@puntada/core/craft';
import type { ClothLook } from './clothLook.ts';
import { shadesOf } from './shades.ts';
import { stitchTile, tileCells } from './stitchTile.ts';

type Canvas2d = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** Rounds from the ring outwards; each round begins where the last one joined, and goes with the hand. */
export function paintCircle(ctx: Canvas2d, fabric: Fabric, look: ClothLook, worked: number): void {
  const { cellHeight } = look;
  const middle = fabric.courses * cellHeight;
  const way = (look.hand === 'right') === (look.face !== 'WS') ? -1 : 1;
  for (let course = worked - 1; course >= 0; course--) {
    const start = fabric.starts[course] as number;
    const cells = cellsIn(fabric, course);
    let whole = 0;
    for (let x = 0; x < cells; x++) whole += stitchKind(fabric.kinds[start + x] as number).makes;
    const outer = (course + 1) * cellHeight;
    let at = 0;
    for (let x = 0; x < cells; x++) {
      const { makes, height } = stitchKind(fabric.kinds[start + x] as number);
      const stitch = height < 1.2 ? 'sc' : height < 1.8 ? 'hdc' : 'dc';
      const shade = look.shades[fabric.colours[start + x] as number] ?? '#888888';
      for (let n = 0; n < makes; n++) {
        // A round's first stitch stands a little further on than the one below it: the wedges curl.
        const angle = way * ((2 * Math.PI * (at + 0.5)) / whole + course * 0.05);
        paintStitch(ctx, { stitch, shade }, middle, outer, angle, (2 * Math.PI) / whole, cellHeight, at);
        at++;
      }
    }
  }
}

function paintStitch(
  ctx: Canvas2d,
  { stitch, shade }: { readonly stitch: StitchKey; readonly shade: string },
  middle: number,
  outer: number,
  angle: number,
  share: number,
  height: number,
  n: number,
): void {
  const inner = outer - height;
  ctx.beginPath();
  ctx.arc(middle, middle, outer, angle - share / 2 - Math.PI / 2 - 0.005, angle + share / 2 - Math.PI / 2 + 0.005);
  ctx.arc(middle, middle, inner, angle + share / 2 - Math.PI / 2, angle - share / 2 - Math.PI / 2, true);
  ctx.closePath();
  ctx.fillStyle = shadesOf(shade).hollow;
  ctx.fill();
  const width = Math.max(2, Math.round(outer * share));
  if (width < 3 || height < 4) return;
  const tile = stitchTile(stitch, 'RS', shade, width, height);
  ctx.save();
  ctx.clip();
  ctx.translate(middle, middle);
  ctx.rotate(angle);
  ctx.drawImage(tile, (n % tileCells) * width, 0, width, height, -width / 2, -outer, width, height);
  ctx.restore();
}
