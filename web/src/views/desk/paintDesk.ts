import {
  colourOf,
  type Drawing,
  type Mark,
  offsetOf,
  type Place,
  type Region,
  type StitchKey,
  stitchOf,
  widthOf,
} from '@puntada/core/craft';
import type { Study } from '@puntada/core/plan';
import { onShade } from '../../parts/cloth/shades.ts';
import { stitchSign } from '../../parts/stitchSign.ts';
import { cornerOf, type DeskLook, margin } from './deskGeometry.ts';

type Ctx = CanvasRenderingContext2D;

export interface PaintRequest extends DeskLook {
  readonly drawing: Drawing;
  /** The shade of a colour's letter. */
  readonly shade: (letter: string) => string;
  readonly study: Study | undefined;
  readonly cursor: Place;
  readonly focused: boolean;
  readonly selection: Region | undefined;
  /** What is in sight, px. */
  readonly view: { readonly left: number; readonly top: number; readonly width: number; readonly height: number };
  readonly colours: Readonly<Record<'paper' | 'ink' | 'soft' | 'rule' | 'brick' | 'ochre', string>>;
  /** The colour of a row whose cells name none, by its turn. */
  /** Of each row, for cells that name no colour. */
  readonly rowLetters: readonly string[];
}

/** Cells of this size and more have room for a letter or a sign. */
const smallestSign = 13;

/** Rows from the top one in sight to the lowest. */
function rowsInSight({ view, cellHeight, drawing }: PaintRequest): [first: number, last: number] {
  const rows = drawing.rows.length;
  return [
    Math.max(0, rows - 1 - Math.floor((view.top + view.height - margin.top) / cellHeight)),
    Math.min(rows - 1, rows - 1 - Math.floor((view.top - margin.top) / cellHeight)),
  ];
}

/**
 * The cells of a drawing as they were painted last. A stroke changes few rows: only those are painted again, so that it is as
 * quick on a large chart as on a small one.
 */
export class CellLayer {
  private key = '';
  private rows: Drawing['rows'] = [];

  /** @param ctx of a canvas that nobody else paints on */
  paint(ctx: Ctx, request: PaintRequest, dpr: number): void {
    const { view, drawing, cellWidth, cellHeight, hand, shade, rowLetters, colours } = request;
    const letters = drawing.colours.map(shade);
    const around = [view, cellWidth, cellHeight, hand, drawing.technique, letters, rowLetters, colours.paper, dpr];
    // Letters are painted anew once the faces of the page are there.
    const key = JSON.stringify([...around, drawing.rows.length, widthOf(drawing), document.fonts.status]);
    const [first, last] = rowsInSight(request);
    ctx.setTransform(dpr, 0, 0, dpr, -view.left * dpr, -view.top * dpr);
    if (key !== this.key) {
      // Also what lay beside the rows, such as those that are no more.
      ctx.fillStyle = colours.paper;
      ctx.fillRect(view.left, view.top, view.width, view.height);
      this.stretch(ctx, request, first, last);
    } else {
      for (let row = first; row <= last; row++) {
        // The lines between rows lie half on either.
        if (drawing.rows[row] !== this.rows[row])
          this.stretch(ctx, request, Math.max(first, row - 1), Math.min(last, row + 1));
      }
    }
    [this.key, this.rows] = [key, drawing.rows];
  }

  private stretch(ctx: Ctx, request: PaintRequest, first: number, last: number): void {
    const { view, drawing, cellHeight, colours } = request;
    const top = cornerOf(drawing, request, { row: last, cell: 0 }).y;
    ctx.save();
    ctx.beginPath();
    ctx.rect(view.left, top, view.width, (last - first + 1) * cellHeight);
    ctx.clip();
    ctx.fillStyle = colours.paper;
    ctx.fillRect(view.left, view.top, view.width, view.height);
    for (let row = first; row <= last; row++) paintRow(ctx, request, row);
    paintLines(ctx, request, first, last);
    ctx.restore();
  }
}

/** Paints what is told of the cells in sight, over them. */
export function paintDesk(ctx: Ctx, request: PaintRequest, dpr: number): void {
  const { view } = request;
  ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
  ctx.clearRect(0, 0, view.width, view.height);
  ctx.translate(-view.left, -view.top);
  const [first, last] = rowsInSight(request);
  paintRepeat(ctx, request);
  paintTold(ctx, request);
  for (let row = first; row <= last; row++) paintMargins(ctx, request, row);
  paintNumbers(ctx, request);
  paintSelection(ctx, request);
  paintCursor(ctx, request);
}

function shadeOf(mark: Mark, row: number, { shade, rowLetters }: PaintRequest): string {
  return shade(colourOf(mark) ?? rowLetters[row] ?? 'A');
}

/** Which cells of a row are in sight. */
function inSight(request: PaintRequest, row: number): [from: number, to: number] {
  const { view, drawing, hand, cellWidth } = request;
  const marks = drawing.rows[row]?.marks ?? [];
  const first = cornerOf(drawing, request, { row, cell: 0 }).x;
  const [left, right] = [view.left, view.left + view.width];
  const [a, b] =
    hand === 'right'
      ? [(first + cellWidth - right) / cellWidth, (first + cellWidth - left) / cellWidth]
      : [(left - first) / cellWidth, (right - first) / cellWidth];
  return [Math.max(0, Math.floor(a)), Math.min(marks.length, Math.ceil(b))];
}

function paintRow(ctx: Ctx, request: PaintRequest, row: number): void {
  const { drawing, cellWidth, cellHeight, hand } = request;
  const marks = drawing.rows[row]?.marks ?? [];
  const [from, to] = inSight(request, row);
  for (let cell = from; cell < to; ) {
    const shade = shadeOf(marks[cell] as Mark, row, request);
    const start = cell++;
    while (cell < to && shadeOf(marks[cell] as Mark, row, request) === shade) cell++;
    const corner = cornerOf(drawing, request, { row, cell: hand === 'right' ? cell - 1 : start });
    ctx.fillStyle = shade;
    ctx.fillRect(corner.x, corner.y, (cell - start) * cellWidth, cellHeight);
  }
  const size = Math.min(cellWidth, cellHeight);
  if (size < smallestSign) return;
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = `600 ${Math.max(10, Math.round(size * 0.5))}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let cell = from; cell < to; cell++) {
    const mark = marks[cell] as Mark;
    const { x, y } = cornerOf(drawing, request, { row, cell });
    const ink = onShade(shadeOf(mark, row, request));
    ctx.fillStyle = ink;
    ctx.strokeStyle = ink;
    const stitch = stitchOf(mark);
    // The ground is told by the letters that stand on it.
    ctx.globalAlpha = mark === 'A' ? 0.4 : 1;
    if (stitch === undefined) ctx.fillText(mark, x + cellWidth / 2, y + cellHeight / 2 + 0.5);
    else stitchSign(ctx, stitch as StitchKey, x + (cellWidth - size) / 2, y + (cellHeight - size) / 2, size);
    ctx.globalAlpha = 1;
  }
}

function paintLines(ctx: Ctx, request: PaintRequest, first: number, last: number): void {
  const { drawing, cellWidth, cellHeight, colours } = request;
  if (Math.min(cellWidth, cellHeight) < 6) return;
  for (const bold of [false, true]) {
    ctx.beginPath();
    for (let row = first; row <= last; row++) {
      const [from, to] = inSight(request, row);
      for (let cell = from; cell <= to; cell++) {
        if ((cell % 10 === 0) !== bold) continue;
        const { x, y } = cornerOf(drawing, request, { row, cell });
        const edge = request.hand === 'right' ? x + cellWidth : x;
        ctx.moveTo(edge, y);
        ctx.lineTo(edge, y + cellHeight);
      }
      if (((row + 1) % 10 === 0) !== bold) continue;
      const a = cornerOf(drawing, request, { row, cell: from });
      const b = cornerOf(drawing, request, { row, cell: Math.max(from, to - 1) });
      ctx.moveTo(Math.min(a.x, b.x), a.y);
      ctx.lineTo(Math.max(a.x, b.x) + cellWidth, a.y);
    }
    ctx.strokeStyle = colours.ink;
    ctx.globalAlpha = bold ? 0.7 : 0.22;
    ctx.lineWidth = bold ? 1.5 : 0.75;
    ctx.stroke();
    ctx.globalAlpha = 1;
  }
}

/** The two edges of the repeat, and the rows that are worked once. */
function paintRepeat(ctx: Ctx, request: PaintRequest): void {
  const { drawing, cellWidth, cellHeight, colours, hand } = request;
  const { before, unit, rows } = drawing;
  const width = widthOf(drawing);
  if (before === 0 && width === unit && rows.every(({ role }) => role === 'row')) return;
  const edge = (cell: number, row: number) => {
    const { x, y } = cornerOf(drawing, request, { row, cell });
    return { x: hand === 'right' ? x + cellWidth : x, y };
  };
  ctx.beginPath();
  for (const cell of [before, before + unit]) {
    for (let row = 0; row < rows.length; row++) {
      const { x, y } = edge(cell, row);
      ctx.moveTo(x, y);
      ctx.lineTo(x, y + cellHeight);
    }
  }
  // A line between what is worked once and what repeats.
  rows.forEach(({ role }, row) => {
    if (row === 0 || rows[row - 1]?.role === role) return;
    const a = edge(0, row);
    const b = edge(width, row);
    ctx.moveTo(a.x, a.y + cellHeight);
    ctx.lineTo(b.x, a.y + cellHeight);
  });
  ctx.strokeStyle = colours.paper;
  ctx.lineWidth = 5;
  ctx.stroke();
  ctx.strokeStyle = colours.ink;
  ctx.lineWidth = 3;
  ctx.setLineDash([7, 4]);
  ctx.stroke();
  ctx.setLineDash([]);
}

/** What cannot be worked is crossed out; what looks like a slip is dashed; a lone stitch has a corner. */
function paintTold(ctx: Ctx, request: PaintRequest): void {
  const { study, drawing, cellWidth, cellHeight, colours } = request;
  if (!study) return;
  for (const place of study.lone) {
    const { x, y } = cornerOf(drawing, request, place);
    const size = Math.min(8, cellWidth * 0.34);
    ctx.beginPath();
    ctx.moveTo(x, y);
    ctx.lineTo(x + size, y);
    ctx.lineTo(x, y + size);
    ctx.closePath();
    ctx.fillStyle = colours.ochre;
    ctx.fill();
    ctx.strokeStyle = colours.paper;
    ctx.lineWidth = 1;
    ctx.stroke();
  }
  for (const place of study.refused) {
    const { x, y } = cornerOf(drawing, request, place);
    const cross = () => {
      ctx.beginPath();
      ctx.rect(x + 1.5, y + 1.5, cellWidth - 3, cellHeight - 3);
      ctx.moveTo(x + 3, y + 3);
      ctx.lineTo(x + cellWidth - 3, y + cellHeight - 3);
      ctx.moveTo(x + cellWidth - 3, y + 3);
      ctx.lineTo(x + 3, y + cellHeight - 3);
      ctx.stroke();
    };
    ctx.strokeStyle = colours.paper;
    ctx.lineWidth = 4.5;
    cross();
    ctx.strokeStyle = colours.brick;
    ctx.lineWidth = 2.25;
    cross();
  }
}

/** Beside each row: its number where it begins, and at the left what it asks. */
function paintMargins(ctx: Ctx, request: PaintRequest, row: number): void {
  const { drawing, cellWidth, cellHeight, colours, hand, study } = request;
  const each = Math.ceil(13 / cellHeight);
  if (cellHeight < 12 && (row + 1) % Math.max(5, each) && row !== request.cursor.row) return;
  const { role } = drawing.rows[row] as Drawing['rows'][number];
  const turned = drawing.made !== 'right-side' && drawing.made !== 'rounds' && row % 2 === 1;
  const atRight = (hand === 'right') !== turned;
  const y = cornerOf(drawing, request, { row, cell: 0 }).y + cellHeight / 2 + 0.5;
  const beside = Math.abs(offsetOf(drawing.technique, 1));
  const right = margin.left + (widthOf(drawing) + beside) * cellWidth;
  ctx.fillStyle = row === request.cursor.row ? colours.ink : colours.soft;
  ctx.textBaseline = 'middle';
  ctx.font = `${row === request.cursor.row ? 700 : 450} 13px "Atkinson Hyperlegible Mono Variable", monospace`;
  const number = `${row + 1}${role === 'row' ? '' : '•'}`;
  if (atRight) {
    ctx.textAlign = 'left';
    ctx.fillText(`←${number}`, right + 4, y);
  } else {
    ctx.textAlign = 'right';
    ctx.fillText(`${number}→`, margin.left - 6, y);
  }
  const cost = study?.costs?.rows[row];
  if (!cost || cellHeight < 12) return;
  // A stroke for every idle strand, a number for more than two colours.
  ctx.textAlign = 'left';
  ctx.fillStyle = colours.soft;
  if (cost.colours > 2) ctx.fillText(`${cost.colours}`, 6, y);
  for (let strand = 0; strand < Math.min(4, cost.inside); strand++) {
    ctx.fillRect(20 + strand * 6, y - 5, 3, 10);
  }
}

function paintNumbers(ctx: Ctx, request: PaintRequest): void {
  const { drawing, cellWidth, view, colours } = request;
  const bottom = margin.top + drawing.rows.length * request.cellHeight;
  const y = Math.min(bottom, view.top + view.height - margin.bottom);
  ctx.fillStyle = colours.paper;
  ctx.fillRect(view.left, y, view.width, margin.bottom);
  ctx.fillStyle = colours.soft;
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = '500 12px "Atkinson Hyperlegible Mono Variable", monospace';
  const step = cellWidth < 9 ? 10 : 5;
  const width = widthOf(drawing);
  for (let cell = 0; cell < width; cell++) {
    const n = cell + 1;
    if (n !== 1 && n !== width && n % step) continue;
    if (n === width && width % step && width % step < 2 && width > 5) continue;
    const { x } = cornerOf(drawing, request, { row: 0, cell });
    ctx.fillText(String(n), x + cellWidth / 2, y + margin.bottom / 2 + 1);
  }
}

function paintSelection(ctx: Ctx, request: PaintRequest): void {
  const { selection, drawing, cellWidth, cellHeight, colours } = request;
  if (!selection) return;
  const { row, cell, high, wide } = selection;
  const a = cornerOf(drawing, request, { row, cell });
  const b = cornerOf(drawing, request, { row: row + high - 1, cell: cell + wide - 1 });
  const [left, top] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  const [width, height] = [Math.abs(a.x - b.x) + cellWidth, Math.abs(a.y - b.y) + cellHeight];
  ctx.strokeStyle = colours.paper;
  ctx.lineWidth = 4;
  ctx.strokeRect(left, top, width, height);
  ctx.strokeStyle = colours.ink;
  ctx.lineWidth = 2;
  ctx.setLineDash([5, 4]);
  ctx.strokeRect(left, top, width, height);
  ctx.setLineDash([]);
}

function paintCursor(ctx: Ctx, request: PaintRequest): void {
  if (!request.focused) return;
  const { cursor, drawing, cellWidth, cellHeight, colours } = request;
  const { x, y } = cornerOf(drawing, request, cursor);
  ctx.strokeStyle = colours.paper;
  ctx.lineWidth = 5;
  ctx.strokeRect(x, y, cellWidth, cellHeight);
  ctx.strokeStyle = colours.ink;
  ctx.lineWidth = 2.5;
  ctx.strokeRect(x, y, cellWidth, cellHeight);
}
