import { stitchCode } from '../stitches/kinds.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';
import { lettersOfYarns, pensOf, withColours } from './begin.ts';
import { colourOf, type Drawing, type DrawnRow, type Mark, mostCells, stitchOf, widthOf } from './drawing.ts';

/** A drawing as a table: as it is seen from the right side, the last worked row on top, a mark in each cell. */
export function tableOf({ rows, ...rest }: Drawing): string[][] {
  const width = widthOf({ rows });
  return [...rows].reverse().map(({ marks, colour }) => {
    const seen = Array.from({ length: width }, (_, x) => marks[width - 1 - x] ?? '');
    const own = colour && rest.colours.length && marks.every((mark) => colourOf(mark) === undefined);
    return own ? seen.map((mark) => (mark ? `${mark}:${colour}` : '')) : seen;
  });
}

/** The mark that a cell of a table means: a letter, a stitch, or a number of a yarn from 1. */
function markOf(cell: string): Mark | undefined {
  const text = cell.trim();
  if (/^[A-Ha-h]$/.test(text)) return text.toUpperCase();
  if (/^[1-8]$/.test(text)) return lettersOfYarns[Number(text) - 1];
  const stitch = stitchOf(text);
  return stitch !== undefined && stitchCode(stitch) !== undefined ? text : undefined;
}

/** The one colour of a row whose marks are stitches in colours. */
function rowColour(marks: readonly Mark[]): string | undefined {
  const [first] = marks;
  const colour = first && stitchOf(first) !== undefined ? colourOf(first) : undefined;
  return colour && marks.every((mark) => colourOf(mark) === colour) ? colour : undefined;
}

/**
 * Reads a table into a drawing of the same technique: as it is seen, the last worked row on top. Cells may be letters,
 * numbers of yarns from 1, or stitches. @returns the drawing, or the cells that are none, by row and column of the table
 */
export function fromTable(drawing: Drawing, table: readonly (readonly string[])[]): Result<Drawing> {
  const lines = table.filter((line) => line.some((cell) => cell.trim()));
  const wide = Math.max(0, ...lines.map((line) => line.length));
  if (!lines.length) return refused({ code: 'chart-empty', path: '' });
  if (lines.length > mostCells.high || wide > mostCells.wide) {
    const facts = { wide, high: lines.length, most: mostCells.wide };
    return refused({ code: 'chart-too-large', path: '', facts });
  }
  const problems: Problem[] = [];
  const rows = lines.map((line, y): DrawnRow => {
    if (line.length !== wide) {
      problems.push({ code: 'chart-ragged', path: `row ${y + 1}`, facts: { row: y + 1, cells: line.length, wide } });
    }
    const marks = line.map((cell, x) => {
      const mark = markOf(cell);
      if (mark === undefined) {
        problems.push({
          code: 'chart-cell',
          path: `row ${y + 1}`,
          facts: { row: y + 1, column: x + 1, cell: cell.slice(0, 20) },
        });
      }
      return mark ?? 'A';
    });
    const colour = rowColour(marks);
    const plain = colour ? marks.map((mark) => stitchOf(mark) ?? mark) : marks;
    return { role: 'row', ...(colour ? { colour } : {}), marks: plain.reverse() };
  });
  if (problems.length) return refused(...problems.slice(0, 8));
  rows.reverse();
  const pens = pensOf(drawing);
  const strange = rows
    .flatMap(({ marks }) => marks)
    .find((mark) => isStitched(pens) !== (stitchOf(mark) !== undefined));
  if (strange) return refused({ code: 'chart-other-marks', path: '', facts: { mark: strange, pens } });
  // A table of a million cells has more of them than a call takes.
  const used = new Set(rows.flatMap(({ marks, colour }) => [...marks.map((mark) => colourOf(mark)), colour]));
  const most = Math.max(...[...used].map(placeOf));
  const coloured = withColours(drawing, Math.max(2, most + 1));
  return good({ ...(most + 1 > drawing.colours.length ? coloured : drawing), before: 0, unit: wide, rows });
}

function placeOf(letter: string | undefined): number {
  return (lettersOfYarns as readonly (string | undefined)[]).indexOf(letter);
}

function isStitched(pens: readonly Mark[]): boolean {
  return pens.some((pen) => stitchOf(pen) !== undefined);
}
