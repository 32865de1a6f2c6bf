import { type Drawing, type DrawnRow, type Mark, mostCells, widthOf } from './drawing.ts';
import type { Place, Region } from './places.ts';

/** Some places in another mark. Rows that do not change are the same rows. */
export function marked(drawing: Drawing, places: readonly Place[], mark: Mark | ((place: Place) => Mark)): Drawing {
  const changed = new Map<number, Mark[]>();
  for (const place of places) {
    const old = drawing.rows[place.row]?.marks;
    if (!old || place.cell < 0 || place.cell >= old.length) continue;
    const next = typeof mark === 'function' ? mark(place) : mark;
    const marks = changed.get(place.row);
    if ((marks ?? old)[place.cell] === next) continue;
    if (marks) marks[place.cell] = next;
    else {
      const own = old.slice();
      own[place.cell] = next;
      changed.set(place.row, own);
    }
  }
  if (!changed.size) return drawing;
  return {
    ...drawing,
    rows: drawing.rows.map((row, i) => {
      const marks = changed.get(i);
      return marks ? { ...row, marks } : row;
    }),
  };
}

/** Marks cut out of a drawing, the first worked row first. */
export type Piece = readonly (readonly Mark[])[];

/** What stands in a stretch. */
export function cutOut({ rows }: Drawing, { row, cell, high, wide }: Region): Piece {
  return rows.slice(row, row + high).map(({ marks }) => marks.slice(cell, cell + wide));
}

/** A piece laid down with its first cell on a place; what reaches over the edges is left out. */
export function laidDown(drawing: Drawing, piece: Piece, { row, cell }: Place): Drawing {
  const places = piece.flatMap((marks, y) => marks.map((_, x) => ({ row: row + y, cell: cell + x })));
  return marked(drawing, places, (place) => piece[place.row - row]?.[place.cell - cell] as Mark);
}

/** A piece turned by a quarter, as the clock goes for one who looks at row 1 below. */
export function turned(piece: Piece): Piece {
  const wide = piece[0]?.length ?? 0;
  const high = piece.length;
  return Array.from({ length: wide }, (_, y) =>
    Array.from({ length: high }, (_, x) => piece[x]?.[wide - 1 - y] as Mark),
  );
}

export function flippedAcross(piece: Piece): Piece {
  return piece.map((marks) => [...marks].reverse());
}

export function flippedUp(piece: Piece): Piece {
  return [...piece].reverse();
}

/** A piece laid down again and again over all of a drawing, on from where it stands. */
export function tiled(drawing: Drawing, piece: Piece, { row, cell }: Place): Drawing {
  const [high, wide] = [piece.length, piece[0]?.length ?? 0];
  if (!high || !wide) return drawing;
  const places = drawing.rows.flatMap(({ marks }, y) => marks.map((_, x) => ({ row: y, cell: x })));
  const turn = (n: number, of: number) => ((n % of) + of) % of;
  return marked(drawing, places, (at) => piece[turn(at.row - row, high)]?.[turn(at.cell - cell, wide)] as Mark);
}

/** A stretch moved elsewhere; where it stood the ground shows. */
export function movedTo(drawing: Drawing, region: Region, to: Place, ground: Mark): Drawing {
  const piece = cutOut(drawing, region);
  const left = marked(
    drawing,
    piece.flatMap((marks, y) => marks.map((_, x) => ({ row: region.row + y, cell: region.cell + x }))),
    ground,
  );
  return laidDown(left, piece, to);
}

function withRows(drawing: Drawing, rows: readonly DrawnRow[]): Drawing {
  return rows.length === 0 || rows.length > mostCells.high ? drawing : { ...drawing, rows };
}

/** A copy of a row above it; in techniques whose rows take turns, of as many as take turns. */
export function rowInserted(drawing: Drawing, row: number, count = 1): Drawing {
  const copy = drawing.rows.slice(row, row + count);
  return withRows(drawing, [...drawing.rows.slice(0, row + count), ...copy, ...drawing.rows.slice(row + count)]);
}

/** Without some rows; one that repeats always stays. */
export function rowsDeleted(drawing: Drawing, row: number, count = 1): Drawing {
  const rows = [...drawing.rows.slice(0, row), ...drawing.rows.slice(row + count)];
  return rows.some(({ role }) => role === 'row') ? withRows(drawing, rows) : drawing;
}

/** Cells in the place of others, in every row; the repeat and what stands before it grow or shrink with it. */
function columnsReplaced(drawing: Drawing, cell: number, gone: number, copies: number): Drawing {
  const { before, unit, rows } = drawing;
  const grown = copies - gone;
  const inBefore = cell < before;
  const inUnit = !inBefore && cell < before + unit;
  if (widthOf(drawing) + grown > mostCells.wide || (inUnit && unit + grown < 1)) return drawing;
  return {
    ...drawing,
    before: inBefore ? before + grown : before,
    unit: inUnit ? unit + grown : unit,
    rows: rows.map((row) => {
      const copy = row.marks.slice(cell, cell + 1);
      const put = Array.from({ length: copies }, () => copy).flat();
      return { ...row, marks: [...row.marks.slice(0, cell), ...put, ...row.marks.slice(cell + gone)] };
    }),
  };
}

/** A copy of a column beside it. */
export function columnInserted(drawing: Drawing, cell: number): Drawing {
  return columnsReplaced(drawing, cell, 1, 2);
}

export function columnDeleted(drawing: Drawing, cell: number): Drawing {
  return columnsReplaced(drawing, cell, 1, 0);
}

/** Which cells repeat; the others stand before and after, once. */
export function repeatOver(drawing: Drawing, before: number, unit: number): Drawing {
  const least = drawing.rows.reduce((few, { marks }) => Math.min(few, marks.length), mostCells.wide);
  if (before < 0 || unit < 1 || before + unit > least) return drawing;
  return { ...drawing, before, unit };
}

/** Whether a row repeats, or is worked once before or after the others. Those before all stand first, those after last. */
export function inRole(drawing: Drawing, row: number, role: DrawnRow['role']): Drawing {
  const rows = drawing.rows.map((each, i) => {
    const below = role === 'setup' && i < row && each.role !== 'close';
    const above = role === 'close' && i > row && each.role !== 'setup';
    const freed = role === 'row' && ((i < row && each.role === 'close') || (i > row && each.role === 'setup'));
    if (i === row) return { ...each, role };
    if (below || above) return { ...each, role };
    return freed ? { ...each, role: 'row' as const } : each;
  });
  return rows.some((each) => each.role === 'row') ? { ...drawing, rows } : drawing;
}

/** A row in another colour: the one that its marks take where they name none. */
export function rowInColour(drawing: Drawing, row: number, colour: string): Drawing {
  return { ...drawing, rows: drawing.rows.map((each, i) => (i === row ? { ...each, colour } : each)) };
}

/** So many cells and rows: cut at the far edges, or grown by ground and by copies of the last row. */
export function resized(drawing: Drawing, wide: number, high: number, ground: Mark): Drawing {
  const { before, unit } = drawing;
  const now = widthOf(drawing);
  const grown = wide - now;
  const inner = unit + grown;
  if (wide < 1 || high < 1 || wide > mostCells.wide || high > mostCells.high || inner < 1) return drawing;
  const rows = Array.from({ length: high }, (_, i): DrawnRow => {
    const old = drawing.rows[i];
    const row = old ?? (drawing.rows.at(-1) as DrawnRow);
    const middle = old ? row.marks.slice(before, before + Math.min(unit, inner)) : [];
    const marks = [
      ...row.marks.slice(0, before),
      ...middle,
      ...new Array<Mark>(Math.max(0, inner - middle.length)).fill(ground),
      ...row.marks.slice(before + unit),
    ];
    return { ...row, marks };
  });
  return rows.some(({ role }) => role === 'row') ? { ...drawing, unit: inner, rows } : drawing;
}
