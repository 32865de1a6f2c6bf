import {
  assemble,
  type Cells,
  courseCells,
  type Fabric,
  mostInCourse,
  mostStitches,
} from '../../craft/fabric/fabric.ts';
import { chainsFor, type Foundation, findFoundation } from '../../craft/foundation/foundation.ts';
import type { Gauge } from '../../craft/gauge/gauge.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { readPattern } from '../../craft/notation/read.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { stitchCode, stitchKind } from '../../craft/stitches/kinds.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { at, type Facts, good, type Result, refused } from '../../craft/values/problem.ts';
import type { FrozenCloth, FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';
import { checkFabric } from '../check/fabric.ts';
import type { Plan } from '../piece/plan.ts';
import { type Chart, columnsFrom, columnsTo, eachRun } from '../route/chart.ts';
import { CUT, MoveList } from '../route/moves.ts';
import { chartOf } from '../route/ofFabric.ts';
import { insideOf } from '../route/route.ts';
import type { Strands, StrandWay } from '../route/strands.ts';

/** A frozen cloth brought back to the shapes of the pipeline. */
export interface ThawedCloth {
  readonly fabric: Fabric;
  readonly strands: StrandWay;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  /** The gauge it was begun with; those begun before it was kept go by that of their wish. */
  readonly gauge?: { readonly worked: Gauge; readonly finished: Gauge } | undefined;
}

/** Cloths of a project that were made by a plan before the one it goes by now. */
export interface ClothBefore {
  readonly pieces: number;
  readonly wish: Wish;
  readonly cloth: ThawedCloth;
}

/** A frozen work brought back: the cloth it goes by, and those that were made by a plan before. */
export interface ThawedWork extends ThawedCloth {
  /** Its foundation chain is a step of the counter. */
  readonly fromChain?: boolean | undefined;
  /** Fronts or backs, each of them counted for itself. */
  readonly apart?: boolean | undefined;
  readonly before?: readonly ClothBefore[] | undefined;
}

/** Which of the cloths that were made before a piece is one of; -1 where it is of none. @param piece from 0 */
export function beforeAt(before: readonly { readonly pieces: number }[] | undefined, piece: number): number {
  let left = piece;
  return (before ?? []).findIndex(({ pieces }) => {
    left -= pieces;
    return left < 0;
  });
}

/** The cloth that one piece of a work is: that of its plan, or one that was made before. @param piece from 0 */
export function clothAt<Cloth extends Pick<ThawedWork, 'before'>>(work: Cloth, piece: number): Cloth | ThawedCloth {
  return work.before?.[beforeAt(work.before, piece)]?.cloth ?? work;
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
function frozenBobbins({ chart, colourOf }: StrandWay): FrozenCloth['bobbins'] {
  if (colourOf.every((colour, strand) => colour === strand)) return undefined;
  const runs: number[] = [];
  for (let row = 0; row < chart.rows; row++) eachRun(chart, row, (strand) => runs.push(strand));
  return { colourOf: [...colourOf], runs };
}

/** Freezes a plan at the moment it is begun. */
export function freeze({ piece, prepared }: Plan): FrozenWork {
  const { bound, foundation, gauge, finished } = prepared;
  const { fabric, strands } = piece;
  const fromChain = chainsFor(foundation, fabric.count) > 0;
  const apart = prepared.wish.set?.part !== undefined;
  return freezeWork({ fabric, strands, bound, foundation, gauge: { worked: gauge, finished }, fromChain, apart });
}

/** Freezes a work: its cloth, and those before it. */
export function freezeWork({ fromChain, apart, before, ...cloth }: ThawedWork): FrozenWork {
  return {
    format: 'puntada-begun',
    version: 2,
    ...freezeCloth(cloth),
    ...(fromChain ? { fromChain } : {}),
    ...(apart ? { apart } : {}),
    ...(before?.length ? { before: before.map((each) => ({ ...each, cloth: freezeCloth(each.cloth) })) } : {}),
  };
}

/** Freezes a cloth with the way of its strands. */
function freezeCloth({ fabric, strands, bound, foundation, gauge }: ThawedCloth): FrozenCloth {
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

/** Numbers of moves for each stitch and course: five for each of eight strands. */
const mostMoves = 40;

interface Run {
  readonly count: number;
  readonly kind: number;
  readonly colour: number;
}

/** The runs of a row, or nothing where it is none, or longer than any row is. Nothing is laid for it yet. */
function readRuns(text: string, letters: readonly string[]): Run[] | undefined {
  const runs: Run[] = [];
  let length = 0;
  for (const run of text.split(', ')) {
    const [number = '', key = '', letter = ''] = run.split(' ');
    const kind = stitchCode(key);
    const colour = letters.indexOf(letter);
    const count = /^\d{1,6}$/.test(number) ? Number(number) : 0;
    length += count;
    if (kind === undefined || colour < 0 || count < 1 || length > mostInCourse) return undefined;
    runs.push({ count, kind, colour });
  }
  return runs;
}

function lengthOf(runs: readonly Run[]): number {
  return runs.reduce((sum, { count }) => sum + count, 0);
}

function layRow(runs: readonly Run[]): Cells {
  const length = lengthOf(runs);
  const [kinds, colours] = [new Uint8Array(length), new Uint8Array(length)];
  let at = 0;
  for (const { count, kind, colour } of runs) {
    kinds.fill(kind, at, at + count);
    colours.fill(colour, at, at + count);
    at += count;
  }
  return { kinds, colours };
}

/** Whether every move is one of the strands of a chart, inside it. */
function insideChart(moves: MoveList, { rows, columns, colourCount }: Chart): boolean {
  for (let i = 0; i < moves.length; i++) {
    const [kind, strand, row, from, to] = [moves.kind, moves.colour, moves.row, moves.from, moves.to].map(
      (part) => part[i] as number,
    ) as [number, number, number, number, number];
    const end = kind === CUT ? rows - 1 : columns;
    if (kind > CUT || strand >= colourCount || row < 0 || row >= rows) return false;
    if (from < 0 || from > columns || to < 0 || to > end) return false;
  }
  return true;
}

/** Brings a frozen work back, with the cloths before it, or says where it is damaged. */
export function thaw({ fromChain, apart, before = [], ...own }: FrozenWork): Result<ThawedWork> {
  const cloth = thawCloth(own);
  if (!cloth.ok) return cloth;
  const thawed: ClothBefore[] = [];
  for (const [i, { pieces, wish, cloth }] of before.entries()) {
    const read = thawCloth(cloth);
    if (!read.ok) return refused(...read.problems.map((each) => at(`before.${i}`, each)));
    thawed.push({ pieces, wish, cloth: read.value });
  }
  return good({
    ...cloth.value,
    ...(fromChain ? { fromChain } : {}),
    ...(apart ? { apart } : {}),
    ...(thawed.length ? { before: thawed } : {}),
  });
}

function thawCloth(frozen: FrozenCloth): Result<ThawedCloth> {
  const damaged = (path: string, what: string, facts: Facts = {}) =>
    refused({ code: 'begun-damaged', path, facts: { ...facts, what } });
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
  if (!foundation) return damaged('foundation', 'foundation', { foundation: frozen.foundation });
  const letters = bound.value.colours;
  const runs = frozen.rows.map((text) => readRuns(text, letters));
  let stitches = 0;
  for (const [course, index] of frozen.courses.entries()) {
    const row = runs[index];
    if (!row) return damaged(`rows.${index}`, 'row', { row: course + 1 });
    stitches += lengthOf(row);
  }
  if (stitches > mostStitches) return damaged('courses', 'size', { stitches });
  if (frozen.moves.length % 5 || frozen.moves.length > mostMoves * (stitches + frozen.courses.length))
    return damaged('moves', 'moves');
  const laid = runs.map((row) => row && layRow(row));
  const cells = frozen.courses.map((index) => laid[index] as Cells);
  const fabric = assemble(pattern.value.made, frozen.stitches, cells, letters.length);
  const proof = checkFabric(fabric, { bound: bound.value, technique: technique.value, foundation });
  if (!proof.ok) {
    const [first] = proof.problems;
    const row = Number(first?.facts?.row ?? 1);
    return damaged(`rows.${frozen.courses[row - 1]}`, 'proof', { ...first?.facts, proof: first?.code });
  }
  const divided = strandsOf(frozen, chartOf(fabric));
  if (!divided) return damaged('bobbins', 'bobbins');
  const { chart, colourOf } = divided;
  const moves = new MoveList();
  for (let i = 0; i < frozen.moves.length; i += 5) {
    const [kind = 0, colour = 0, row = 0, from = 0, to = 0] = frozen.moves.slice(i, i + 5);
    if (kind !== (kind & 0xff) || colour !== (colour & 0xff)) return damaged('moves', 'moves');
    moves.add(kind, colour, row, from, to);
  }
  if (!insideChart(moves, chart)) return damaged('moves', 'moves');
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

/**
 * The chart of strands as it was routed: one strand a colour, or the bobbins that were written down. Nothing where those
 * are not of this chart.
 */
function strandsOf({ bobbins }: FrozenCloth, chart: Chart): Pick<Strands, 'chart' | 'colourOf'> | undefined {
  if (!bobbins) return { chart, colourOf: Array.from({ length: chart.colourCount }, (_, colour) => colour) };
  const strands = bobbins.colourOf.length;
  const known = (of: readonly number[], most: number) => of.every((each) => each >= 0 && each < most);
  if (strands > 256 || !known(bobbins.colourOf, chart.colourCount) || !known(bobbins.runs, strands)) return undefined;
  const colours = new Uint16Array(chart.colours);
  let run = 0;
  for (let row = 0; row < chart.rows; row++) {
    eachRun(chart, row, (_colour, start, end) => {
      const from = columnsFrom(chart, row, start, end);
      const to = columnsTo(chart, row, start, end);
      colours.fill(bobbins.runs[run++] as number, row * chart.columns + from, row * chart.columns + to);
    });
  }
  if (run !== bobbins.runs.length) return undefined;
  return { chart: { ...chart, colours, colourCount: strands }, colourOf: bobbins.colourOf };
}
