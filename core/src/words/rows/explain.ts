import { cellsIn, type Fabric, facesRight, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import { upper } from '../en/lists.ts';
import type { Terms } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';
import { courseWord } from './rows.ts';

/** One cell of a course in numbers: kind and colour together. */
function cellAt(fabric: Fabric, course: number, x: number): number {
  const at = (fabric.starts[course] as number) + x;
  return (fabric.kinds[at] as number) * 16 + (fabric.colours[at] as number);
}

function same(fabric: Fabric, a: number, b: number, take: (cell: number) => number = (cell) => cell): boolean {
  const count = cellsIn(fabric, a);
  if (count !== cellsIn(fabric, b)) return false;
  for (let x = 0; x < count; x++) {
    if (take(cellAt(fabric, a, x)) !== cellAt(fabric, b, x)) return false;
  }
  return true;
}

/** The least number of cells after which a course comes again, or all of it. @param edge cells left out at either end */
function periodOf(fabric: Fabric, course: number, edge: number): number {
  const count = cellsIn(fabric, course) - edge;
  for (let period = 1; period < count - edge; period++) {
    let holds = true;
    for (let x = edge; holds && x + period < count; x++) {
      holds = cellAt(fabric, course, x) === cellAt(fabric, course, x + period);
    }
    if (holds) return period;
  }
  return count - edge;
}

function runWords(fabric: Fabric, bound: BoundPattern, course: number, from: number, to: number, terms: Terms): string {
  const words: string[] = [];
  for (let x = from; x < to; ) {
    const cell = cellAt(fabric, course, x);
    const start = x;
    while (x < to && cellAt(fabric, course, x) === cell) x++;
    const { key } = stitchKind(cell >> 4);
    words.push(`${x - start} ${stitchWord(key, terms)} ${bound.colours[cell & 15] ?? ''}`.trim());
  }
  return words.join(', ');
}

/** Cells by which the row above has moved against the one below, none where it has not simply moved. */
function shiftOf(fabric: Fabric, course: number, period: number): number | undefined {
  const count = cellsIn(fabric, course);
  if (count !== cellsIn(fabric, course - 1) || period >= count - 2) return undefined;
  for (let shift = 1; shift < period; shift++) {
    let holds = true;
    for (let x = 1; holds && x + shift < count - 1; x++) {
      holds = cellAt(fabric, course, x) === cellAt(fabric, course - 1, x + shift);
    }
    if (holds) return shift;
  }
  return undefined;
}

/** How a course stands to those before it. */
function standing(fabric: Fabric, course: number, word: string, period: number): string {
  if (course === 0) return '';
  if (same(fabric, course, course - 1)) return `It is the same as ${word} ${course}.`;
  const exchanged = (cell: number) => (fabric.colourCount === 2 ? cell ^ 1 : cell);
  if (fabric.colourCount === 2 && same(fabric, course, course - 1, exchanged)) {
    return `It is ${word} ${course} with the colours swapped.`;
  }
  for (let before = course - 2; before >= Math.max(0, course - farthest); before--) {
    if (same(fabric, course, before)) {
      return `It is the same as ${word} ${before + 1}: the pattern repeats every ${course - before} ${word}s.`;
    }
  }
  const shift = shiftOf(fabric, course, period);
  if (shift === undefined) return '';
  const nearer = Math.min(shift, period - shift);
  const way = shift <= period / 2 ? 'towards the edge where row 1 begins' : 'away from the edge where row 1 begins';
  return `It is ${word} ${course} shifted by ${nearer} ${way}.`;
}

/** So far back a like course is looked for. */
const farthest = 200;

/**
 * Why a course has just these runs: what in it repeats and how often, how it stands to the courses below, and why the
 * hand meets it in this order. Read off the laid fabric, so it holds in every technique. @param number from 1
 */
export function explainCourse(fabric: Fabric, bound: BoundPattern, number: number, terms: Terms): string[] {
  const course = number - 1;
  const word = courseWord(fabric.making).toLowerCase();
  const count = cellsIn(fabric, course);
  const whole = periodOf(fabric, course, 0);
  // The first and the last stitch may be edges of their own.
  const edge = whole < count || count < 4 ? 0 : 1;
  const period = edge ? periodOf(fabric, course, edge) : whole;
  const inner = count - 2 * edge;
  const times = Math.floor(inner / period);
  const over = inner - times * period;
  const lines: string[] = [];
  if (times < 2) lines.push(`All its ${count} stitches are one repeat, so nothing in it comes twice.`);
  else {
    const edges = edge ? 'Between its two edge stitches ' : '';
    const unit = runWords(fabric, bound, course, edge, edge + period, terms);
    const rest = over ? `, then ${runWords(fabric, bound, course, count - edge - over, count - edge, terms)}` : '';
    const asLies = 'read from the edge where row 1 begins';
    lines.push(
      upper(
        `${edges}${unit} repeats ${times} times${rest}: ${period} × ${times}${over ? ` + ${over}` : ''} = ${inner}, ${asLies}.`,
      ),
    );
  }
  const stands = standing(fabric, course, word, period);
  if (stands) lines.push(stands);
  lines.push(meeting(fabric, bound, course, word, terms));
  return lines;
}

/** In which order the hand meets the runs. */
function meeting(fabric: Fabric, bound: BoundPattern, course: number, word: string, terms: Terms): string {
  if (isRoundMaking(fabric.making) || fabric.making === 'right-side') {
    return `Every ${word} runs the same way, so you meet the colours in this order.`;
  }
  if (facesRight(course, fabric.making))
    return `You work it from that edge with the right side facing, so you meet the colours in this order.`;
  const count = cellsIn(fabric, course);
  let from = count - 1;
  while (from > 0 && cellAt(fabric, course, from - 1) === cellAt(fabric, course, count - 1)) from--;
  const first = runWords(fabric, bound, course, from, count, terms);
  return `You have turned the work, so you meet it from the other end and begin with ${first}.`;
}
