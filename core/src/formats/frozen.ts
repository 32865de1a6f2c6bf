import { z } from 'zod';
import { checkFabric } from '../check/fabric.ts';
import type { Estimate } from '../estimate.ts';
import { type Foundation, findFoundation } from '../fit/foundation.ts';
import type { Gauge } from '../gauge/gauge.ts';
import { assemble, type Cells, courseCells, type Fabric } from '../lay/fabric.ts';
import { type BoundPattern, bindPattern } from '../patterns/bind.ts';
import { printPattern } from '../patterns/print.ts';
import { readPattern } from '../patterns/read.ts';
import type { Plan } from '../plan/plan.ts';
import { good, type Result, refused } from '../problem.ts';
import { type Chart, columnsFrom, columnsTo, eachRun } from '../route/chart.ts';
import { MoveList } from '../route/moves.ts';
import { chartOf } from '../route/ofFabric.ts';
import { insideOf } from '../route/route.ts';
import type { Strands, StrandWay } from '../route/strands.ts';
import { stitchCode, stitchKind } from '../stitches/kinds.ts';
import { techniqueOf } from '../techniques/register.ts';

const figure = z.strictObject({ mid: z.number().positive(), low: z.number().positive(), high: z.number().positive() });
const gaugeFigures = z.strictObject({
  stitchWidth: figure,
  rowHeight: figure,
  source: z.enum(['typical', 'label', 'typed', 'swatch', 'piece']),
});

/**
 * A work as it was begun: the laid fabric and the way of its strands, in words of their own, so that it stays the
 * same whatever becomes of the engine or the pattern book.
 */
export const frozenSchema = z.strictObject({
  format: z.literal('puntada-begun'),
  version: z.literal(1),
  /** The stitch pattern in the notation, with the maker's choices. */
  pattern: z.string().max(20000),
  stitch: z.string().max(20),
  numbers: z.record(z.string(), z.number().int()),
  foundation: z.string().max(40),
  stitches: z.number().int().min(1).max(3000),
  /** Every different row once, as runs from the edge where row 1 begins: `4 sc A, 4 sc B`. */
  rows: z.array(z.string().max(40000)).max(3000),
  /** Which of `rows` each course is. */
  courses: z.array(z.number().int().min(0)).min(1).max(3000),
  /** Moves of the strands, five numbers each: kind, strand, row, from, to. */
  moves: z.array(z.number().int()),
  /** How many colours, where the pattern leaves it open. */
  colours: z.number().int().min(1).max(8).optional(),
  /** Which loops its stitches go into, where it is not both. */
  loops: z.enum(['back', 'front']).optional(),
  /** The gauge it was begun with, mm: as worked and as finished. */
  gauge: z.strictObject({ worked: gaugeFigures, finished: gaugeFigures }).optional(),
  /** Where colours are divided among bobbins: the colour of each strand, and the strand of each run as worked. */
  bobbins: z.strictObject({ colourOf: z.array(z.number().int()), runs: z.array(z.number().int()) }).optional(),
});

export type FrozenWork = z.infer<typeof frozenSchema>;

/** A frozen work brought back to the shapes of the pipeline. */
export interface ThawedWork {
  readonly fabric: Fabric;
  readonly strands: StrandWay;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  /** The gauge it was begun with; those begun before it was kept go by that of their wish. */
  readonly gauge?: { readonly worked: Gauge; readonly finished: Gauge } | undefined;
}

function rowText(fabric: Fabric, course: number, letters: readonly string[]): string {
  const words: string[] = [];
  const { kinds, colours } = courseCells(fabric, course);
  for (let x = 0; x < kinds.length; ) {
    const kind = kinds[x] as number;
    const colour = colours[x] as number;
    const from = x++;
    while (x < kinds.length && kinds[x] === kind && colours[x] === colour) x++;
    words.push(`${x - from} ${stitchKind(kind).key} ${letters[colour]}`);
  }
  return words.join(', ');
}

/** The strand of every run, where colours have more strands than one. */
function frozenBobbins({ chart, colourOf }: StrandWay): FrozenWork['bobbins'] {
  if (colourOf.every((colour, strand) => colour === strand)) return undefined;
  const runs: number[] = [];
  for (let row = 0; row < chart.rows; row++) eachRun(chart, row, (strand) => runs.push(strand));
  return { colourOf: [...colourOf], runs };
}

/** Freezes a plan at the moment it is begun. */
export function freeze({ piece, prepared }: Plan): FrozenWork {
  const { bound, foundation, gauge, finished } = prepared;
  const { fabric, strands } = piece;
  return freezeCloth({ fabric, strands, bound, foundation, gauge: { worked: gauge, finished } });
}

/** Freezes a cloth with the way of its strands. */
export function freezeCloth({ fabric, strands, bound, foundation, gauge }: ThawedWork): FrozenWork {
  const rows: string[] = [];
  const courses: number[] = [];
  const known = new Map<string, number>();
  for (let course = 0; course < fabric.courses; course++) {
    const text = rowText(fabric, course, bound.colours);
    const index = known.get(text) ?? rows.push(text) - 1;
    known.set(text, index);
    courses.push(index);
  }
  const { moves } = strands;
  const flat: number[] = [];
  for (let i = 0; i < moves.length; i++) {
    for (const part of [moves.kind, moves.colour, moves.row, moves.from, moves.to]) flat.push(part[i] as number);
  }
  const bobbins = frozenBobbins(strands);
  return {
    format: 'puntada-begun',
    version: 1,
    pattern: printPattern(bound.pattern),
    stitch: bound.stitch,
    numbers: { ...bound.numbers },
    foundation: foundation.key,
    stitches: fabric.count,
    rows,
    courses,
    moves: flat,
    colours: bound.colours.length,
    ...(bound.loops === 'both' ? {} : { loops: bound.loops }),
    ...(gauge ? { gauge: { worked: figuresOf(gauge.worked), finished: figuresOf(gauge.finished) } } : {}),
    ...(bobbins ? { bobbins } : {}),
  };
}

/** A gauge without the source of each figure, which is that of the whole. */
function figuresOf({ stitchWidth, rowHeight, source }: Gauge) {
  const bare = ({ mid, low, high }: Estimate) => ({ mid, low, high });
  return { stitchWidth: bare(stitchWidth), rowHeight: bare(rowHeight), source };
}

function gaugeFrom({ stitchWidth, rowHeight, source }: ReturnType<typeof figuresOf>): Gauge {
  return { stitchWidth: { ...stitchWidth, source }, rowHeight: { ...rowHeight, source }, source };
}

function readRow(text: string, letters: readonly string[]): Cells | undefined {
  const kinds: number[] = [];
  const colours: number[] = [];
  for (const run of text.split(', ')) {
    const [count, key = '', letter = ''] = run.split(' ');
    const kind = stitchCode(key);
    const colour = letters.indexOf(letter);
    if (kind === undefined || colour < 0 || !Number.isInteger(Number(count))) return undefined;
    for (let n = Number(count); n > 0; n--) {
      kinds.push(kind);
      colours.push(colour);
    }
  }
  return { kinds: Uint8Array.from(kinds), colours: Uint8Array.from(colours) };
}

/** Brings a frozen work back, or says where it is damaged. */
export function thaw(frozen: FrozenWork): Result<ThawedWork> {
  const damaged = (path: string, message: string) =>
    refused({ code: 'fabric-broken', path, message, hint: 'Restore the work from a backup.' });
  const pattern = readPattern(frozen.pattern);
  if (!pattern.ok) return pattern;
  const own = pattern.value.stitches.length ? frozen.stitch : undefined;
  const bound = bindPattern(pattern.value, {
    stitch: own,
    numbers: frozen.numbers,
    colours: frozen.colours,
    loops: frozen.loops,
  });
  if (!bound.ok) return bound;
  const technique = techniqueOf(pattern.value);
  if (!technique.ok) return technique;
  const foundation = findFoundation(frozen.foundation);
  if (!foundation)
    return damaged('foundation', `The foundation “${frozen.foundation}” of the begun work is not known.`);
  const letters = bound.value.colours;
  const rows = frozen.rows.map((text) => readRow(text, letters));
  const cells: Cells[] = [];
  for (const [course, index] of frozen.courses.entries()) {
    const row = rows[index];
    if (!row) return damaged(`rows.${index}`, `Row ${course + 1} of the begun work cannot be read.`);
    cells.push(row);
  }
  if (frozen.moves.length % 5) return damaged('moves', 'The strand moves of the begun work are cut short.');
  const moves = new MoveList();
  for (let i = 0; i < frozen.moves.length; i += 5) {
    const [kind = 0, colour = 0, row = 0, from = 0, to = 0] = frozen.moves.slice(i, i + 5);
    moves.add(kind, colour, row, from, to);
  }
  const fabric = assemble(pattern.value.made, frozen.stitches, cells, letters.length);
  const proof = checkFabric(fabric, { bound: bound.value, technique: technique.value, foundation });
  if (!proof.ok) {
    const [first] = proof.problems;
    const course = Number(/row (\d+)/.exec(first?.path ?? '')?.[1] ?? 1);
    return damaged(`rows.${frozen.courses[course - 1]}`, `The begun work does not hold together: ${first?.message}`);
  }
  const { chart, colourOf } = strandsOf(frozen, chartOf(fabric));
  const strands = { chart, colourOf, moves, inside: insideOf(chart, moves) };
  const { gauge } = frozen;
  return good({
    fabric,
    strands,
    bound: bound.value,
    foundation,
    ...(gauge ? { gauge: { worked: gaugeFrom(gauge.worked), finished: gaugeFrom(gauge.finished) } } : {}),
  });
}

/** The chart of strands as it was routed: one strand a colour, or the bobbins that were written down. */
function strandsOf({ bobbins }: FrozenWork, chart: Chart): Pick<Strands, 'chart' | 'colourOf'> {
  if (!bobbins) return { chart, colourOf: Array.from({ length: chart.colourCount }, (_, colour) => colour) };
  const colours = new Uint16Array(chart.colours);
  let run = 0;
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (_colour, start, end) => {
      const from = columnsFrom(chart, row, start, end);
      const to = columnsTo(chart, row, start, end);
      colours.fill(bobbins.runs[run++] as number, row * chart.columns + from, row * chart.columns + to);
    });
  }
  return { chart: { ...chart, colours, colourCount: bobbins.colourOf.length }, colourOf: bobbins.colourOf };
}
