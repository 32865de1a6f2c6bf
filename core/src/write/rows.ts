import { beginsSmall, chainsFor, type Foundation } from '../fit/foundation.ts';
import { type Fabric, isRoundMaking } from '../lay/fabric.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import type { Making } from '../patterns/model.ts';
import { codeOf, type StitchKey, stitchKind } from '../stitches/kinds.ts';
import { type WorkedCourse, type WorkedRun, workCourse } from './course.ts';
import { compress, printCompressed } from './repeats.ts';
import type { StrandBook, StrandOrder } from './strandOrders.ts';
import { chartDirection, countedStitch, type Hand, oneStitch, type Style, stitchWord, type Terms } from './terms.ts';

export interface WriteRequest {
  readonly fabric: Fabric;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  readonly strands: StrandBook;
  readonly terms: Terms;
  /** Abbreviations unless whole words are asked for. */
  readonly style?: Style | undefined;
  readonly hand: Hand;
}

/** One row in words. */
export interface WrittenRow {
  readonly number: number;
  readonly side: 'RS' | 'WS';
  /** How it lies on the chart of the right side. */
  readonly direction: ReturnType<typeof chartDirection>;
  /** How the row begins: `ch 1, turn`. */
  readonly start: string;
  /** The runs, repeats gathered. */
  readonly work: string;
  /** Where the last pull-through is in another colour, and which. */
  readonly change: string;
  /** What the idle colours do, a sentence each. */
  readonly strands: readonly string[];
  /** What there should be at the row's end. */
  readonly end: string;
}

type Wording = Pick<WriteRequest, 'terms'> & { readonly style?: Style | undefined };

/** The stitches of a run without its colour: `4 sc`, or `(1 sc, 1 dc) × 18`. */
function stitchesOfRun({ kinds, count }: WorkedRun, { terms, style }: Wording): string {
  const [first, second] = kinds as [StitchKey, StitchKey | undefined];
  if (second === undefined) {
    return stitchKind(codeOf(first)).opens
      ? stitchWord(first, terms, style)
      : countedStitch(count, first, terms, style);
  }
  const pair = [first, second].map((kind) => countedStitch(1, kind, terms, style)).join(', ');
  return `(${pair}) × ${Math.floor(count / 2)}${count % 2 ? `, ${countedStitch(1, first, terms, style)}` : ''}`;
}

/** One run in words: `4 sc B`, or `(1 sc, 1 dc) × 18 A`. */
export function runWords(run: WorkedRun, terms: Terms, style: Style = 'short'): string {
  return `${stitchesOfRun(run, { terms, style })} ${run.colour}`;
}

/** The runs of a row, repeats gathered; a row of several runs in one colour names the colour once. */
export function workWords(course: WorkedCourse, terms: Terms, style: Style = 'short'): string {
  const { runs } = course;
  const single = runs.length > 1 && runs.every((run) => run.colour === runs[0]?.colour);
  const words = runs.map((run) => (single ? stitchesOfRun(run, { terms, style }) : runWords(run, terms, style)));
  return `${single ? `in ${runs[0]?.colour}: ` : ''}${printCompressed(compress(words))}`;
}

/** Where the first stitch goes, and what of the chain counts. */
function intoWords(course: WorkedCourse, foundation: Foundation, { terms, style }: Wording): string {
  const first = course.runs[0]?.kinds[0] as StitchKey;
  const { firstInto } = foundation;
  const into = `the ${ordinal(firstInto)} chain from the hook`;
  if (foundation.key === 'corner-6') return `the first block is made on these`;
  if (beginsSmall(foundation)) return 'the first round goes into it';
  if (firstInto === 0) return 'foundation stitches: the chain is made with them';
  if (firstInto === 1) return `first ${stitchWord(foundation.stitch, terms, style)} in the first chain`;
  if (!stitchKind(codeOf(first)).opens) {
    const word = stitchWord(stitchKind(codeOf(first)).standsFor, terms, style);
    return `first ${word} in ${into}${foundation.sides === 2 ? ', then along the other side of the chain' : ''}`;
  }
  const word = stitchWord(foundation.stitch, terms, style);
  if (first === 'linen-edge') return `the first 3 chains are the edge; first ${word} in ${into}`;
  if (first.startsWith('cluster'))
    return `the first ${firstInto - 1} chains open the first cluster, whose 2 ${word} go into ${into}`;
  return `the first ${firstInto - 1} chains count as the first ${word}, the next goes into ${into}`;
}

/** How a row begins, before its first run; row 1 with its foundation. @param count what the pattern's widths count */
export function startWords(
  course: WorkedCourse,
  foundation: Foundation,
  making: Making,
  count: number,
  wording: Wording,
): string {
  const { terms, style } = wording;
  const colour = course.runs[0]?.colour;
  const first = course.runs[0]?.kinds[0] as StitchKey;
  if (course.number === 1) {
    const chains = chainsFor(foundation, count);
    const ring = foundation.key === 'magic-ring' ? `magic ring in ${colour}` : '';
    const joined = foundation.firstInto === 1 || foundation.key === 'chain-ring' ? ', join to a ring' : '';
    const chain =
      ring ||
      (foundation.firstInto === 0 && foundation.each ? `begin in ${colour}` : `chain ${chains} in ${colour}${joined}`);
    return `${chain}; ${intoWords(course, foundation, wording)}`;
  }
  if (making === 'right-side') return `join ${colour} at the first stitch, ch 1`;
  if (making === 'diagonals') {
    return first === 'block-grow'
      ? `turn; ch 6 in ${colour}`
      : `turn; 4 ${terms === 'US' ? 'sl st' : 'ss'}, ch 3 in ${colour}`;
  }
  if (isBridge(course, making)) return `turn, bridge the group in ${colour}`;
  const turns = making === 'rounds' ? '' : making === 'paired' && course.number % 2 === 0 ? ', do not turn' : ', turn';
  const main = stitchWord(stitchKind(codeOf(first)).standsFor, terms, style);
  const counts = course.turnCounts
    ? ` (counts as the first ${first === 'linen-edge' ? 'stitch and space' : first === 'inc-ch3' ? stitchWord('dc', terms, style) : main})`
    : '';
  return course.turn ? `ch ${course.turn} in ${colour}${counts}${turns}` : `in ${colour}${turns}`;
}

/** Whether a row begins on a group that it bridges with chains; it then ends with a slip stitch into the edge stitch. */
function isBridge(course: WorkedCourse, making: Making): boolean {
  return (
    course.number > 1 && making === 'flat' && course.runs[0]?.kinds[0] === 'ch' && course.runs[0].kinds.length === 1
  );
}

function ordinal(n: number): string {
  return n === 2 ? '2nd' : n === 3 ? '3rd' : `${n}th`;
}

function changeWords(course: WorkedCourse, { terms, style }: Wording, making: Making): string {
  const changes = course.runs.filter((run) => run.changeTo);
  const last = course.runs.at(-1);
  const inside = changes.length - (last?.changeTo ? 1 : 0);
  const words: string[] = [];
  if (inside) {
    words.push(
      making === 'diagonals'
        ? 'change at the ch 3 that opens a block'
        : 'change in the last pull-through of the stitch before each new colour',
    );
  }
  if (last?.changeTo && making !== 'diagonals') {
    const where = isRoundMaking(making)
      ? 'join the round'
      : `finish the last ${stitchWord(course.last.kind, terms, style)}`;
    words.push(`${where} in ${last.changeTo}`);
  }
  return words.join('; ');
}

/** What there should be at the end of a row: its total, its kinds and colours, and its last stitch. */
export function totalWords(course: WorkedCourse, { terms, style }: Wording): string {
  const colours = course.byColour.map(({ colour, count }) => `${count} ${colour}`).join(', ');
  const kinds = course.byKind.map(({ kind, count }) => countedStitch(count, kind, terms, style)).join(', ');
  const last = `last one ${oneStitch(course.last.kind, terms, style)} in ${course.last.colour}`;
  const plain = course.byKind.length === 1 && course.byKind[0]?.count === course.stitches;
  return `${plain ? kinds : `${course.stitches} stitches: ${kinds}`} (${colours}); ${last}`;
}

/** An order as one sentence. */
export function orderWords(order: StrandOrder): string {
  return [order.carry, ...order.other].filter(Boolean).join('; ');
}

function slipWords(course: WorkedCourse, { fabric, terms }: WriteRequest): string {
  return isBridge(course, fabric.making) ? `; ${terms === 'US' ? 'sl st' : 'ss'} into the edge stitch` : '';
}

/** One row in words. @param number from 1 */
export function writeRow(request: WriteRequest, number: number): WrittenRow {
  const { fabric, bound, foundation, terms, style } = request;
  const course = workCourse(fabric, bound, foundation, number - 1);
  const hanging = request.strands.hangingWords(number - 1);
  return {
    number,
    side: course.side,
    direction: chartDirection(course.side, request.hand),
    start: startWords(course, foundation, fabric.making, fabric.count, request),
    work: workWords(course, terms, style),
    change: changeWords(course, request, fabric.making),
    strands: request.strands.orders(number - 1).map(orderWords),
    end: `${totalWords(course, request)}${slipWords(course, request)}${hanging.length ? `; ${hanging.join(', ')}` : ''}`,
  };
}

/** What a course is called in a making. */
export function courseWord(making: Making): 'Row' | 'Round' | 'Diagonal' {
  if (isRoundMaking(making)) return 'Round';
  return making === 'diagonals' ? 'Diagonal' : 'Row';
}

/** The row as one line of text. */
export function rowLine(row: WrittenRow, word = 'Row'): string {
  return `${word} ${row.number} (${row.side}): ${row.start}; ${row.work}. ${row.end}.`;
}
