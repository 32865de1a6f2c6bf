import type { Fabric } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { Told } from '../../craft/values/problem.ts';
import { type CellRun, type CourseReason, reasonOf } from '../../plan/steps/courseReason.ts';
import { upper } from '../en/lists.ts';
import type { Terms } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';
import { courseWord } from './rows.ts';

function runWords(runs: readonly CellRun[], terms: Terms): string {
  return runs.map(({ count, kind, colour }) => `${count} ${stitchWord(kind, terms)} ${colour}`.trim()).join(', ');
}

/** What in it comes again, with the sum of it. */
function repeatWords({ cells, repeats }: CourseReason, terms: Terms): string {
  if (!repeats) return `All its ${cells} stitches are one repeat, so nothing in it comes twice.`;
  const { edges, unit, period, times, over, cellsOver, inner } = repeats;
  const between = edges ? 'Between its two edge stitches ' : '';
  const rest = cellsOver ? `, then ${runWords(over, terms)}` : '';
  const sum = `${period} × ${times}${cellsOver ? ` + ${cellsOver}` : ''} = ${inner}`;
  const asLies = 'read from the edge where row 1 begins';
  return upper(`${between}${runWords(unit, terms)} repeats ${times} times${rest}: ${sum}, ${asLies}.`);
}

/** How it stands to those before it. */
function standWords({ code, facts: f = {} }: Told, word: string): string {
  switch (code) {
    case 'same-as':
      return `It is the same as ${word} ${f.row}.`;
    case 'swapped':
      return `It is ${word} ${f.row} with the colours swapped.`;
    case 'comes-again':
      return `It is the same as ${word} ${f.row}: the pattern repeats every ${f.every} ${word}s.`;
    default:
      return `It is ${word} ${f.row} shifted by ${f.by} ${f.towards ? 'towards' : 'away from'} the edge where row 1 begins.`;
  }
}

/** In which order the hand meets the runs. */
function meetWords({ meets, first }: CourseReason, word: string, terms: Terms): string {
  if (meets === 'always alike') return `Every ${word} runs the same way, so you meet the colours in this order.`;
  if (meets === 'right side')
    return 'You work it from that edge with the right side facing, so you meet the colours in this order.';
  return `You have turned the work, so you meet it from the other end and begin with ${runWords(first, terms)}.`;
}

/** Why a course has just its runs, a sentence each. @param number from 1 */
export function explainCourse(fabric: Fabric, bound: BoundPattern, number: number, terms: Terms): string[] {
  const word = courseWord(fabric.making).toLowerCase();
  const reason = reasonOf(fabric, bound, number - 1);
  return [
    repeatWords(reason, terms),
    ...(reason.stands ? [standWords(reason.stands, word)] : []),
    meetWords(reason, word, terms),
  ];
}
