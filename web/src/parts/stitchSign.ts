import { type StitchKey, stitchKinds } from '@puntada/core/craft';
import { deepKinds } from './cloth/deepDrawings.ts';

type Ctx = CanvasRenderingContext2D;

const chains = new Set<StitchKey>(['hdc-ch2', 'dc-ch2', 'dc-ch3', 'ch', 'linen-edge']);
const inFront = new Set<StitchKey>(['fpdc', 'fpsc', 'fpdc@other', 'dc@base-front']);
const behind = new Set<StitchKey>(['bpdc', 'dc@base-behind']);
const increases = new Set<StitchKey>(['inc', 'inc-ch3', 'sc-inc', 'hdc-inc']);

/** The plain stitch that a kind is a kind of, by its key and what it stands for. */
const plain = new Map<StitchKey, StitchKey>(stitchKinds.map(({ key, standsFor }) => [key, standsFor ?? key]));
const singles = new Set<StitchKey>(['sc', 'fpsc', 'sc-inc']);
const halves = new Set<StitchKey>(['hdc', 'hdc@between', 'hdc-inc']);

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
  else if (increases.has(stitch)) {
    line(middle - arm, high, middle, low);
    line(middle + arm, high, middle, low);
  } else if (singles.has(plain.get(stitch) ?? stitch)) {
    line(middle, y + cell * 0.28, middle, y + cell * 0.72);
    line(middle - arm * 0.9, y + cell / 2, middle + arm * 0.9, y + cell / 2);
  } else {
    line(middle, high, middle, low);
    line(middle - arm, high, middle + arm, high);
    if (!halves.has(plain.get(stitch) ?? stitch))
      line(middle - arm * 0.8, y + cell * 0.58, middle + arm * 0.8, y + cell * 0.42);
  }
  const bow = (x: number, y: number, radius: number, from: number, to: number) => {
    ctx.moveTo(x + radius * Math.cos(from), y + radius * Math.sin(from));
    ctx.arc(x, y, radius, from, to, to < from);
  };
  // A bow under the sign: the back loop only, opened downwards the front loop only. Legs of a deep stitch reach to the cell's foot; a hook to one side or
  // the other tells a post in front from one behind.
  if (stitch.endsWith('@back')) bow(middle, y + cell * 0.76, arm * 0.7, 0, Math.PI);
  if (stitch.endsWith('@front')) bow(middle, y + cell * 0.88, arm * 0.7, Math.PI, 2 * Math.PI);
  if (deepKinds.has(stitch)) line(middle, low, middle, y + cell);
  if (behind.has(stitch)) bow(middle + arm * 0.6, low, arm * 0.6, Math.PI, 0);
  if (inFront.has(stitch)) bow(middle - arm * 0.6, low, arm * 0.6, 0, Math.PI);
  ctx.stroke();
}
