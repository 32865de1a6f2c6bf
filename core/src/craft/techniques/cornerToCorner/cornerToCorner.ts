import { blocksHigh, diagonalSpan } from '../../fabric/diagonals.ts';
import { assemble, type Cells, type Fabric, runsForward } from '../../fabric/fabric.ts';
import { type LayRequest, phaseOf, spreadRow, turnRows, unitWidth } from '../../fabric/rows.ts';
import { codeOf } from '../../stitches/kinds.ts';
import { firstColumn, keyAt, letterOf } from '../../technique/rules.ts';
import type { Technique } from '../../technique/technique.ts';

/** Whether the block that opens a diagonal stands beyond the diagonal below. */
function grows(diagonal: number, wide: number, high: number): boolean {
  return runsForward(diagonal) ? diagonal < high : diagonal < wide;
}

/** Lays the diagonals from the chart as it is seen. `courses` counts the diagonals. */
function layBlocks(request: LayRequest): Fabric {
  const { bound, stitches: wide, courses } = request;
  const high = blocksHigh(courses, wide);
  const chart = turnRows(bound, high).map((turned) =>
    spreadRow(bound, turned, wide, phaseOf(request, unitWidth(bound, turned.row))),
  );
  const rows: Cells[] = [];
  for (let diagonal = 0; diagonal < courses; diagonal++) {
    const { from, to } = diagonalSpan(diagonal, wide, high);
    const cells = to - from + 1;
    const kinds = new Uint8Array(cells).fill(codeOf('block'));
    const colours = new Uint8Array(cells);
    for (let x = from; x <= to; x++) colours[x - from] = chart[diagonal - x]?.colours[x] as number;
    kinds[runsForward(diagonal) ? 0 : cells - 1] = codeOf(grows(diagonal, wide, high) ? 'block-grow' : 'block-shrink');
    rows.push({ kinds, colours });
  }
  return assemble('diagonals', wide, rows, bound.colours.length);
}

/** The blocks of a cloth row by row; how wide it is is told by where its diagonals stop growing. */
function blocksOf(courses: readonly Cells[]): string[][] {
  const least = Math.max(...courses.map(({ kinds }) => kinds.length));
  const other = courses.length + 1 - least;
  const fits = (wide: number, high: number) =>
    courses.every(({ kinds }, diagonal) => {
      const opening = kinds[runsForward(diagonal) ? 0 : kinds.length - 1];
      return opening === codeOf(grows(diagonal, wide, high) ? 'block-grow' : 'block-shrink');
    });
  const [wide, high] = fits(least, other) ? [least, other] : [other, least];
  return Array.from({ length: high }, (_, y) =>
    Array.from({ length: wide }, (_, x) => {
      const { from } = diagonalSpan(x + y, wide, high);
      return letterOf(courses[x + y]?.colours[x - from] ?? 0);
    }),
  );
}

/** Blocks of ch 3 and 3 dc on the diagonal. docs/craft.md, “Corner to corner”. */
export const cornerToCorner: Technique = {
  key: 'corner-to-corner',
  makings: ['diagonals'],
  uses: ['large cloth', 'mat'],
  looks: ['figures'],
  diagonal: true,
  cellWord: 'block',
  marker: 'none',
  chainsInCells: true,
  sample: [10, 10],
  step: 1,
  kinds: ['block', 'block-grow', 'block-shrink'],
  width: { word: 'blocks', stitches: (count) => count, widths: (count) => count },
  gaugeKey: () => 'block',
  foundations: () => ['corner-6'],
  opening: (kind) => kind,
  lay: layBlocks,
  courses: (wide, high) => wide + high - 1,
  undrawn: blocksOf,
  cells(course, count, courses) {
    const { from, to } = diagonalSpan(course, count, blocksHigh(courses, count));
    return to - from + 1;
  },
  prove(view) {
    const first = firstColumn(view);
    const high = blocksHigh(view.courses, view.count);
    const opening = grows(view.course, view.count, high) ? 'block-grow' : 'block-shrink';
    const ordinary = codeOf('block');
    for (let x = 0; x < view.kinds.length; x++) {
      if (x !== first && view.kinds[x] !== ordinary) {
        view.refuse(x, 'no-ordinary-block', { key: keyAt(view.kinds, x) });
      }
    }
    const key = keyAt(view.kinds, first);
    if (key !== opening) view.refuse(first, 'diagonal-opening', { opening, key });
  },
};
