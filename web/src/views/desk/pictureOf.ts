import { colourOf, type Drawing, type Place, rowLetters, stitchOf, widthOf } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { onShade } from '../../parts/cloth/shades.ts';
import { escaped } from '../../parts/escaped.ts';
import { cornerOf, deskSize, margin } from './deskGeometry.ts';

interface Look {
  readonly shade: (letter: string) => string;
  readonly proportion: number;
  readonly hand: Hand;
}

/** px of a cell in a file. */
const cell = 20;

/** The letter of each cell, where it is and in which shade. */
function* cellsOf(drawing: Drawing, { shade, proportion, hand }: Look) {
  const look = { cellWidth: cell, cellHeight: cell / proportion, hand };
  const own = rowLetters(drawing);
  for (const [row, { marks }] of drawing.rows.entries()) {
    for (const [at, mark] of marks.entries()) {
      const place: Place = { row, cell: at };
      yield { ...cornerOf(drawing, look, place), mark, shade: shade(colourOf(mark) ?? (own[row] as string)) };
    }
  }
}

/** The chart as SVG: a rectangle and a letter for each cell, row 1 at the bottom. */
export function svgOf(drawing: Drawing, look: Look): string {
  const height = cell / look.proportion;
  const size = deskSize(drawing, { cellWidth: cell, cellHeight: height, hand: look.hand });
  const cells = [...cellsOf(drawing, look)].map(({ x, y, mark, shade }) => {
    const sign = stitchOf(mark) ?? mark;
    const ink = onShade(shade);
    const text =
      sign.length === 1
        ? `<text x="${x + cell / 2}" y="${(y + height / 2 + 4).toFixed(2)}" fill="${ink}">${escaped(sign)}</text>`
        : `<text x="${x + cell / 2}" y="${(y + height / 2 + 2.5).toFixed(2)}" fill="${ink}" font-size="6">${escaped(sign)}</text>`;
    return `<rect x="${x.toFixed(2)}" y="${y.toFixed(2)}" width="${cell}" height="${height.toFixed(2)}" fill="${shade}"/>${text}`;
  });
  const numbers = drawing.rows.map((_, row) => {
    const { y } = cornerOf(drawing, { cellWidth: cell, cellHeight: height, hand: look.hand }, { row, cell: 0 });
    return `<text x="${margin.left - 10}" y="${(y + height / 2 + 4).toFixed(2)}" text-anchor="end" fill="#2b1b30">${row + 1}</text>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height.toFixed(0)}" viewBox="0 0 ${size.width} ${size.height.toFixed(2)}" font-family="monospace" font-size="12" text-anchor="middle">
<title>${escaped(drawing.name)}</title>
<rect width="100%" height="100%" fill="#ffffff"/>
<g stroke="#2b1b30" stroke-opacity="0.3" stroke-width="0.75" paint-order="stroke">${cells.join('\n').replaceAll('<text ', '<text stroke="none" ')}</g>
${numbers.join('\n')}
</svg>
`;
}

/** The chart as a picture of one dot a cell: what is brought in again comes out as it was. */
export function pngOf(drawing: Drawing, look: Look): Promise<Blob> {
  const width = widthOf(drawing);
  const canvas = new OffscreenCanvas(width * 8, drawing.rows.length * 8);
  const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
  const own = rowLetters(drawing);
  for (const [row, { marks }] of drawing.rows.entries()) {
    for (const [at, mark] of marks.entries()) {
      ctx.fillStyle = look.shade(colourOf(mark) ?? (own[row] as string));
      const x = look.hand === 'right' ? width - 1 - at : at;
      ctx.fillRect(x * 8, (drawing.rows.length - 1 - row) * 8, 8, 8);
    }
  }
  return canvas.convertToBlob({ type: 'image/png' });
}
