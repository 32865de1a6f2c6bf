import {
  cellsIn,
  cellWorked,
  colourLetter,
  type Fabric,
  facesRight,
  isRoundMaking,
} from '../../craft/fabric/fabric.ts';
import { ground, onHook } from '../../craft/fabric/onHook.ts';
import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { codeOf, type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import { turningChains } from '../measure/parts.ts';

/** One run of a row, in working order: so many stitches of one colour, and of one kind or of a few by turns. */
export interface WorkedRun {
  readonly count: number;
  /** One kind, or the kinds that take turns through the run (sc, dc). */
  readonly kinds: readonly StitchKey[];
  readonly colour: string;
  /** The stitch of the row at which it begins, from 1. */
  readonly from: number;
  /** The colour that comes in at its end, where it changes, and where it is brought in. */
  readonly changeTo?: string;
  readonly changeAt?: ChangePlace;
  /** The first cell of a row that begins with a counted chain: how it is to be told. */
  readonly opening?: { readonly inChain: boolean; readonly edgePost: boolean };
  /** What its chains pass over. */
  readonly skips?: 'chain' | 'stitch';
}

/**
 * Where a colour comes in: in the last pull-through of a stitch, in the slip stitch that joins a round, in the chain that
 * opens a block, or in the slip stitch into the edge stitch. docs/craft.md, “The techniques”.
 */
export type ChangePlace = 'stitch' | 'join' | 'opening' | 'slip';

/** What is done at the end of a row, before it is counted. */
export type RowClose =
  | { readonly kind: 'join'; readonly into: StitchKey; readonly drawnIn?: string }
  | { readonly kind: 'slip'; readonly drawnIn?: string }
  | { readonly kind: 'fasten-off'; readonly colour: string }
  | { readonly kind: 'marker'; readonly colour: string };

/** One row as it is worked. */
export interface WorkedCourse {
  /** From 1. */
  readonly number: number;
  readonly side: 'RS' | 'WS';
  readonly runs: readonly WorkedRun[];
  /** Chains made to turn before this row; none before row 1, which begins in the foundation chain. */
  readonly turn: number;
  readonly turnCounts: boolean;
  readonly stitches: number;
  /** Stitches of each colour, or blocks where those are counted. */
  readonly byColour: readonly { readonly colour: string; readonly count: number }[];
  readonly byKind: readonly { readonly kind: StitchKey; readonly count: number }[];
  readonly last: { readonly kind: StitchKey; readonly colour: string };
  /** The colour that is on the hook when it begins: of its chain, and of the foundation below row 1. */
  readonly beginsIn: string;
  /** The colour that turns: that of the next row, or this row's last. */
  readonly inHand: string;
  /** What ends it, where something does. */
  readonly close?: RowClose;
  /** A row of wide hdc: its first cell is the post at the edge and no stitch. */
  readonly edgePost: boolean;
}

/** What is counted along a course, in the plural. */
export type Counted = 'stitches' | 'clusters' | 'blocks';

/** What the runs of a course count. */
export function countedIn({ byKind }: Pick<WorkedCourse, 'byKind'>): Counted {
  if (byKind.some(({ kind }) => kind === 'block')) return 'blocks';
  return byKind.some(({ kind }) => kind === 'cluster') ? 'clusters' : 'stitches';
}

/** How many of what is counted there are in a run: an increase is two stitches, an edge stitch is no cluster. */
function countedInRun({ kinds, count }: WorkedRun, counted: Counted): number {
  let sum = 0;
  for (let n = 0; n < count; n++) {
    const kind = stitchKind(codeOf(kinds[n % kinds.length] as StitchKey));
    if (counted === 'stitches') sum += kind.stitches;
    else if (counted === 'blocks' || kind.standsFor === 'cluster') sum++;
  }
  return sum;
}

/** How many of what is counted there are when the course is done. The post at the edge of wide hdc is no stitch. */
export function countOf(course: WorkedCourse): number {
  return leftIn(course, 0);
}

/** How many of what is counted are still to be worked. @param run the run in hand, from 0 */
export function leftIn(course: WorkedCourse, run: number): number {
  const counted = countedIn(course);
  const left = course.runs.slice(run).reduce((sum, each) => sum + countedInRun(each, counted), 0);
  return left - (run === 0 && course.edgePost ? 1 : 0);
}

interface Stretch {
  readonly kinds: StitchKey[];
  readonly colour: number;
  readonly from: number;
  count: number;
}

/** How many cells from here are two kinds by turns, in one colour. */
function byTurns(kinds: readonly StitchKey[], colours: readonly number[], from: number): number {
  let n = from;
  while (n < kinds.length && colours[n] === colours[from] && kinds[n] === kinds[from + ((n - from) % 2)]) n++;
  return n - from;
}

/** Cuts a row into runs of one colour, and of one kind or of two kinds by turns. */
function stretches(kinds: readonly StitchKey[], colours: readonly number[]): Stretch[] {
  const found: Stretch[] = [];
  for (let n = 0; n < kinds.length; ) {
    const kind = kinds[n] as StitchKey;
    const colour = colours[n] as number;
    let alike = 1;
    while (kinds[n + alike] === kind && colours[n + alike] === colour) alike++;
    const turns = alike === 1 ? byTurns(kinds, colours, n) : 0;
    const paired = turns >= 4;
    const count = paired ? turns : alike;
    found.push({ kinds: paired ? [kind, kinds[n + 1] as StitchKey] : [kind], colour, from: n + 1, count });
    n += count;
  }
  return found;
}

function tally<T>(items: Iterable<T>): Map<T, number> {
  const counts = new Map<T, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts;
}

/** The cells of a course in the order of working. */
function workedCells(fabric: Fabric, course: number): { kinds: StitchKey[]; colours: number[] } {
  const kinds: StitchKey[] = [];
  const colours: number[] = [];
  for (let n = 0; n < cellsIn(fabric, course); n++) {
    const at = cellWorked(fabric, course, n);
    kinds.push(stitchKind(fabric.kinds[at] as number).key);
    colours.push(fabric.colours[at] as number);
  }
  return { kinds, colours };
}

function stitchesOf(key: StitchKey): number {
  return stitchKind(codeOf(key)).stitches;
}

/** Whether a row begins on a group that it bridges with chains; it then ends with a slip stitch into the edge stitch. */
function bridges(fabric: Fabric, course: number, first: StitchKey): boolean {
  return course > 0 && fabric.making === 'flat' && first === 'ch';
}

/** Where the colour comes in that follows a run. @param last whether it is the last run of its row */
function changePlace(fabric: Fabric, course: number, first: StitchKey, last: boolean): ChangePlace {
  if (fabric.making === 'diagonals') return 'opening';
  if (!last) return 'stitch';
  if (isRoundMaking(fabric.making)) return 'join';
  return bridges(fabric, course, first) ? 'slip' : 'stitch';
}

function closeOf(
  fabric: Fabric,
  course: number,
  first: StitchKey,
  own: string,
  next: string | undefined,
): RowClose | undefined {
  const drawn = next !== undefined && next !== own ? { drawnIn: next } : {};
  const { making, courses } = fabric;
  if (isRoundMaking(making)) return { kind: 'join', into: first, ...drawn };
  if (bridges(fabric, course, first)) return { kind: 'slip', ...drawn };
  if (making === 'right-side') return { kind: 'fasten-off', colour: own };
  if (making !== 'netted' || course === 0 || course === courses - 1) return undefined;
  // The closing row in B follows the last row of A.
  return course === courses - 2 ? { kind: 'fasten-off', colour: own } : { kind: 'marker', colour: own };
}

/** The row as it is worked. @param course from 0 */
export function workCourse(fabric: Fabric, bound: BoundPattern, foundation: Foundation, course: number): WorkedCourse {
  const letter = (colour: number) => colourLetter(bound, colour);
  const { kinds, colours } = workedCells(fabric, course);
  const cells = stretches(kinds, colours);
  const next = course + 1 < fabric.courses ? onHook(fabric, cellWorked(fabric, course + 1, 0)) : undefined;
  const joinsAnew = fabric.making === 'right-side' || fabric.making === 'paired' || fabric.making === 'netted';
  const nextColour = joinsAnew ? undefined : next;
  const firstKey = kinds[0] as StitchKey;
  const edgePost = bound.cell === 'hdc@between';
  const held = (cell: Stretch | undefined) => cell && (cell.kinds.includes('fleck') ? ground : cell.colour);
  const runs = cells.map((cell, i): WorkedRun => {
    const after = held(cells[i + 1]) ?? nextColour;
    const changes = after !== undefined && after !== held(cell);
    const opens = i === 0 && stitchKind(codeOf(firstKey)).opens;
    return {
      count: cell.count,
      kinds: cell.kinds,
      colour: letter(cell.colour),
      from: cell.from,
      ...(changes
        ? { changeTo: letter(after), changeAt: changePlace(fabric, course, firstKey, i === cells.length - 1) }
        : {}),
      ...(opens ? { opening: { inChain: course === 0 && foundation.firstInto > 1, edgePost } } : {}),
      ...(cell.kinds.includes('ch')
        ? { skips: course === 0 && foundation.firstInto > 0 ? ('chain' as const) : ('stitch' as const) }
        : {}),
    };
  });
  const byKind = tally(kinds.map((key) => stitchKind(codeOf(key)).standsFor));
  const byColour = new Map<number, number>();
  kinds.forEach((key, n) => {
    const colour = colours[n] as number;
    byColour.set(colour, (byColour.get(colour) ?? 0) + (byKind.has('block') ? 1 : stitchesOf(key)));
  });
  const lastColour = colours.at(-1) as number;
  const lastHeld = held(cells.at(-1)) as number;
  const first = stitchKind(codeOf(kinds[0] as StitchKey));
  const turn = course === 0 ? 0 : turnOf(first.key, foundation);
  const own = letter(lastHeld);
  const close = closeOf(fabric, course, firstKey, own, nextColour === undefined ? undefined : letter(nextColour));
  return {
    number: course + 1,
    side: facesRight(course, fabric.making) ? 'RS' : 'WS',
    runs,
    turn,
    turnCounts: first.opens,
    stitches: kinds.reduce((sum, key) => sum + stitchesOf(key), 0) - (edgePost ? 1 : 0),
    byColour: [...byColour].sort(([a], [b]) => a - b).map(([colour, count]) => ({ colour: letter(colour), count })),
    byKind: [...byKind].sort(([a], [b]) => codeOf(a) - codeOf(b)).map(([kind, count]) => ({ kind, count })),
    last: { kind: stitchKind(codeOf(kinds.at(-1) as StitchKey)).standsFor, colour: letter(lastColour) },
    inHand: letter(nextColour ?? lastHeld),
    beginsIn: letter(onHook(fabric, cellWorked(fabric, course, 0))),
    ...(close ? { close } : {}),
    edgePost,
  };
}

/** Chains before the first run: those that count are a run themselves, but are told at the start as well. */
function turnOf(first: StitchKey, foundation: Foundation): number {
  if (first === 'dc-ch3' || first === 'cluster-ch3' || first === 'edge-ch3' || first === 'inc-ch3') return 3;
  if (stitchKind(codeOf(first)).opens) return 2;
  return turningChains(first, foundation);
}
