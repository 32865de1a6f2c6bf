import { type BoundMultiple, leastCommonMultiple } from '../patterns/bound.ts';
import { type Count, evaluate } from '../patterns/count.ts';
import type { Making, PatternRow, Run, StitchPattern, TechniqueKey } from '../patterns/model.ts';
import { colourInOrder, type RowOrder } from '../patterns/order.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { techniqueNamed } from '../techniques/register.ts';
import { good, type Result, refused } from '../values/problem.ts';

/**
 * What stands in a cell of a drawing, as the notation writes it without a count: a colour `A`, a stitch `sc`, a stitch in a
 * place and a colour `fleck:B`, `dc@below2`.
 */
export type Mark = string;

/** A row of a drawing. */
export interface DrawnRow {
  readonly role: PatternRow['role'];
  /** The colour of marks that name none; `*` is the next in turn. */
  readonly colour?: string | undefined;
  /** From the edge where row 1 begins. Rows of one net may be a cell shorter than those of the other. */
  readonly marks: readonly Mark[];
}

/**
 * One repeat of a pattern, with what stands before and after it, cell by cell, all numbers chosen. What is drawn is what is
 * kept: from a pattern to a drawing and back nothing is lost but the names of its numbers.
 */
export interface Drawing {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly technique: TechniqueKey;
  readonly made: Making;
  readonly read: StitchPattern['read'];
  readonly stitches: readonly string[];
  /** Letters of the yarns that lie ready; those that no cell uses are not written into the pattern. */
  readonly colours: readonly string[];
  readonly fewestColours: number;
  readonly mostColours: number;
  /** Cells before the repeat, at the edge where row 1 begins, and cells of the repeat. */
  readonly before: number;
  readonly unit: number;
  /** The first worked first. */
  readonly rows: readonly DrawnRow[];
  readonly order?: RowOrder | undefined;
  readonly ends: string;
  readonly careful: string;
}

/** More is not drawn: it would be no repeat, but a whole piece of more stitches than one can have. */
export const mostCells: Readonly<Record<'wide' | 'high', number>> = { wide: 1000, high: 1000 };

const widths = new WeakMap<Drawing['rows'], number>();

/** The widest row; found once for each set of rows. */
export function widthOf({ rows }: Pick<Drawing, 'rows'>): number {
  const known = widths.get(rows);
  if (known !== undefined) return known;
  const width = rows.reduce((most, { marks }) => Math.max(most, marks.length), 0);
  widths.set(rows, width);
  return width;
}

/** The colour that a mark names, or nothing. */
export function colourOf(mark: Mark): string | undefined {
  if (/^[A-H]$/.test(mark)) return mark;
  const at = mark.indexOf(':');
  return at < 0 ? undefined : mark.slice(at + 1);
}

/** The stitch that a mark names, with its place, or nothing. */
export function stitchOf(mark: Mark): string | undefined {
  if (/^[A-H]$/.test(mark)) return undefined;
  const at = mark.indexOf(':');
  return at < 0 ? mark : mark.slice(0, at);
}

function markOf({ stitch, place, colour }: Run, rowColour: string | undefined): Mark {
  if (stitch === undefined) return colour ?? (rowColour && rowColour !== '*' ? rowColour : 'A');
  return `${stitch}${place ? `@${place}` : ''}${colour ? `:${colour}` : ''}`;
}

function marksOf(runs: readonly Run[], numbers: Readonly<Record<string, number>>, colour?: string): Mark[] {
  return runs.flatMap((run) => new Array<Mark>(Math.max(0, evaluate(run.count, numbers))).fill(markOf(run, colour)));
}

interface Parts {
  readonly start: readonly Mark[];
  readonly unit: readonly Mark[];
  readonly end: readonly Mark[];
}

function same(a: readonly Mark[], b: readonly Mark[]): boolean {
  return a.length === b.length && a.every((mark, i) => mark === b[i]);
}

/** The same row with its repeat begun after so many cells; nothing where what stands before is no part of the repeat. */
function begunAfter({ start, unit, end }: Parts, before: number): Parts | undefined {
  const moved = start.length - before;
  if (moved === 0) return { start, unit, end };
  // Begun later: the first cells of a repeat stand before, its others after.
  if (moved < 0) {
    const turn = -moved % unit.length;
    const first = Array.from({ length: -moved }, (_, i) => unit[i % unit.length] as Mark);
    const rest = turn ? unit.slice(turn) : [];
    return { start: [...start, ...first], unit: [...unit.slice(turn), ...unit.slice(0, turn)], end: [...rest, ...end] };
  }
  const tail = start.slice(before);
  const fits = tail.every((mark, i) => {
    const fromEnd = (moved - i) % unit.length;
    return mark === unit[(unit.length - fromEnd) % unit.length];
  });
  if (!fits) return undefined;
  const turn = moved % unit.length;
  const turned = [...unit.slice(unit.length - turn), ...unit.slice(0, unit.length - turn)];
  return { start: start.slice(0, before), unit: turned, end: [...tail.slice(tail.length - turn), ...end] };
}

/** Rows whose repeats stand one above the other; nothing where they cannot be written so. */
function levelled(rows: readonly Parts[]): Parts[] | undefined {
  const starts = rows.map(({ start }) => start.length);
  // What stands level already stays as it was drawn, a repeat that stands at the end with it.
  if (starts.every((length) => length === starts[0])) return [...rows];
  for (const before of [Math.min(...starts), Math.max(...starts)]) {
    const begun = rows.map((row) => begunAfter(row, before));
    if (begun.every((row) => row !== undefined)) return endsShortened(begun);
  }
  return undefined;
}

/** A whole repeat that stands in the end of every row is a repeat like the others. */
function endsShortened(rows: readonly Parts[]): Parts[] {
  let short = [...rows];
  const ends = ({ unit, end }: Parts) => end.length >= unit.length && same(end.slice(0, unit.length), unit);
  while (short.every(ends)) short = short.map((row) => ({ ...row, end: row.end.slice(row.unit.length) }));
  return short;
}

/** A count that is a plain number. */
export function plain(times: number): Count {
  return { terms: [{ times }] };
}

/**
 * A pattern as a drawing, with the numbers it usually has. @returns `not-drawable` for what grows from round to round, and
 * for rows whose repeats do not stand one above the other
 */
export function drawingOf(pattern: StitchPattern, numbers: Readonly<Record<string, number>> = {}): Result<Drawing> {
  const refuse = () => refused({ code: 'not-drawable', path: '', facts: { pattern: pattern.name } });
  if (techniqueNamed(pattern.technique)?.circle) return refuse();
  const chosen = { ...Object.fromEntries(pattern.numbers.map(({ name, usual }) => [name, usual])), ...numbers };
  const repeated = repeatedRows(pattern);
  const ordered = [
    ...pattern.rows.filter(({ role }) => role === 'setup'),
    ...repeated,
    ...pattern.rows.filter(({ role }) => role === 'close'),
  ];
  const read = ordered.map((row) => ({
    row,
    parts: {
      start: marksOf(row.start, chosen, row.colour),
      unit: marksOf(row.unit, chosen, row.colour),
      end: marksOf(row.end, chosen, row.colour),
    },
  }));
  if (read.some(({ parts }) => !parts.unit.length)) return refuse();
  const unit = read.reduce((most, { parts }) => leastCommonMultiple(most, parts.unit.length), 1);
  if (unit > mostCells.wide) return refuse();
  const widened = read.map(({ row, parts }) => {
    const times = unit / parts.unit.length;
    return { row, parts: { ...parts, unit: Array.from({ length: times }, () => parts.unit).flat() } };
  });
  const level = levelled(widened.map(({ parts }) => parts));
  if (!level) return refuse();
  const before = level[0]?.start.length ?? 0;
  const rows: DrawnRow[] = [];
  for (const [i, { row }] of widened.entries()) {
    const { start, unit: middle, end } = level[i] as Parts;
    const drawn: DrawnRow = {
      role: row.role,
      ...(row.colour ? { colour: row.colour } : {}),
      marks: [...start, ...middle, ...end],
    };
    const courses = evaluate(row.courses, chosen);
    if (rows.length + courses > mostCells.high || drawn.marks.length > mostCells.wide) return refuse();
    for (let n = 0; n < courses; n++) rows.push(drawn);
  }
  const { key, name, about, technique, made, stitches, colours, fewestColours, mostColours, order } = pattern;
  return good({
    key,
    name,
    about,
    technique,
    made,
    read: pattern.read,
    stitches,
    colours,
    fewestColours,
    mostColours,
    before,
    unit,
    rows,
    ...(order ? { order } : {}),
    ends: pattern.ends,
    careful: pattern.careful,
  });
}

function runOf(mark: Mark, count: number, rowColour: string | undefined): Run {
  const colour = colourOf(mark);
  const stitch = stitchOf(mark);
  const own = colour === undefined || colour === rowColour ? {} : { colour };
  if (stitch === undefined) return { count: plain(count), ...(colour ? { colour } : {}) };
  const [kind = stitch, place] = stitch.split('@');
  return { count: plain(count), stitch: kind, ...(place ? { place } : {}), ...own };
}

/** Marks as runs of the notation. @param rowColour the colour that a run need not name */
export function runsOf(marks: readonly Mark[], rowColour: string | undefined): Run[] {
  const runs: Run[] = [];
  for (let x = 0; x < marks.length; ) {
    const mark = marks[x] as Mark;
    const from = x;
    while (x < marks.length && marks[x] === mark) x++;
    runs.push(runOf(mark, x - from, rowColour));
  }
  return runs;
}

/**
 * The colour of each row, for its cells that name none: its own, the next in turn, or that of the maker's order. Only rows
 * that wait for the next colour take a turn.
 */
export function rowLetters({ rows, colours, order }: Pick<Drawing, 'rows' | 'colours' | 'order'>): string[] {
  let turn = 0;
  return rows.map(({ colour }, row) => {
    if (order) return colourInOrder(order, row, rows.length);
    return colour === '*' ? (colours[turn++ % colours.length] ?? 'A') : (colour ?? 'A');
  });
}

/** The letters that cells and rows name. */
export function lettersUsed({ rows }: Pick<Drawing, 'rows'>): string[] {
  const found = new Set<string>();
  for (const { colour, marks } of rows) {
    if (colour && colour !== '*') found.add(colour);
    for (const mark of new Set(marks)) {
      const own = colourOf(mark);
      if (own) found.add(own);
    }
  }
  return [...found].sort();
}

/** How many cells beyond whole repeats make both edges alike in every row; nothing where none do. */
function evenEdges({ rows, before, unit }: Drawing): number | undefined {
  const width = widthOf({ rows });
  const after = width - before - unit;
  const distinct = [...new Set(rows.map(({ marks }) => marks))];
  for (let more = 0; more < unit; more++) {
    const whole = before + 2 * unit + more + after;
    const even = distinct.every((marks) => {
      const own = marks.length - before - unit;
      const at = (x: number) => {
        if (x < before) return marks[x];
        if (x >= whole - own) return marks[marks.length - (whole - x)];
        return marks[before + ((x - before) % unit)];
      };
      for (let x = 0; x < whole / 2; x++) if (at(x) !== at(whole - 1 - x)) return false;
      return true;
    });
    if (even) return more;
  }
  return undefined;
}

/** The widths and heights of a drawing: those that hold whole repeats, and those whose edges are alike. */
export function extentsOf(drawing: Drawing): {
  readonly across: { readonly works: BoundMultiple; readonly alike: BoundMultiple };
  readonly up: BoundMultiple;
} {
  const { rows, unit, technique } = drawing;
  const trait = techniqueNamed(technique);
  // Nets are told by the row with fewer posts, which has a window between each two.
  const least = rows.reduce((few, { marks }) => Math.min(few, marks.length), mostCells.wide);
  const extra = least - unit;
  const more = trait?.marks ? undefined : evenEdges(drawing);
  const repeated = rows.filter(({ role }) => role === 'row').length;
  const once = rows.length - repeated + (trait?.ownRows ?? 0);
  const edge = trait?.ownEdge ?? 0;
  // Half of a round on both sides of a chain lies on each of them.
  const multiple = trait?.uses.every((use) => use === 'tube') && unit % 2 ? 2 * unit : unit;
  return {
    across: {
      works: { multiple, extra: extra + edge },
      alike: { multiple, extra: extra + edge + (more ?? 0) },
    },
    up: { multiple: repeated, extra: once },
  };
}

function multiple({ multiple: many, extra }: BoundMultiple) {
  return { multiple: plain(many), extra: plain(extra) };
}

/** Rows of plain colours are kept as they are drawn; the chart shows the right side, the last worked row on top. */
function chartOf({ rows, before, unit }: Drawing): string[] | undefined {
  const charted = rows.every(({ role, colour, marks }) => role === 'row' && !colour && marks.every(isColour));
  if (!charted) return undefined;
  const width = widthOf({ rows });
  const bars = before > 0 || width > before + unit;
  if (bars && rows.some(({ marks }) => marks.length !== width)) return undefined;
  return [...rows].reverse().map(({ marks }) => {
    const seen = [...marks].reverse().join('');
    if (!bars) return seen;
    const [end, start] = [width - before - unit, width - before];
    return `${seen.slice(0, end)}|${seen.slice(end, start)}|${seen.slice(start)}`;
  });
}

function isColour(mark: Mark): boolean {
  return mark.length === 1 && mark >= 'A' && mark <= 'H';
}

function rowsOf({ rows, before, unit }: Drawing): PatternRow[] {
  const written: PatternRow[] = [];
  for (let i = 0; i < rows.length; ) {
    const { role, colour, marks } = rows[i] as DrawnRow;
    const from = i;
    const like = (other: DrawnRow | undefined) =>
      other !== undefined && other.role === role && other.colour === colour && same(other.marks, marks);
    while (like(rows[i])) i++;
    const plainColour = marks.every(isColour);
    const head = colour && (colour === '*' || !plainColour) ? { colour } : {};
    const own = plainColour ? undefined : colour;
    written.push({
      role,
      courses: plain(i - from),
      ...head,
      start: runsOf(marks.slice(0, before), own),
      unit: runsOf(marks.slice(before, before + unit), own),
      end: runsOf(marks.slice(before + unit), own),
    });
  }
  return written;
}

/** A drawing as a pattern, with the widths and heights that follow from what is drawn. */
export function patternOf(drawing: Drawing): StitchPattern {
  const { key, name, about, technique, made, stitches, read, order, ends, careful } = drawing;
  const byTurns = drawing.rows.some(({ colour }) => colour === '*') || order !== undefined;
  const used = lettersUsed(drawing);
  const colours = byTurns ? drawing.colours : used.length ? used : ['A'];
  const { across, up } = extentsOf(drawing);
  const chart = chartOf(drawing);
  return {
    key,
    name,
    about,
    technique,
    made,
    stitches,
    colours,
    fewestColours: byTurns ? drawing.fewestColours : colours.length,
    mostColours: byTurns ? drawing.mostColours : colours.length,
    numbers: [],
    across: { word: 'repeats', works: multiple(across.works), alike: multiple(across.alike) },
    up: { word: 'repeats', works: multiple(up), alike: multiple(up) },
    read,
    rows: chart ? [] : rowsOf(drawing),
    chart: chart ?? [],
    ...(order ? { order } : {}),
    ends,
    careful,
  };
}
