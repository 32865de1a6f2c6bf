import { cellsIn, type Fabric, lightnessOf, type SeenGrid, seenGrid } from '@puntada/core/craft';
import { type Hand, printWords } from '@puntada/core/words';
import type { PrintOptions } from './options.ts';
import { ink, mm, type Sheet, soft } from './sheet.ts';

/** What a chart is drawn in. */
export interface ChartInks {
  readonly shades: readonly string[];
  readonly letters: readonly string[];
  readonly names: readonly string[];
}

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly cell: { readonly width: number; readonly height: number };
  /** Columns and rows in sight, from 0, the last not included. */
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** Row 1 begins where this hand begins it. */
  readonly hand: Hand;
}

/** Where so many columns from a column on begin at the left, pt. */
function leftOf({ x, cell, from, to, hand }: Frame, column: number, columns = 1): number {
  return x + (hand === 'right' ? to - column - columns : column - from) * cell.width;
}

/** Where a path begins and ends, pt. */
type Stroke = readonly [fromX: number, fromY: number, toX: number, toY: number];

/** Many strokes of one look at once: a chart has tens of thousands. */
function draw(sheet: Sheet, strokes: readonly Stroke[], wide: number, colour: string): void {
  const { doc } = sheet;
  if (!strokes.length) return;
  for (const [x, y, toX, toY] of strokes) doc.moveTo(x, y).lineTo(toX, toY);
  doc.lineWidth(wide).strokeColor(colour).stroke();
}

/** Hatching tells a colour where there is none on paper: none, strokes one way, the other, both. */
function hatching(colour: number, x: number, y: number, w: number, h: number): Stroke[] {
  return [
    ...(colour === 1 || colour === 3 ? [[x, y + h, x + w, y] as const] : []),
    ...(colour === 2 || colour === 3 ? [[x, y, x + w, y + h] as const] : []),
  ];
}

/** Of a chart of more cells than this a letter stands in the middle of each run, no longer in each cell. */
const cellsWithLetters = 10_000;

/** Cells of one colour beside one another within a row. */
interface Run {
  readonly row: number;
  /** Columns, from 0, the last not included. */
  readonly from: number;
  readonly to: number;
}

/** The runs of a page, by their colour. */
function runsByColour(grid: SeenGrid, { from, to, low, high }: Frame): Map<number, Run[]> {
  const runs = new Map<number, Run[]>();
  for (let row = low; row < high; row++) {
    for (let column = from; column < to; ) {
      const first = column;
      const colour = grid.colour(column, row);
      while (column < to && grid.colour(column, row) === colour) column++;
      if (colour === undefined) continue;
      const own = runs.get(colour) ?? [];
      runs.set(colour, own);
      own.push({ row, from: first, to: column });
    }
  }
  return runs;
}

function cells(sheet: Sheet, grid: SeenGrid, frame: Frame, inks: ChartInks, way: PrintOptions['chart']): void {
  const { doc } = sheet;
  const { y, cell, high } = frame;
  const size = Math.min(cell.width, cell.height) * 0.62;
  const each = grid.wide * grid.high <= cellsWithLetters;
  const topOf = (row: number) => y + (high - 1 - row) * cell.height;
  // All of a colour at a stroke: a page has thousands of runs.
  const runs = runsByColour(grid, frame);
  for (const [colour, own] of runs) {
    if (way === 'letters') {
      const strokes = own.flatMap((run) =>
        Array.from({ length: run.to - run.from }, (_, i) =>
          hatching(colour, leftOf(frame, run.from + i), topOf(run.row), cell.width, cell.height),
        ).flat(),
      );
      draw(sheet, strokes, 0.5, ink);
      continue;
    }
    for (const run of own) {
      const across = run.to - run.from;
      doc.rect(leftOf(frame, run.from, across), topOf(run.row), across * cell.width, cell.height);
    }
    doc.fillColor(inks.shades[colour] ?? '#888888').fill();
  }
  if (size < 4) return;
  doc.font('mono').fontSize(size);
  // The letters of this face are all as wide.
  const wide = doc.widthOfString('A');
  for (const [colour, own] of runs) {
    const dark = way === 'colours' && lightnessOf(inks.shades[colour] ?? '#888888') < 55;
    doc.fillColor(dark ? '#ffffff' : ink);
    for (const run of own) {
      const top = topOf(run.row) + (cell.height - size) / 2 - size * 0.08;
      const [from, steps] = each ? [run.from, run.to - run.from] : [(run.from + run.to - 1) / 2, 1];
      for (let i = 0; i < steps; i++) {
        const left = leftOf(frame, from + i) + (cell.width - wide) / 2;
        doc.text(inks.letters[colour] ?? '?', left, top, { lineBreak: false });
      }
    }
  }
}

/** Fine lines between cells, bold ones at every ten, counted from where row 1 begins. */
function lines(sheet: Sheet, frame: Frame): void {
  const { x, y, cell, from, to, low, high } = frame;
  const [wide, tall] = [(to - from) * cell.width, (high - low) * cell.height];
  const columns = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const rows = Array.from({ length: high - low + 1 }, (_, i) => low + i);
  const strokes = (bold: boolean): Stroke[] => [
    ...columns
      .filter((column) => (column % 10 === 0) === bold)
      .map((column) => leftOf(frame, column, 0))
      .map((at) => [at, y, at, y + tall] as const),
    ...rows
      .filter((row) => (row % 10 === 0) === bold)
      .map((row) => y + (high - row) * cell.height)
      .map((at) => [x, at, x + wide, at] as const),
  ];
  draw(sheet, strokes(false), 0.25, soft);
  draw(sheet, strokes(true), 1, ink);
}

function numbers(sheet: Sheet, frame: Frame): void {
  const { x, y, cell, from, to, low, high } = frame;
  const { doc } = sheet;
  doc.font('mono').fontSize(7).fillColor(soft);
  for (let row = low; row < high; row++) {
    const n = row + 1;
    if (cell.height < 8 && n % 5 && row !== low) continue;
    const middle = y + (high - 1 - row) * cell.height + cell.height / 2 - 4;
    doc.text(String(n), x + (to - from) * cell.width + 3, middle, { width: 20, lineBreak: false });
    doc.text(String(n), x - 23, middle, { width: 20, align: 'right', lineBreak: false });
  }
  for (let column = from; column < to; column++) {
    const n = column + 1;
    if (n % 5 && column !== from && column !== to - 1) continue;
    doc.text(String(n), leftOf(frame, column) - 8, y + (high - low) * cell.height + 3, {
      width: cell.width + 16,
      align: 'center',
      lineBreak: false,
    });
  }
}

function key(sheet: Sheet, inks: ChartInks, way: PrintOptions['chart'], y: number): void {
  const { doc } = sheet;
  let x = sheet.left;
  inks.letters.forEach((letter, colour) => {
    const box = 10;
    if (way === 'colours')
      doc
        .rect(x, y, box, box)
        .fillColor(inks.shades[colour] ?? '#888888')
        .fill();
    else draw(sheet, hatching(colour, x, y, box, box), 0.5, ink);
    doc.rect(x, y, box, box).lineWidth(0.5).strokeColor(ink).stroke();
    const words = `${letter}, ${inks.names[colour] ?? ''}`;
    doc.font('text').fontSize(9).fillColor(ink);
    doc.text(words, x + box + 4, y + 0.5, { lineBreak: false });
    x += box + 4 + doc.widthOfString(words) + 16;
  });
}

/** Cells that stand on two sheets, so that they can be laid over one another. */
const overlap = 2;

/** The chart at its true proportion, over as many sheets as it takes, each with its numbers and the key. */
export function chartPages(
  sheet: Sheet,
  fabric: Fabric,
  proportion: number,
  inks: ChartInks,
  { chart }: PrintOptions,
  title: string,
  hand: Hand,
): void {
  const grid = seenGrid(fabric);
  sheet.page();
  const room = { width: sheet.width - 52, height: sheet.height - 96 };
  // As large as fits on one sheet, but never too small to be read: then it goes on over several.
  const fitting = Math.min(room.width / grid.wide, (room.height / grid.high) * proportion, 9 * mm);
  const width = Math.max(2.8 * mm, fitting);
  const cell = { width, height: width / proportion };
  const across = Math.max(overlap + 1, Math.floor(room.width / cell.width));
  const up = Math.max(overlap + 1, Math.floor(room.height / cell.height));
  let first = true;
  for (let low = 0; low < grid.high; low += up - overlap) {
    if (low > 0 && low + overlap >= grid.high) break;
    for (let from = 0; from < grid.wide; from += across - overlap) {
      if (from > 0 && from + overlap >= grid.wide) break;
      if (!first) sheet.page();
      const to = Math.min(grid.wide, from + across);
      const high = Math.min(grid.high, low + up);
      if (first) sheet.heading(2, title);
      first = false;
      sheet.paragraph(printWords.chartPage(from + 1, to, low + 1, high), { size: 9, colour: soft });
      const frame = { x: sheet.left + 26, y: sheet.doc.y + 4, cell, from, to, low, high, hand };
      sheet.figure(printWords.chartAlt(title, to - from, high - low), () => {
        cells(sheet, grid, frame, inks, chart);
        lines(sheet, frame);
        numbers(sheet, frame);
        key(sheet, inks, chart, frame.y + (high - low) * cell.height + 20);
      });
    }
  }
}

/**
 * A circle as it looks from afar: each round a ring, its stitches side by side from where it begins; runs of a colour are
 * drawn at a stroke. @returns how large it is, pt
 */
export function smallCircle(
  sheet: Sheet,
  fabric: Fabric,
  inks: ChartInks,
  side: number,
  alt: string,
  hand: Hand,
): { readonly wide: number; readonly tall: number } {
  const [x, y, ring] = [sheet.left + side / 2, sheet.doc.y + side / 2, side / 2 / fabric.courses];
  // Seen from the right side a right hand goes round against the clock.
  const way = hand === 'right' ? -1 : 1;
  const at = (radius: number, part: number) => {
    const angle = Math.PI / 2 + way * 2 * Math.PI * part;
    return `${x + radius * Math.cos(angle)} ${y + radius * Math.sin(angle)}`;
  };
  sheet.figure(alt, () => {
    for (let row = fabric.courses - 1; row >= 0; row--) {
      const count = cellsIn(fabric, row);
      const colour = (cell: number) => fabric.colours[(fabric.starts[row] as number) + cell] as number;
      const [inner, outer] = [row * ring, (row + 1) * ring];
      for (let cell = 0; cell < count; ) {
        const [from, own] = [cell, colour(cell)];
        // Half a round at most, so that an arc has one way to go.
        while (cell < count && colour(cell) === own && cell - from < count / 2) cell++;
        const [a, b] = [from / count, cell / count];
        const sweep = way > 0 ? [1, 0] : [0, 1];
        const path = `M${at(inner, a)}L${at(outer, a)}A${outer} ${outer} 0 0 ${sweep[0]} ${at(outer, b)}L${at(inner, b)}A${inner} ${inner} 0 0 ${sweep[1]} ${at(inner, a)}Z`;
        sheet.doc
          .path(path)
          .fillColor(inks.shades[own] ?? '#888888')
          .fill();
      }
    }
    sheet.doc
      .circle(x, y, side / 2)
      .lineWidth(0.75)
      .strokeColor(ink)
      .stroke();
  });
  return { wide: side, tall: side };
}

/** The whole cloth as it looks from afar, in a box; runs of a colour are drawn at a stroke. @returns how large it is, pt */
export function smallCloth(
  sheet: Sheet,
  fabric: Fabric,
  proportion: number,
  inks: ChartInks,
  wide: number,
  tall: number,
  alt: string,
  hand: Hand,
): { readonly wide: number; readonly tall: number } {
  const grid = seenGrid(fabric);
  const width = Math.min(wide / grid.wide, (tall / grid.high) * proportion);
  const height = width / proportion;
  const y = sheet.doc.y;
  sheet.figure(alt, () => {
    for (let row = 0; row < grid.high; row++) {
      const top = y + (grid.high - 1 - row) * height;
      for (let column = 0; column < grid.wide; ) {
        const colour = grid.colour(column, row);
        const from = column;
        while (column < grid.wide && grid.colour(column, row) === colour) column++;
        if (colour === undefined) continue;
        sheet.doc
          .rect(
            sheet.left + (hand === 'right' ? grid.wide - column : from) * width,
            top,
            (column - from) * width + 0.05,
            height + 0.05,
          )
          .fillColor(inks.shades[colour] ?? '#888888')
          .fill();
      }
    }
    sheet.doc
      .rect(sheet.left, y, grid.wide * width, grid.high * height)
      .lineWidth(0.75)
      .strokeColor(ink)
      .stroke();
  });
  return { wide: grid.wide * width, tall: grid.high * height };
}
