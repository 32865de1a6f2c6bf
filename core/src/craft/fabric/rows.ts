import type { Foundation } from '../foundation/foundation.ts';
import type { BoundPattern } from '../patterns/bound.ts';
import { evaluate, type Numbers } from '../patterns/count.ts';
import type { PatternRow, Run } from '../patterns/model.ts';
import { colourInOrder } from '../patterns/order.ts';
import { onceRows, repeatedRows } from '../patterns/rows.ts';
import { stitchCode } from '../stitches/kinds.ts';
import type { EdgeRule } from './edges.ts';
import type { Cells } from './fabric.ts';

export interface LayRequest {
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  readonly edges: EdgeRule;
  /** What the pattern's widths count: stitches, clusters, windows, blocks or wedges. */
  readonly stitches: number;
  readonly courses: number;
  /** Courses already worked below the first: the circle on which sides stand. */
  readonly under?: number | undefined;
  /** Increases a round of the circle on which sides stand; by rule of thumb where they are not told. */
  readonly increases?: number | undefined;
}

/** One pattern row that is to be worked, in the colour that its turn brings. */
export interface TurnedRow {
  readonly row: PatternRow;
  /** Letter of the row's colour, where its runs name none. */
  readonly colour: string;
}

function spreadRuns(bound: BoundPattern, runs: readonly Run[], rowColour: string, numbers: Numbers): Cells {
  const kinds: number[] = [];
  const colours: number[] = [];
  for (const run of runs) {
    const key = `${run.stitch ?? bound.cell}${run.place ? `@${run.place}` : ''}`;
    const kind = stitchCode(key);
    const colour = bound.colours.indexOf(run.colour ?? rowColour);
    if (kind === undefined) throw new Error(`${bound.pattern.key} names ${key}, which is no stitch`);
    for (let n = evaluate(run.count, numbers); n > 0; n--) {
      kinds.push(kind);
      colours.push(colour);
    }
  }
  return { kinds: Uint8Array.from(kinds), colours: Uint8Array.from(colours) };
}

/** Where in the unit the first column falls: a centred cloth cuts the repeat alike on both sides. */
export function phaseOf(request: LayRequest, unit: number): number {
  if (request.edges !== 'centred') return 0;
  const cut = (request.stitches - request.bound.across.alike.extra) / 2;
  return ((-cut % unit) + unit) % unit;
}

/** One pattern row across so many cells, in the order in which the pattern writes it. */
export function spreadRow(
  bound: BoundPattern,
  { row, colour }: TurnedRow,
  width: number,
  shift = 0,
  more: Numbers = {},
): Cells {
  const numbers = { ...bound.numbers, ...more };
  const start = spreadRuns(bound, row.start, colour, numbers);
  const unit = spreadRuns(bound, row.unit, colour, numbers);
  const end = spreadRuns(bound, row.end, colour, numbers);
  const kinds = new Uint8Array(width);
  const colours = new Uint8Array(width);
  const first = start.kinds.length;
  const last = width - end.kinds.length;
  kinds.set(start.kinds.subarray(0, width));
  colours.set(start.colours.subarray(0, width));
  for (let x = first; x < last; x++) {
    const cell = (x - first + shift) % unit.kinds.length;
    kinds[x] = unit.kinds[cell] as number;
    colours[x] = unit.colours[cell] as number;
  }
  if (last >= first) {
    kinds.set(end.kinds, last);
    colours.set(end.colours, last);
  }
  return { kinds, colours };
}

/** Cells of the repeated part of a row. */
export function unitWidth(bound: BoundPattern, row: PatternRow): number {
  return row.unit.reduce((sum, run) => sum + evaluate(run.count, { i: 1, j: 1, ...bound.numbers }), 0);
}

/** Every course as a pattern row: set-up rows once, then the others by turns, closing rows last. */
export function turnRows(bound: BoundPattern, courses: number): TurnedRow[] {
  const spread = (rows: readonly PatternRow[]) =>
    rows.flatMap((row) => new Array<PatternRow>(evaluate(row.courses, bound.numbers)).fill(row));
  const setup = spread(onceRows(bound.pattern, 'setup'));
  const close = spread(onceRows(bound.pattern, 'close'));
  const rows = spread(repeatedRows(bound.pattern));
  const known = new Map<PatternRow, Map<string, TurnedRow>>();
  let turn = 0;
  const { order } = bound.pattern;
  const turned = (row: PatternRow): TurnedRow => {
    const colour = order
      ? colourInOrder(order, turn++, courses)
      : row.colour === '*'
        ? (bound.colours[turn++ % bound.colours.length] as string)
        : (row.colour ?? 'A');
    const own = known.get(row) ?? new Map<string, TurnedRow>();
    known.set(row, own);
    const made = own.get(colour) ?? { row, colour };
    own.set(colour, made);
    return made;
  };
  const list: TurnedRow[] = [];
  const middle = Math.max(0, courses - setup.length - close.length);
  for (const row of setup) list.push(turned(row));
  for (let i = 0; i < middle; i++) list.push(turned(rows[i % rows.length] as PatternRow));
  for (const row of close) list.push(turned(row));
  return list.slice(0, courses);
}
