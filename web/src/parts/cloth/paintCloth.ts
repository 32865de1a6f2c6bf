import { cellsIn, type Fabric, facesRight, type StitchKey, stitchKind } from '@puntada/core/craft';
import { faceOf, placeOf, shapeOf } from './clothLayout.ts';
import type { ClothLook } from './clothLook.ts';
import { deepKinds } from './deepDrawings.ts';
import type { Side } from './drawing.ts';
import { paintCircle } from './paintCircle.ts';
import { isStepped, meanHeight, steppedTops } from './steps.ts';
import { stitchTile, tileCells } from './stitchTile.ts';

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
function sideOf(fabric: Fabric, course: number, look: ClothLook): Side {
  return facesRight(course, fabric.making) === (look.face !== 'WS') ? 'RS' : 'WS';
}

/**
 * Paints courses of a fabric as crochet seen from the right side, course 1 at the bottom. The picture is
 * stitches × cellWidth by courses × cellHeight; the top of the span is at y = 0.
 */
export function paintCloth(ctx: Canvas2d, fabric: Fabric, look: ClothLook, span: CourseSpan): void {
  const shape = shapeOf(fabric);
  if (shape === 'circle') paintCircle(ctx, fabric, look, span.to);
  else if (shape === 'blocks') paintBlocks(ctx, fabric, look, span.to);
  else if (shape !== 'grid' || isLayered(fabric)) paintPlaced(ctx, fabric, look, span);
  else if (isStepped(fabric)) paintStepped(ctx, fabric, look, span);
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
    const side = sideOf(fabric, course, look);
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
    const side = sideOf(fabric, course, look);
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

/** Posts that are worked at the back of the cloth, as it faces the maker. */
const behind = new Set<StitchKey>(['bpdc', 'dc@base-behind']);

const layered = new Set<StitchKey>([...deepKinds, 'fleck', 'ch']);

/** Whether some stitches lie over others, so that cells are painted one by one. */
function isLayered(fabric: Fabric): boolean {
  const upTo = Math.min(fabric.kinds.length, fabric.stitches * 6);
  for (let i = 0; i < upTo; i++) if (layered.has(stitchKind(fabric.kinds[i] as number).key)) return true;
  return false;
}

/** Cells one by one, each at its place; those that reach down are laid over the row below. */
function paintPlaced(ctx: Canvas2d, fabric: Fabric, look: ClothLook, span: CourseSpan): void {
  const { cellWidth, cellHeight } = look;
  const shape = shapeOf(fabric);
  const { across } = faceOf(fabric);
  const mirrored = (look.hand === 'right') === (look.face !== 'WS');
  const mesh = fabric.making === 'paired' || fabric.making === 'netted';
  const put = (
    kind: StitchKey,
    side: Side,
    shade: string,
    x: number,
    y: number,
    width: number,
    high: number,
    n: number,
  ) => {
    const tile = stitchTile(kind, side, shade, Math.max(1, width), Math.max(1, high));
    ctx.drawImage(tile, (n % tileCells) * width, 0, width, high, x, y, width, high);
  };
  for (let course = span.from; course < span.to; course++) {
    const start = fabric.starts[course] as number;
    const side = sideOf(fabric, course, look);
    const y = (span.to - 1 - course) * cellHeight;
    const cells = cellsIn(fabric, course);
    if (shape === 'brick')
      fillRow(ctx, look.shades[fabric.colours[start] as number], y, across * cellWidth, cellHeight);
    for (let x = 0; x < cells; x++) {
      const { at, width } = placeOf(fabric, shape, course, x);
      const kind = stitchKind(fabric.kinds[start + x] as number).key;
      const shade = look.shades[fabric.colours[start + x] as number] ?? '#888888';
      const left = Math.round((mirrored ? across - at - width : at) * cellWidth);
      const wide = Math.max(1, Math.round((mirrored ? across - at : at + width) * cellWidth) - left);
      if (shape === 'based' && width >= 2) {
        // A round of the circle is drawn out: as cloth of its stitch, not as stitches of that width.
        const many = Math.round(width);
        const each = Math.max(1, Math.round(wide / many));
        for (let n = 0; n < many; n++) put(kind, side, shade, left + n * each, y, each, cellHeight, x + n);
        continue;
      }
      const deep = deepKinds.has(kind) && course > span.from;
      if (kind === 'fleck') put('sc', side, look.shades[0] ?? '#888888', left, y, wide, cellHeight, x);
      if (!deep) {
        put(deepKinds.has(kind) ? 'dc' : kind, side, shade, left, y, wide, cellHeight, x);
        continue;
      }
      put(kind, side, shade, left, y, wide, 2 * cellHeight, x);
      // A post behind the other mesh is crossed by its chain.
      if (mesh && behind.has(kind) === facesRight(course, fabric.making)) {
        const below = look.shades[fabric.colours[(fabric.starts[course - 1] as number) + x] as number] ?? '#888888';
        put('ch', side, below, left, y + cellHeight, wide, cellHeight, x);
      }
    }
  }
}

function fillRow(ctx: Canvas2d, shade: string | undefined, y: number, width: number, height: number): void {
  ctx.fillStyle = shade ?? '#888888';
  ctx.fillRect(0, y, width, height);
}

/** Blocks as they are seen, those of every second diagonal turned by a quarter. */
function paintBlocks(ctx: Canvas2d, fabric: Fabric, look: ClothLook, worked: number): void {
  const { across, up } = faceOf(fabric);
  const { cellWidth, cellHeight } = look;
  const mirrored = (look.hand === 'right') === (look.face !== 'WS');
  for (let diagonal = 0; diagonal < worked; diagonal++) {
    const from = Math.max(0, diagonal - up + 1);
    for (let i = 0; i < cellsIn(fabric, diagonal); i++) {
      const x = from + i;
      const cell = (fabric.starts[diagonal] as number) + i;
      const shade = look.shades[fabric.colours[cell] as number] ?? '#888888';
      const tile = stitchTile('block', 'RS', shade, cellWidth, cellHeight);
      const left = (mirrored ? across - 1 - x : x) * cellWidth;
      const top = (up - 1 - (diagonal - x)) * cellHeight;
      const n = (x % tileCells) * cellWidth;
      ctx.save();
      ctx.translate(left + cellWidth / 2, top + cellHeight / 2);
      const turned = diagonal % 2 === 1;
      if (turned) ctx.rotate(Math.PI / 2);
      const [wide, high] = turned ? [cellHeight, cellWidth] : [cellWidth, cellHeight];
      ctx.drawImage(tile, n, 0, cellWidth, cellHeight, -wide / 2, -high / 2, wide, high);
      ctx.restore();
    }
  }
}

/** The whole fabric as a picture of its own. */
export function clothPicture(
  fabric: Fabric,
  look: ClothLook,
  span: CourseSpan = { from: 0, to: fabric.courses },
): OffscreenCanvas {
  const face = faceOf(fabric);
  const shape = shapeOf(fabric);
  const round = shape === 'circle';
  const whole = round || shape === 'blocks' || (span.from === 0 && span.to === fabric.courses);
  const width = Math.max(1, Math.ceil(face.across * (round ? look.cellHeight : look.cellWidth)));
  const height = Math.max(1, Math.ceil((whole ? face.up : span.to - span.from) * look.cellHeight));
  const picture = new OffscreenCanvas(width, height);
  paintCloth(picture.getContext('2d') as OffscreenCanvasRenderingContext2D, fabric, look, span);
  return picture;
}
