import type { Foundation } from '../fit/foundation.ts';
import type { Fabric } from '../lay/fabric.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import { type WorkedCourse, type WorkedRun, workCourse } from './course.ts';
import { compress, printCompressed } from './repeats.ts';
import type { StrandBook, StrandOrder } from './strandOrders.ts';
import { chartDirection, type Hand, oneStitch, stitchWord, type Terms } from './terms.ts';

export interface WriteRequest {
  readonly fabric: Fabric;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  readonly strands: StrandBook;
  readonly terms: Terms;
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

/** One run in words: `4 sc B`, or `(1 sc, 1 dc) × 18 A`. */
export function runWords(run: WorkedRun, terms: Terms): string {
  const words = run.kinds.map((kind) => stitchWord(kind, terms));
  if (words.length === 1) {
    return run.kinds[0] === 'hdc-ch2' ? `${words[0]} ${run.colour}` : `${run.count} ${words[0]} ${run.colour}`;
  }
  const turns = `(${words.map((word) => `1 ${word}`).join(', ')}) × ${Math.floor(run.count / 2)}`;
  return `${turns}${run.count % 2 ? `, 1 ${words[0]}` : ''} ${run.colour}`;
}

/** How a row begins, before its first run; row 1 with its foundation chain. */
export function startWords(course: WorkedCourse, foundation: Foundation, terms: Terms): string {
  const stitch = stitchWord(foundation.stitch, terms);
  const colour = course.runs[0]?.colour;
  if (course.number === 1) {
    const chain = `chain ${course.stitches + foundation.beyond} in ${colour}`;
    const into = `the ${ordinal(foundation.firstInto)} chain from the hook`;
    return foundation.counted
      ? `${chain}; the first 2 chains count as the first ${stitch}, the next goes into ${into}`
      : `${chain}; first ${stitch} in ${into}`;
  }
  const counts = course.turnCounts ? ` (counts as the first ${stitch})` : '';
  return `ch ${course.turn} in ${colour}${counts}, turn`;
}

function ordinal(n: number): string {
  return n === 2 ? '2nd' : n === 3 ? '3rd' : `${n}th`;
}

function changeWords(course: WorkedCourse, terms: Terms): string {
  const changes = course.runs.filter((run) => run.changeTo);
  const last = course.runs.at(-1);
  const inside = changes.length - (last?.changeTo ? 1 : 0);
  const words: string[] = [];
  if (inside) words.push('change in the last pull-through of the stitch before each new colour');
  if (last?.changeTo) {
    words.push(`finish the last ${stitchWord(course.last.kind, terms)} in ${last.changeTo}`);
  }
  return words.join('; ');
}

function endWords(course: WorkedCourse, request: WriteRequest): string {
  const { terms, strands } = request;
  const colours = course.byColour.map(({ colour, count }) => `${count} ${colour}`).join(', ');
  const kinds = course.byKind.map(({ kind, count }) => `${count} ${stitchWord(kind, terms)}`).join(', ');
  const last = `last one ${oneStitch(course.last.kind, terms)} in ${course.last.colour}`;
  const hanging = strands.hangingWords(course.number - 1);
  const head = course.byKind.length > 1 ? `${course.stitches} stitches: ${kinds}` : kinds;
  return `${head} (${colours}); ${last}${hanging.length ? `; ${hanging.join(', ')}` : ''}`;
}

/** An order as one sentence. */
export function orderWords(order: StrandOrder): string {
  return [order.carry, ...order.other].filter(Boolean).join('; ');
}

/** One row in words. @param number from 1 */
export function writeRow(request: WriteRequest, number: number): WrittenRow {
  const { fabric, bound, foundation, terms } = request;
  const course = workCourse(fabric, bound, foundation, number - 1);
  return {
    number,
    side: course.side,
    direction: chartDirection(course.side, request.hand),
    start: startWords(course, foundation, terms),
    work: printCompressed(compress(course.runs.map((run) => runWords(run, terms)))),
    change: changeWords(course, terms),
    strands: request.strands.orders(number - 1).map(orderWords),
    end: endWords(course, request),
  };
}

/** The row as one line of text. */
export function rowLine(row: WrittenRow): string {
  return `Row ${row.number} (${row.side}): ${row.start}; ${row.work}. ${row.end}.`;
}
