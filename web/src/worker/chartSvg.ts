import { seenGrid } from '@puntada/core/craft';
import type { Plan } from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';
import { onShade } from '../parts/cloth/shades.ts';
import { escaped } from '../parts/escaped.ts';

/** px of a cell. */
const cell = 20;
const margin = { side: 44, below: 26 };

/**
 * The chart of a plan as SVG: a rectangle for each run with its letter in the middle, lines between cells, bold ones at
 * every ten, rows numbered at both sides and stitches below from where row 1 begins.
 */
export function chartSvg({ prepared, piece }: Plan, hand: Hand): string {
  const { wide, high, colour } = seenGrid(piece.fabric);
  const { gauge, bound, yarns, wish } = prepared;
  const tall = cell / (gauge.stitchWidth.mid / gauge.rowHeight.mid);
  const size = { width: wide * cell + 2 * margin.side, height: high * tall + margin.below + 8 };
  const left = (column: number, columns: number) =>
    margin.side + (hand === 'right' ? wide - column - columns : column) * cell;
  const top = (row: number) => 8 + (high - 1 - row) * tall;
  const runs: string[] = [];
  for (let row = 0; row < high; row++) {
    for (let column = 0; column < wide; ) {
      const from = column;
      const own = colour(column, row);
      while (column < wide && colour(column, row) === own) column++;
      if (own === undefined) continue;
      const shade = yarns[own]?.shade ?? '#888888';
      const [x, across] = [left(from, column - from), (column - from) * cell];
      const middle = `x="${x + across / 2}" y="${(top(row) + tall / 2 + 4).toFixed(2)}"`;
      runs.push(
        `<rect x="${x}" y="${top(row).toFixed(2)}" width="${across}" height="${tall.toFixed(2)}" fill="${shade}"/>`,
        `<text ${middle} fill="${onShade(shade)}">${bound.colours[own] ?? '?'}</text>`,
      );
    }
  }
  const lines = (bold: boolean) =>
    [
      ...Array.from({ length: wide + 1 }, (_, column) => column)
        .filter((column) => (column % 10 === 0) === bold)
        .map((column) => `M${left(column, 0)} 8V${(8 + high * tall).toFixed(2)}`),
      ...Array.from({ length: high + 1 }, (_, row) => row)
        .filter((row) => (row % 10 === 0) === bold)
        .map((row) => `M${margin.side} ${(8 + (high - row) * tall).toFixed(2)}h${wide * cell}`),
    ].join('');
  const rows = Array.from({ length: high }, (_, row) => {
    const y = (top(row) + tall / 2 + 4).toFixed(2);
    return `<text x="${margin.side - 6}" y="${y}" text-anchor="end">${row + 1}</text><text x="${size.width - margin.side + 6}" y="${y}" text-anchor="start">${row + 1}</text>`;
  });
  const stitches = Array.from({ length: wide }, (_, column) => column)
    .filter((column) => column === 0 || (column + 1) % 5 === 0)
    .map(
      (column) => `<text x="${left(column, 1) + cell / 2}" y="${(size.height - 8).toFixed(2)}">${column + 1}</text>`,
    );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height.toFixed(0)}" viewBox="0 0 ${size.width} ${size.height.toFixed(2)}" font-family="monospace" font-size="12" text-anchor="middle">
<title>${escaped(wish.title)}</title>
<rect width="100%" height="100%" fill="#ffffff"/>
${runs.join('\n')}
<path d="${lines(false)}" fill="none" stroke="#2b1b30" stroke-opacity="0.3" stroke-width="0.75"/>
<path d="${lines(true)}" fill="none" stroke="#2b1b30" stroke-width="1.5"/>
<g fill="#2b1b30">${[...rows, ...stitches].join('\n')}</g>
</svg>
`;
}
