import { type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import { beginsSmall, chainsFor, type Foundation, tubeBegins } from '../../craft/foundation/foundation.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { Making } from '../../craft/patterns/model.ts';
import { codeOf, type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import type { ToldUnit } from '../../craft/units/length.ts';
import { countedIn, type RowClose, type WorkedCourse, type WorkedRun, workCourse } from '../../plan/steps/course.ts';
import type { StrandBook } from '../../plan/steps/strandBook.ts';
import { ordinal } from '../en/lists.ts';
import { bracketed, compress, printCompressed, printStarred } from '../terms/repeats.ts';
import type { Terms } from '../terms/termed.ts';
import {
  chartDirection,
  countedStitch,
  type Hand,
  type Manner,
  oneStitch,
  openingWords,
  type Style,
  slipStitch,
  stitchWord,
  summedStitch,
  type Wording,
} from '../terms/terms.ts';
import { hangingWords, orderWords } from './strandWords.ts';

export interface WriteRequest {
  readonly fabric: Fabric;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  readonly strands: StrandBook;
  readonly terms: Terms;
  /** Abbreviations unless whole words are asked for. */
  readonly style?: Style | undefined;
  /** Compact unless it is to be written as printed patterns are. */
  readonly manner?: Manner | undefined;
  readonly hand: Hand;
  /** In which tails are measured; centimetres unless said. */
  readonly units?: ToldUnit | undefined;
}

/** One row in words. */
export interface WrittenRow {
  readonly number: number;
  readonly side: 'RS' | 'WS';
  /** How it lies on the chart of the right side. */
  readonly direction: ReturnType<typeof chartDirection>;
  /** How the row begins: `turn; ch 1 in A`. */
  readonly start: string;
  /** The runs, repeats gathered. */
  readonly work: string;
  /** How it ends before it is counted: the joining of a round; empty where it just ends. */
  readonly close: string;
  /** Where colours come in, and which. */
  readonly change: string;
  /** The same without what is told with the close of the row already. */
  readonly changeInside: string;
  /** What the idle colours do, a sentence each. */
  readonly strands: readonly string[];
  /** What there should be at the row's end. */
  readonly end: string;
  /** Its stitches alone, as they stand in brackets behind a printed row: `36 sc: 16 A, 20 B`. */
  readonly total: string;
}

/** Chains that pass over what lies below: `ch 4 (skip 4 stitches)`. */
function chainWords(count: number, skips: WorkedRun['skips'], { terms, style }: Wording): string {
  const word = countedStitch(count, 'ch', terms, style);
  const what = skips === 'chain' ? 'chain' : 'stitch';
  const many = what === 'chain' ? 'chains' : 'stitches';
  return `${word} (skip ${count} ${count === 1 ? what : many})`;
}

function stitchesOf(key: StitchKey, count: number, run: WorkedRun, wording: Wording): string {
  if (key === 'ch') return chainWords(count, run.skips, wording);
  return countedStitch(count, key, wording.terms, wording.style);
}

/** The stitches of a run without its colour: `4 sc`, or `(1 sc, 1 dc) × 18`. */
function stitchesOfRun(run: WorkedRun, wording: Wording): string {
  const { kinds, count, opening } = run;
  const [first, second] = kinds as [StitchKey, StitchKey | undefined];
  if (opening) return openingWords(first, wording, opening);
  if (second === undefined) return stitchesOf(first, count, run, wording);
  const pair = [first, second].map((kind) => stitchesOf(kind, 1, run, wording));
  const times = Math.floor(count / 2);
  const pairs = wording.manner === 'printed' ? bracketed(pair, times) : `(${pair.join(', ')}) × ${times}`;
  return `${pairs}${count % 2 ? `, ${stitchesOf(first, 1, run, wording)}` : ''}`;
}

/** One run in words: `4 sc B`, or `(1 sc, 1 dc) × 18 A`. */
export function runWords(run: WorkedRun, wording: Wording): string {
  return `${stitchesOfRun(run, wording)} ${wording.manner === 'printed' ? 'in ' : ''}${run.colour}`;
}

/** The runs of a row, repeats gathered; a row of several runs in one colour names the colour once. */
export function workWords(course: WorkedCourse, wording: Wording): string {
  const { runs } = course;
  const printed = wording.manner === 'printed';
  const single = runs.length > 1 && runs.every((run) => run.colour === runs[0]?.colour);
  const words = runs.map((run) => (single ? stitchesOfRun(run, wording) : runWords(run, wording)));
  const groups = compress(words);
  const head = single ? `${printed ? 'with' : 'in'} ${runs[0]?.colour}: ` : '';
  return `${head}${printed ? printStarred(groups) : printCompressed(groups)}`;
}

/** Chains at a row's start that are no stitch: `ch 1`. */
function chains(count: number, { style }: Wording): string {
  return `${style === 'whole' ? 'chain' : 'ch'} ${count}`;
}

/** Which chains the first row passes over, and into which its first stitch goes. */
function intoChainWords(course: WorkedCourse, foundation: Foundation, count: number, wording: Wording): string {
  const { terms, style } = wording;
  const { firstInto, sides } = foundation;
  const [opening, next] = course.runs;
  const first = opening?.kinds[0] as StitchKey;
  const into = `the ${ordinal(firstInto)} chain from the hook`;
  if (first.startsWith('cluster')) {
    const dc = stitchWord('dc', terms, style);
    const edge = course.last.kind === 'edge-dc' ? `, and before the last ${dc}` : '';
    return `the first 2 ${dc} go into ${into}; skip 2 chains before every other cluster${edge}`;
  }
  if (opening?.opening) {
    const main = next?.kinds[0] ?? first;
    return `first ${stitchWord(stitchKind(codeOf(main)).standsFor, terms, style)} in ${into}`;
  }
  const skip = firstInto - 1;
  const begin = `skip ${skip} ${skip === 1 ? 'chain' : 'chains'}, first ${stitchWord(stitchKind(codeOf(first)).standsFor, terms, style)} in ${into}`;
  if (sides === 1) return begin;
  const half = count / 2;
  return `${begin}; ${half} ${half === 1 ? 'stitch' : 'stitches'} along the chain, then ${half} along its other side, the first of them in the last chain again`;
}

/** How the first row begins: its foundation, and where in it the first stitch goes. */
function foundationWords(course: WorkedCourse, foundation: Foundation, count: number, wording: Wording): string {
  const colour = course.beginsIn;
  const made = chainsFor(foundation, count);
  const { chained = false } = wording;
  const chain = `chain ${made} in ${colour}`;
  const ring = chained ? 'join the chain to a ring' : `${chain}, join to a ring`;
  const slip = slipStitch(wording);
  if (foundation.circle) return `magic ring in ${colour}; ${chains(foundation.turn, wording)}`;
  if (foundation.key === 'magic-ring') return `magic ring in ${colour}`;
  if (foundation.key === 'chain-ring') return `${ring} with a ${slip}`;
  if (foundation.key === 'corner-6') return `begin in ${colour}`;
  if (beginsSmall(foundation)) return chained ? `begin in ${colour}` : chain;
  if (foundation.firstInto === 0)
    return `begin in ${colour} with foundation stitches, which make their chain with them`;
  if (tubeBegins(foundation) === 'ring') {
    const first = stitchWord(
      stitchKind(codeOf(course.runs[0]?.kinds[0] as StitchKey)).standsFor,
      wording.terms,
      wording.style,
    );
    return `${ring} with a ${slip} without twisting it; ${chains(foundation.turn, wording)}, first ${first} in the first chain`;
  }
  return `${chained ? '' : `${chain}; `}${intoChainWords(course, foundation, count, wording)}`;
}

/** How a row of a net begins: which loop is taken up, and whether the work is turned. */
function netWords(course: WorkedCourse, wording: Wording): string {
  const colour = course.beginsIn;
  const { number } = course;
  const chain = chains(1, wording);
  const slip = slipStitch(wording);
  const own = number % 2 === 0 ? 'turn' : 'do not turn';
  if (number === 2) return `turn; ${chain} in ${colour}`;
  if (number === 3) {
    return `do not turn; join ${colour} with a ${slip} in the first stitch of A; ${chain}, and work the ${stitchWord('sc', wording.terms, wording.style)} at both edges into those of A`;
  }
  return `${own}; take up the loop of ${colour}, ${chain}`;
}

/** How a row begins, before its first run; row 1 with its foundation. @param count what the pattern's widths count */
export function startWords(
  course: WorkedCourse,
  foundation: Foundation,
  making: Making,
  count: number,
  wording: Wording,
): string {
  const colour = course.beginsIn;
  if (course.number === 1) return foundationWords(course, foundation, count, wording);
  if (making === 'right-side') {
    return `join ${colour} with a ${slipStitch(wording)} in the first stitch, ${chains(1, wording)}`;
  }
  if (making === 'netted') return netWords(course, wording);
  const turn = making === 'rounds' || (making === 'paired' && course.number % 2 === 0) ? '' : 'turn';
  if (making === 'diagonals') return turn;
  if (isBridge(course, making)) return 'turn; the first chains bridge the group';
  const chain = course.turn && !course.turnCounts ? `${chains(course.turn, wording)} in ${colour}` : '';
  return [turn, chain].filter(Boolean).join('; ') || `go on in ${colour}`;
}

/** Whether a row begins on a group that it bridges with chains. */
function isBridge(course: WorkedCourse, making: Making): boolean {
  return (
    course.number > 1 && making === 'flat' && course.runs[0]?.kinds[0] === 'ch' && course.runs[0].kinds.length === 1
  );
}

/** What a joining slip stitch goes into. */
function joinPlace(into: StitchKey, wording: Wording): string {
  const kind = stitchKind(codeOf(into));
  if (kind.opens) return `the top of the first ${wording.style === 'whole' ? 'chain' : 'ch'} 3`;
  if (into === 'ch') return 'the first chain';
  const main = into.endsWith('-inc') ? (into.slice(0, -4) as StitchKey) : into === 'inc' ? 'dc' : kind.standsFor;
  return `the first ${stitchWord(main, wording.terms, wording.style)}`;
}

/** How a row ends before it is counted. */
export function closingWords(close: RowClose | undefined, wording: Wording): string {
  if (!close) return '';
  const slip = slipStitch(wording);
  if (close.kind === 'fasten-off') return `fasten off ${close.colour}`;
  if (close.kind === 'marker') return `put the loop of ${close.colour} on a marker`;
  const drawn = close.drawnIn ? `, drawn through in ${close.drawnIn}` : '';
  return close.kind === 'join'
    ? `${slip} in ${joinPlace(close.into, wording)}${drawn}`
    : `${slip} into the edge stitch${drawn}`;
}

/** Clusters worked to the end of a run; the stitches at the edges are none. */
function clustersTo(course: WorkedCourse, run: WorkedRun): number {
  let clusters = 0;
  for (const each of course.runs) {
    if (stitchKind(codeOf(each.kinds[0] as StitchKey)).standsFor === 'cluster') clusters += each.count;
    if (each === run) break;
  }
  return clusters;
}

/** The number of the stitch, cluster or block at which a run ends. */
function lastOfRun(course: WorkedCourse, run: WorkedRun): number {
  const cells = countedIn(course);
  if (cells === 'blocks') return run.from + run.count - 1;
  if (cells === 'clusters') return clustersTo(course, run);
  let stitches = 0;
  for (const each of course.runs) {
    for (let n = 0; n < each.count; n++)
      stitches += stitchKind(codeOf(each.kinds[n % each.kinds.length] as StitchKey)).makes;
    if (each === run) break;
  }
  return stitches - (course.edgePost ? 1 : 0);
}

/** Where the colour comes in that follows a run, told one stitch early: `finish stitch 4 in B`. Nothing where it stays. */
export function changeOfRun(course: WorkedCourse, run: WorkedRun, wording: Wording): string | undefined {
  const { changeTo, changeAt } = run;
  if (!changeTo) return undefined;
  const last = run === course.runs.at(-1);
  const slip = slipStitch(wording);
  if (changeAt === 'join') return `draw the joining ${slip} through in ${changeTo}`;
  if (changeAt === 'slip') return `draw the ${slip} into the edge stitch through in ${changeTo}`;
  if (changeAt === 'opening') {
    return last
      ? `open the next diagonal with its chain in ${changeTo}`
      : `open block ${run.from + run.count} with its chain in ${changeTo}`;
  }
  if (last && course.last.kind === 'edge-dc')
    return `finish the ${stitchWord('edge-dc', wording.terms, wording.style)} in ${changeTo}`;
  if (run.kinds[0] === 'edge-ch3') return `finish the ch 3 of the edge in ${changeTo}`;
  if (last) return `finish the last ${stitchWord(course.last.kind, wording.terms, wording.style)} in ${changeTo}`;
  const cell = countedIn(course) === 'clusters' ? 'cluster' : 'stitch';
  return `finish ${cell} ${lastOfRun(course, run)} in ${changeTo}`;
}

/** Where colours come in within a row and at its end, all of them in one sentence. */
function changeWords(course: WorkedCourse, making: Making, wording: Wording, without?: 'close'): string {
  const changes = course.runs.filter((run) => run.changeTo);
  const last = course.runs.at(-1);
  const inside = changes.length - (last?.changeTo ? 1 : 0);
  const words: string[] = [];
  if (inside) {
    words.push(
      making === 'diagonals'
        ? 'change in the chain that opens a block'
        : `change in the last pull-through of the ${countedIn(course) === 'clusters' ? 'cluster' : 'stitch'} before each new colour`,
    );
  }
  const atClose = last?.changeAt === 'join' || last?.changeAt === 'slip';
  const end = last && !(without === 'close' && atClose) ? changeOfRun(course, last, wording) : undefined;
  if (end) words.push(end);
  return words.join('; ');
}

/** What there should be at the end of a row: its total, its kinds and colours, and its last stitch. */
export function totalWords(course: WorkedCourse, { terms, style }: Wording): string {
  const colours = course.byColour.map(({ colour, count }) => `${count} ${colour}`).join(', ');
  const kinds = course.byKind.map(({ kind, count }) => summedStitch(count, kind, terms, style)).join(', ');
  const main = course.byKind.length === 1 && course.byKind[0];
  const last =
    course.close?.kind === 'slip'
      ? ''
      : `; last one ${oneStitch(course.last.kind, terms, style)} in ${course.last.colour}`;
  if (course.edgePost) return `${course.stitches} stitches and the edge post (${colours})${last}`;
  const plain = main && (main.kind === 'block' || main.count === course.stitches);
  return `${plain ? kinds : `${course.stitches} stitches: ${kinds}`} (${colours})${last}`;
}

/** The total of a row as printed patterns have it: `36 sc: 16 A, 20 B`, `18 sc in A`. */
function printedTotal({ byColour, byKind, stitches, edgePost }: WorkedCourse, { terms, style }: Wording): string {
  const [only, ...more] = byColour;
  const kinds = byKind.map(({ kind, count }) => summedStitch(count, kind, terms, style)).join(', ');
  const [main] = byKind;
  const plain = byKind.length === 1 && (main?.kind === 'block' || main?.count === stitches);
  const all = edgePost ? `${stitches} stitches and the edge post` : plain ? kinds : `${stitches} stitches: ${kinds}`;
  if (!more.length) return `${all} in ${only?.colour}`;
  return `${all}${plain || edgePost ? ':' : ';'} ${byColour.map(({ colour, count }) => `${count} ${colour}`).join(', ')}`;
}

/** One row in words. @param number from 1 */
export function writeRow(request: WriteRequest, number: number): WrittenRow {
  const { fabric, bound, foundation } = request;
  const course = workCourse(fabric, bound, foundation, number - 1);
  const hanging = hangingWords(request.strands, number - 1);
  return {
    number,
    side: course.side,
    direction: chartDirection(course.side, request.hand),
    start: startWords(course, foundation, fabric.making, fabric.count, request),
    work: workWords(course, request),
    close: closingWords(course.close, request),
    change: changeWords(course, fabric.making, request),
    changeInside: changeWords(course, fabric.making, request, 'close'),
    strands: request.strands.orders(number - 1).map((order) => orderWords(order, request.units)),
    total: printedTotal(course, request),
    end: `${totalWords(course, request)}${hanging.length ? `; ${hanging.join(', ')}` : ''}`,
  };
}

/** What a course is called in a making. */
export function courseWord(making: Making): 'Row' | 'Round' | 'Diagonal' {
  if (isRoundMaking(making)) return 'Round';
  return making === 'diagonals' ? 'Diagonal' : 'Row';
}

/** The row as one line of text. */
export function rowLine(row: WrittenRow, word = 'Row', manner: Manner = 'compact'): string {
  return `${word} ${row.number} ${rowBody(row, manner)}`;
}

/** The same without its number. */
export function rowBody(row: WrittenRow, manner: Manner = 'compact'): string {
  const close = row.close ? `; then ${row.close}` : '';
  if (manner === 'printed') return `(${row.side}): ${row.start}; ${row.work}${close}. (${row.total})`;
  return `(${row.side}): ${row.start}; ${row.work}${close}. ${row.end}.`;
}
