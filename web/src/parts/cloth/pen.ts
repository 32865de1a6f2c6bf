import type { Shades } from './shades.ts';

/** Draws strands of yarn in a cell of 1 × 1, y downwards, with light from above. */
export class Pen {
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
