import { type Fabric, type Hand, runsForward, type StitchKey, stitchKind } from '@puntada/core';
import { isStepped, meanHeight, steppedTops } from './steps.ts';
import type { Side } from './stitchDrawings.ts';
import { stitchTile, tileCells } from './stitchTile.ts';

/** How a fabric is to be seen. */
export interface ClothLook {
  /** `#rrggbb` of each colour, in the order of the pattern's letters. */
  readonly shades: readonly string[];
  readonly hand: Hand;
  /** Whole pixels of one stitch. */
  readonly cellWidth: number;
  readonly cellHeight: number;
  /** Which face is seen; the right side unless said. */
  readonly face?: Side;
}

export interface CourseSpan {
  readonly from: number;
  /** The first course that is not painted. */
  readonly to: number;
}

type Canvas2d = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** The column at a place from the left: a right hand begins row 1 at the right, and the other face is mirrored. */
function columnAt(fabric: Fabric, look: ClothLook, place: number): number {
  return (look.hand === 'right') === (look.face !== 'WS') ? fabric.stitches - 1 - place : place;
}

/** A row shows its right side on the face that was towards the maker. */
function sideOf(course: number, look: ClothLook): Side {
  return runsForward(course) === (look.face !== 'WS') ? 'RS' : 'WS';
}

/**
 * Paints courses of a fabric as crochet seen from the right side, course 1 at the bottom. The picture is
 * stitches × cellWidth by courses × cellHeight; the top of the span is at y = 0.
 */
export function paintCloth(ctx: Canvas2d, fabric: Fabric, look: ClothLook, span: CourseSpan): void {
  if (isStepped(fabric)) paintStepped(ctx, fabric, look, span);
  else paintLevel(ctx, fabric, look, span);
}

/** Courses of one height: each run is filled with its tile, which joins up with the next. */
function paintLevel(ctx: Canvas2d, fabric: Fabric, look: ClothLook, span: CourseSpan): void {
  const { stitches, kinds, colours } = fabric;
  const { cellWidth, cellHeight } = look;
  const patterns = new Map<number, CanvasPattern>();
  const fill = (kind: number, colour: number, side: Side): CanvasPattern => {
    const key = (kind * 16 + colour) * 2 + (side === 'RS' ? 0 : 1);
    let pattern = patterns.get(key);
    if (!pattern) {
      const tile = stitchTile(stitchKind(kind).key, side, look.shades[colour] ?? '#888888', cellWidth, cellHeight);
      pattern = ctx.createPattern(tile, 'repeat') as CanvasPattern;
      patterns.set(key, pattern);
    }
    return pattern;
  };
  for (let course = span.from; course < span.to; course++) {
    const base = course * stitches;
    const y = (span.to - 1 - course) * cellHeight;
    const side = sideOf(course, look);
    for (let place = 0; place < stitches; ) {
      const at = base + columnAt(fabric, look, place);
      const kind = kinds[at] as number;
      const colour = colours[at] as number;
      const from = place++;
      while (place < stitches) {
        const next = base + columnAt(fabric, look, place);
        if (kinds[next] !== kind || colours[next] !== colour) break;
        place++;
      }
      ctx.fillStyle = fill(kind, colour, side);
      ctx.fillRect(from * cellWidth, y, (place - from) * cellWidth, cellHeight);
    }
  }
}

/** Courses of tall and short stitches by turns: each column is a stack. */
function paintStepped(ctx: Canvas2d, fabric: Fabric, look: ClothLook, span: CourseSpan): void {
  const { stitches, kinds, colours } = fabric;
  const { cellWidth, cellHeight } = look;
  const tops = steppedTops(fabric, span.from);
  const bottom = span.to * cellHeight;
  for (let course = span.from; course < span.to; course++) {
    const side = sideOf(course, look);
    const base = course * stitches;
    const mean = meanHeight(fabric, course);
    for (let place = 0; place < stitches; place++) {
      const x = columnAt(fabric, look, place);
      const kind = stitchKind(kinds[base + x] as number);
      const foot = tops[x] as number;
      const head = foot + kind.height / mean;
      tops[x] = head;
      const y = Math.round(bottom - head * cellHeight);
      const height = Math.round(bottom - foot * cellHeight) - y;
      const shade = look.shades[colours[base + x] as number] ?? '#888888';
      const tile = stitchTile(kind.key as StitchKey, side, shade, cellWidth, Math.max(1, height));
      const cell = (place % tileCells) * cellWidth;
      ctx.drawImage(tile, cell, 0, cellWidth, height, place * cellWidth, y, cellWidth, height);
    }
  }
}

/** The whole fabric as a picture of its own. */
export function clothPicture(
  fabric: Fabric,
  look: ClothLook,
  span: CourseSpan = { from: 0, to: fabric.courses },
): OffscreenCanvas {
  const width = Math.max(1, fabric.stitches * look.cellWidth);
  const height = Math.max(1, (span.to - span.from) * look.cellHeight);
  const picture = new OffscreenCanvas(width, height);
  paintCloth(picture.getContext('2d') as OffscreenCanvasRenderingContext2D, fabric, look, span);
  return picture;
}
