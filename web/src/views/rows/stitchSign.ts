import type { StitchKey } from '@puntada/core';

type Ctx = CanvasRenderingContext2D;

const chains = new Set<StitchKey>(['hdc-ch2', 'dc-ch2', 'dc-ch3', 'ch', 'linen-edge']);
const deep = new Set<StitchKey>(['dc@below2', 'dc@front2', 'fpdc', 'bpdc']);

/** The international signs: a cross for single, a T for half double, a T with a bar for double. */
export function stitchSign(ctx: Ctx, stitch: StitchKey, x: number, y: number, cell: number): void {
  const [middle, high, low, arm] = [x + cell / 2, y + cell * 0.2, y + cell * 0.8, cell * 0.24];
  ctx.lineWidth = Math.max(1.2, cell * 0.08);
  ctx.beginPath();
  const line = (x1: number, y1: number, x2: number, y2: number) => {
    ctx.moveTo(x1, y1);
    ctx.lineTo(x2, y2);
  };
  if (chains.has(stitch)) ctx.ellipse(middle, y + cell / 2, cell * 0.16, cell * 0.28, 0, 0, Math.PI * 2);
  else if (stitch === 'sc' || stitch === 'sc@space' || stitch === 'sc@back') {
    line(middle, y + cell * 0.28, middle, y + cell * 0.72);
    line(middle - arm * 0.9, y + cell / 2, middle + arm * 0.9, y + cell / 2);
  } else {
    line(middle, high, middle, low);
    line(middle - arm, high, middle + arm, high);
    if (stitch !== 'hdc' && stitch !== 'hdc@between')
      line(middle - arm * 0.8, y + cell * 0.58, middle + arm * 0.8, y + cell * 0.42);
  }
  const bow = (x: number, y: number, radius: number, from: number, to: number) => {
    ctx.moveTo(x + radius * Math.cos(from), y + radius * Math.sin(from));
    ctx.arc(x, y, radius, from, to, to < from);
  };
  // A bow under the cross: the back loop only. Legs of a deep stitch reach to the cell's foot; a hook to one side or
  // the other tells a post in front from one behind.
  if (stitch === 'sc@back') bow(middle, y + cell * 0.74, arm * 0.7, 0, Math.PI);
  if (deep.has(stitch)) line(middle, low, middle, y + cell);
  if (stitch === 'bpdc') bow(middle + arm * 0.6, low, arm * 0.6, Math.PI, 0);
  if (stitch === 'fpdc') bow(middle - arm * 0.6, low, arm * 0.6, 0, Math.PI);
  ctx.stroke();
}
