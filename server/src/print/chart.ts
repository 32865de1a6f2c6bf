import { cellsIn, type Fabric, lightnessOf } from '@puntada/core/craft';
import { printWords } from '@puntada/core/words';
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
}

/** Rows as they are seen: blocks on the diagonal lie where they belong, all others course by course. */
interface Grid {
  readonly wide: number;
  readonly high: number;
  /** The colour of a cell, or nothing where there is none. */
  colour(column: number, row: number): number | undefined;
}

function gridOf(fabric: Fabric): Grid {
  if (fabric.making !== 'diagonals') {
    return {
      wide: fabric.stitches,
      high: fabric.courses,
      colour: (column, row) =>
        column < cellsIn(fabric, row) ? fabric.colours[(fabric.starts[row] as number) + column] : undefined,
    };
  }
  const wide = fabric.count;
  const high = fabric.courses - wide + 1;
  return {
    wide,
    high,
    colour: (column, row) => {
      const first = Math.max(0, column + row - high + 1);
      return fabric.colours[(fabric.starts[column + row] as number) + column - first];
    },
  };
}

/** Hatching tells a colour where there is none on paper: none, strokes one way, the other, both. */
function hatch(sheet: Sheet, colour: number, x: number, y: number, w: number, h: number): void {
  const { doc } = sheet;
  doc.lineWidth(0.5).strokeColor(ink);
  if (colour === 1 || colour === 3)
    doc
      .moveTo(x, y + h)
      .lineTo(x + w, y)
      .stroke();
  if (colour === 2 || colour === 3)
    doc
      .moveTo(x, y)
      .lineTo(x + w, y + h)
      .stroke();
}

function cells(
  sheet: Sheet,
  grid: Grid,
  { x, y, cell, from, to, low, high }: Frame,
  inks: ChartInks,
  way: PrintOptions['chart'],
): void {
  const { doc } = sheet;
  const size = Math.min(cell.width, cell.height) * 0.62;
  for (let row = low; row < high; row++) {
    const top = y + (high - 1 - row) * cell.height;
    for (let column = from; column < to; column++) {
      const colour = grid.colour(column, row);
      if (colour === undefined) continue;
      const left = x + (to - 1 - column) * cell.width;
      if (way === 'colours') {
        doc
          .rect(left, top, cell.width, cell.height)
          .fillColor(inks.shades[colour] ?? '#888888')
          .fill();
      } else hatch(sheet, colour, left, top, cell.width, cell.height);
      if (size < 4) continue;
      const dark = way === 'colours' && lightnessOf(inks.shades[colour] ?? '#888888') < 55;
      doc
        .font('mono')
        .fontSize(size)
        .fillColor(dark ? '#ffffff' : ink);
      doc.text(inks.letters[colour] ?? '?', left, top + (cell.height - size) / 2 - size * 0.08, {
        width: cell.width,
        align: 'center',
        lineBreak: false,
      });
    }
  }
}

/** Fine lines between cells, bold ones at every ten, counted from where row 1 begins. */
function lines(sheet: Sheet, { x, y, cell, from, to, low, high }: Frame): void {
  const { doc } = sheet;
  const [wide, tall] = [(to - from) * cell.width, (high - low) * cell.height];
  for (let column = from; column <= to; column++) {
    const at = x + (to - column) * cell.width;
    const bold = column % 10 === 0;
    doc
      .moveTo(at, y)
      .lineTo(at, y + tall)
      .lineWidth(bold ? 1 : 0.25)
      .strokeColor(bold ? ink : soft)
      .stroke();
  }
  for (let row = low; row <= high; row++) {
    const at = y + (high - row) * cell.height;
    const bold = row % 10 === 0;
    doc
      .moveTo(x, at)
      .lineTo(x + wide, at)
      .lineWidth(bold ? 1 : 0.25)
      .strokeColor(bold ? ink : soft)
      .stroke();
  }
}

function numbers(sheet: Sheet, { x, y, cell, from, to, low, high }: Frame): void {
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
    const left = x + (to - 1 - column) * cell.width - 8;
    doc.text(String(n), left, y + (high - low) * cell.height + 3, {
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
    else hatch(sheet, colour, x, y, box, box);
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
): void {
  const grid = gridOf(fabric);
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
      const frame = { x: sheet.left + 26, y: sheet.doc.y + 4, cell, from, to, low, high };
      sheet.figure(printWords.chartAlt(title, to - from, high - low), () => {
        cells(sheet, grid, frame, inks, chart);
        lines(sheet, frame);
        numbers(sheet, frame);
        key(sheet, inks, chart, frame.y + (high - low) * cell.height + 20);
      });
    }
  }
}

/** The whole cloth as it looks from afar, in a box; runs of a colour are drawn at a stroke. @returns its height, pt */
export function smallCloth(
  sheet: Sheet,
  fabric: Fabric,
  proportion: number,
  inks: ChartInks,
  wide: number,
  tall: number,
  alt: string,
): number {
  const grid = gridOf(fabric);
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
          .rect(sheet.left + (grid.wide - column) * width, top, (column - from) * width + 0.05, height + 0.05)
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
  return grid.high * height;
}
