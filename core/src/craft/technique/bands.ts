import { runsForward } from '../fabric/fabric.ts';
import type { RowColours } from '../fabric/rowColours.ts';
import { spreadRow, type TurnedRow, turnRows } from '../fabric/rows.ts';
import { type BoundPattern, leastCommonMultiple } from '../patterns/bound.ts';
import { evaluate } from '../patterns/count.ts';
import type { PatternRow } from '../patterns/model.ts';
import { onceRows } from '../patterns/rows.ts';
import type { Technique } from './technique.ts';

/** The least width that holds whole repeats, in cells. */
function leastWidth({ across: { works }, repeatStitches }: BoundPattern): number {
  const k = Math.max(1, Math.ceil((repeatStitches - works.extra) / works.multiple));
  return works.multiple * k + works.extra;
}

/** What is found of the rows of a pattern: sizes by the hundred ask for the same few. */
const found = new WeakMap<BoundPattern, WeakMap<PatternRow, Map<string, string>>>();

/** The colours of so many rows over the least width, the first row first. */
export function rowColours(bound: BoundPattern, technique: Technique, rows: number): RowColours[] {
  if (technique.bands) return technique.bands(bound, rows);
  const close = onceRows(bound.pattern, 'close').reduce((sum, row) => sum + evaluate(row.courses, bound.numbers), 0);
  const width = leastWidth(bound);
  const known = found.get(bound) ?? new WeakMap<PatternRow, Map<string, string>>();
  found.set(bound, known);
  const { made, read } = bound.pattern;
  return turnRows(bound, rows).map((turned, row) => {
    const back = read === 'worked' && !runsForward(row, made);
    const ways = known.get(turned.row) ?? new Map<string, string>();
    known.set(turned.row, ways);
    const way = `${turned.colour}${back ? ' back' : ''}`;
    const colours = ways.get(way) ?? coloursAcross(bound, technique, turned, width, back);
    ways.set(way, colours);
    return { colours, closes: rows - row <= close };
  });
}

function coloursAcross(bound: BoundPattern, technique: Technique, turned: TurnedRow, width: number, back: boolean) {
  const { colours } = spreadRow(bound, turned, width, 0, { i: 2, j: 2 });
  const across = Array.from(back ? colours.toReversed() : colours);
  // A circle grows, so only the turn of its colours is the same from round to round.
  const shown = technique.circle
    ? across.filter((colour, x) => x === 0 || colour !== across[x - 1]).slice(0, bound.colours.length)
    : across;
  return shown.every((colour) => colour === shown[0]) ? String(shown[0]) : shown.join('.');
}

/** How many rows from one end are like the row at that end. */
function bandLength(rows: readonly RowColours[], from: number, step: 1 | -1): number {
  const end = rows[from] as RowColours;
  let n = 0;
  for (let i = from; rows[i]?.colours === end.colours && rows[i]?.closes === end.closes; i += step) n++;
  return n;
}

/**
 * The law of endings: the last row is in the colours of the first, and the last band is as high as the first, so that the
 * upper edge mirrors the lower. A closing row needs only its colour. docs/craft.md, “Whole patterns and like edges”.
 */
export function endsAsBegun(rows: readonly RowColours[]): boolean {
  const last = rows.length - 1;
  const [first, final] = [rows[0], rows[last]];
  if (!first || !final || first.colours !== final.colours) return false;
  if (final.closes) return true;
  const below = bandLength(rows, 0, 1);
  return below === rows.length || below === bandLength(rows, last, -1);
}

/** Whether the last row is in the colours of the first, however high the stripes are that begin and end it. */
export function endsInColours(rows: readonly RowColours[]): boolean {
  const [first, final] = [rows[0], rows.at(-1)];
  return first !== undefined && first.colours === final?.colours;
}

/** Rows after which colours come again, whatever the rows before. */
export function colourPeriod(bound: BoundPattern): number {
  return leastCommonMultiple(bound.repeatCourses, 2);
}
