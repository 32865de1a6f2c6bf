import { baseCourses, cellsIn, type Fabric, runsForward, sidesOf, stitchKind } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { faceOf, placeOf, shapeOf } from '../../parts/cloth/clothLayout.ts';
import { onShade } from '../../parts/cloth/shades.ts';
import { stitchSign } from '../../parts/stitchSign.ts';
import { type ChartLook, footer, gutter, letterSize } from './chartLook.ts';
import { diagonalAt, paintBlockChart, paintRoundChart, roundAt } from './paintWholeChart.ts';

export interface Viewport {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export function chartSize(fabric: Fabric, cell: number): { width: number; height: number } {
  const { across, up } = faceOf(fabric);
  return { width: Math.ceil(across) * cell + 2 * gutter, height: Math.ceil(up) * cell + footer };
}

/** The row (from 1) at a place of the chart, or undefined beside it. */
export function rowAt(
  fabric: Fabric,
  look: Pick<ChartLook, 'cell' | 'hand'>,
  x: number,
  y: number,
): number | undefined {
  const shape = shapeOf(fabric);
  if (shape === 'circle') return roundAt(fabric, look.cell, x, y);
  if (shape === 'blocks') return diagonalAt(fabric, look, x, y);
  const row = fabric.courses - Math.floor(y / look.cell);
  return row >= 1 && row <= fabric.courses ? row : undefined;
}

type Ctx = CanvasRenderingContext2D;

/** Paints the part of a chart that is in sight, row 1 at the bottom, seen from the right side. */
export function paintChart(ctx: Ctx, fabric: Fabric, look: ChartLook, view: Viewport, dpr: number): void {
  ctx.setTransform(dpr, 0, 0, dpr, 0, 0);
  ctx.fillStyle = '#fbfcfa';
  ctx.fillRect(0, 0, view.width, view.height);
  ctx.translate(-view.left, -view.top);
  const shape = shapeOf(fabric);
  if (shape === 'circle') paintRoundChart(ctx, fabric, look);
  else if (shape === 'blocks') paintBlockChart(ctx, fabric, look);
  else paintRowChart(ctx, fabric, look, view);
}

function paintRowChart(ctx: Ctx, fabric: Fabric, look: ChartLook, view: Viewport): void {
  const shape = shapeOf(fabric);
  const { cell } = look;
  const firstRow = Math.max(1, fabric.courses - Math.ceil((view.top + view.height) / cell) + 1);
  const lastRow = Math.min(fabric.courses, fabric.courses - Math.floor(view.top / cell));
  const firstPlace = Math.max(0, Math.floor((view.left - gutter) / cell));
  const { across } = faceOf(fabric);
  const lastPlace = Math.min(Math.ceil(across), Math.ceil((view.left + view.width - gutter) / cell));
  const mixed = new Set(sidesOf(fabric).kinds.subarray(0, 4 * fabric.stitches)).size > 1;
  // The rounds of a circle are drawn out to the width of the sides that stand on it.
  const based = baseCourses(fabric);
  const level = shape === 'grid' || shape === 'based';
  for (let row = firstRow; row <= lastRow; row++) {
    if (level && row > based) paintRow(ctx, fabric, look, row, firstPlace, lastPlace, mixed);
    else paintOffsetRow(ctx, fabric, look, row);
  }
  const firstLevel = Math.max(firstRow, based + 1);
  if (level && firstLevel <= lastRow) paintLines(ctx, fabric, look, firstLevel, lastRow, firstPlace, lastPlace);
  if (shape === 'grid') for (let row = firstRow; row <= lastRow; row++) paintHanging(ctx, fabric, look, row);
  paintSelected(ctx, fabric, look);
  for (let row = firstRow; row <= lastRow; row++) paintRowNumber(ctx, fabric, look, row);
  paintStitchNumbers(ctx, fabric, look, view, firstPlace, lastPlace);
}

function columnOf(fabric: Fabric, hand: Hand, place: number): number {
  return hand === 'right' ? fabric.stitches - 1 - place : place;
}

function topOf(fabric: Fabric, look: ChartLook, row: number): number {
  return (fabric.courses - row) * look.cell;
}

function paintRow(
  ctx: Ctx,
  fabric: Fabric,
  look: ChartLook,
  row: number,
  from: number,
  to: number,
  mixed: boolean,
): void {
  const { cell, shades } = look;
  const base = fabric.starts[row - 1] as number;
  const y = topOf(fabric, look, row);
  const colourAt = (place: number) => fabric.colours[base + columnOf(fabric, look.hand, place)] as number;
  for (let place = from; place < to; ) {
    const colour = colourAt(place);
    const start = place++;
    while (place < to && colourAt(place) === colour) place++;
    const shade = shades[colour] ?? '#888888';
    const [x, width] = [gutter + start * cell, (place - start) * cell];
    ctx.fillStyle = shade;
    ctx.fillRect(x, y, width, cell);
    if (colour > 0 && cell >= 7 && cell < smallestSign) {
      ctx.fillStyle = hatch(ctx, cell, onShade(shade));
      ctx.translate(x, y);
      ctx.fillRect(0, 0, width, cell);
      ctx.translate(-x, -y);
    }
  }
  if (cell < smallestSign) return;
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = `600 ${letterSize(cell * 0.5)}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let place = from; place < to; place++) {
    const at = base + columnOf(fabric, look.hand, place);
    const ink = onShade(shades[fabric.colours[at] as number] ?? '#888888');
    const x = gutter + place * cell;
    ctx.fillStyle = ink;
    ctx.strokeStyle = ink;
    if (mixed) stitchSign(ctx, stitchKind(fabric.kinds[at] as number).key, x, y, cell);
    else ctx.fillText(look.letters[fabric.colours[at] as number] ?? '?', x + cell / 2, y + cell / 2 + 0.5);
  }
}

/** Cells of this size and more have room for a letter or a sign; smaller ones tell a second colour by its texture. */
const smallestSign = 14;

const hatches = new Map<string, CanvasPattern>();

/** A stroke across each cell. */
function hatch(ctx: Ctx, cell: number, ink: string): CanvasPattern {
  const key = `${cell} ${ink}`;
  const known = hatches.get(key);
  if (known) return known;
  const tile = new OffscreenCanvas(cell, cell);
  const pen = tile.getContext('2d') as OffscreenCanvasRenderingContext2D;
  pen.strokeStyle = ink;
  pen.globalAlpha = 0.4;
  pen.moveTo(1.5, cell - 1.5);
  pen.lineTo(cell - 1.5, 1.5);
  pen.stroke();
  const pattern = ctx.createPattern(tile, 'repeat') as CanvasPattern;
  hatches.set(key, pattern);
  return pattern;
}

/** A row whose cells lie beside those of the row below: each at its own place, with its letter. */
function paintOffsetRow(ctx: Ctx, fabric: Fabric, look: ChartLook, row: number): void {
  const { cell, shades, letters, hand } = look;
  const shape = shapeOf(fabric);
  const { across } = faceOf(fabric);
  const start = fabric.starts[row - 1] as number;
  const y = topOf(fabric, look, row);
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = `600 ${letterSize(cell * 0.45)}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let x = 0; x < cellsIn(fabric, row - 1); x++) {
    const { at, width } = placeOf(fabric, shape, row - 1, x);
    const left = gutter + (hand === 'right' ? across - at - width : at) * cell;
    const colour = fabric.colours[start + x] as number;
    const shade = shades[colour] ?? '#888888';
    ctx.fillStyle = shade;
    ctx.fillRect(left, y, width * cell, cell);
    ctx.strokeStyle = 'rgb(43 27 48 / 0.35)';
    ctx.lineWidth = 0.75;
    ctx.strokeRect(left, y, width * cell, cell);
    if (cell < smallestSign || width < 0.4) continue;
    ctx.fillStyle = onShade(shade);
    ctx.fillText(letters[colour] ?? '?', left + (width * cell) / 2, y + cell / 2 + 0.5);
  }
}

/** Fine lines between cells where there is room, bold ones every ten, counted from where row 1 begins. */
function paintLines(
  ctx: Ctx,
  fabric: Fabric,
  look: ChartLook,
  firstRow: number,
  lastRow: number,
  from: number,
  to: number,
): void {
  const { cell, hand } = look;
  const [top, bottom] = [topOf(fabric, look, lastRow), topOf(fabric, look, firstRow) + cell];
  const [left, right] = [gutter + from * cell, gutter + to * cell];
  const rule = (bold: boolean) => {
    ctx.beginPath();
    for (let place = from; place <= to; place++) {
      const counted = hand === 'right' ? fabric.stitches - place : place;
      if ((counted % 10 === 0) !== bold) continue;
      ctx.moveTo(gutter + place * cell, top);
      ctx.lineTo(gutter + place * cell, bottom);
    }
    for (let row = firstRow - 1; row <= lastRow; row++) {
      if ((row % 10 === 0) !== bold) continue;
      ctx.moveTo(left, topOf(fabric, look, row));
      ctx.lineTo(right, topOf(fabric, look, row));
    }
    ctx.strokeStyle = bold ? 'rgb(43 27 48 / 0.75)' : 'rgb(43 27 48 / 0.22)';
    ctx.lineWidth = bold ? 1.5 : 0.75;
    ctx.stroke();
  };
  if (cell >= 6) rule(false);
  rule(true);
}

function paintSelected(ctx: Ctx, fabric: Fabric, look: ChartLook): void {
  const { cell, selected } = look;
  const y = topOf(fabric, look, selected);
  const width = faceOf(fabric).across * cell;
  ctx.strokeStyle = '#fbfcfa';
  ctx.lineWidth = 5;
  ctx.strokeRect(gutter - 2, y - 2, width + 4, cell + 4);
  ctx.strokeStyle = '#2b1b30';
  ctx.lineWidth = 3;
  ctx.strokeRect(gutter - 2, y - 2, width + 4, cell + 4);
}

/**
 * A ring with its letter for every strand that waits when a row is done. At the edge where the row ends it stands beside
 * the row, where no number is; elsewhere on the line above.
 */
function paintHanging(ctx: Ctx, fabric: Fabric, look: ChartLook, row: number): void {
  const { cell, hand, hanging, letters, shades } = look;
  if (!hanging || cell < smallestSign) return;
  const radius = Math.min(8, cell * 0.38);
  const places = new Map<number, number>();
  for (const strand of hanging(row - 1)) {
    const place = hand === 'right' ? fabric.stitches - strand.boundary : strand.boundary;
    const beside = places.get(place) ?? 0;
    places.set(place, beside + 1);
    const outward = place === 0 ? -1 : 1;
    const edge = place === 0 || place === fabric.stitches;
    const x = gutter + place * cell + (edge ? outward * (radius + 3 + beside * radius * 2.1) : 0);
    const y = topOf(fabric, look, row) + (strand.place === 'row end' ? cell / 2 : 0);
    const shade = shades[letters.indexOf(strand.colour[0] ?? '')] ?? '#888888';
    ctx.beginPath();
    ctx.arc(x, y, radius, 0, 2 * Math.PI);
    ctx.fillStyle = shade;
    ctx.fill();
    ctx.lineWidth = 1.75;
    ctx.strokeStyle = '#2b1b30';
    ctx.stroke();
    ctx.fillStyle = onShade(shade);
    ctx.textAlign = 'center';
    ctx.textBaseline = 'middle';
    ctx.font = `700 ${Math.round(radius * 1.25)}px "Atkinson Hyperlegible Mono Variable", monospace`;
    ctx.fillText(strand.colour[0] ?? '', x, y + 0.5);
  }
}

/** Each row's number stands where the row begins, with the way it runs. */
function paintRowNumber(ctx: Ctx, fabric: Fabric, look: ChartLook, row: number): void {
  const { cell, selected, inHand } = look;
  const bold = row % 10 === 0 || row === selected || row === inHand;
  if (cell < 11 && !bold) return;
  const atRight = runsForward(row - 1, fabric.making) === (look.hand === 'right');
  const x = atRight ? gutter + faceOf(fabric).across * cell + 6 : gutter - 6;
  ctx.fillStyle = row === selected ? '#2b1b30' : '#655a69';
  ctx.textAlign = atRight ? 'left' : 'right';
  ctx.textBaseline = 'middle';
  ctx.font = `${bold ? 700 : 450} ${Math.min(15, Math.max(12, cell * 0.62))}px "Atkinson Hyperlegible Mono Variable", monospace`;
  const way = atRight ? `←${row}` : `${row}→`;
  ctx.fillText(row === selected ? way : String(row), x, topOf(fabric, look, row) + cell / 2 + 0.5);
}

/** Stitch numbers, counted from where row 1 begins, along the foot of what is in sight. */
function paintStitchNumbers(ctx: Ctx, fabric: Fabric, look: ChartLook, view: Viewport, from: number, to: number): void {
  const { cell } = look;
  const y = Math.min(fabric.courses * cell + footer, view.top + view.height) - footer;
  ctx.fillStyle = '#fbfcfa';
  ctx.fillRect(view.left, y, view.width, footer);
  ctx.fillStyle = '#655a69';
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = '500 12px "Atkinson Hyperlegible Mono Variable", monospace';
  for (let place = from; place < to; place++) {
    const counted = columnOf(fabric, look.hand, place) + 1;
    if (counted % 10 && counted !== 1) continue;
    ctx.fillText(String(counted), gutter + (place + 0.5) * cell, y + footer / 2 + 1);
  }
}
