import { runsForward } from '../fabric/fabric.ts';
import { printPattern, printRuns } from '../notation/print.ts';
import { readPattern } from '../notation/read.ts';
import { evaluate } from '../patterns/count.ts';
import type { PatternRow } from '../patterns/model.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';
import { type Drawing, drawingOf, lettersUsed, patternOf, runsOf } from './drawing.ts';

/** Lines of a text are no more than a drawing has rows, and some empty ones. */
const mostLines = 3000;

/** The heads of lines: rows that repeat by their number, the others by when they are worked. */
const roles = { row: 'row', setup: 'first', close: 'last' } as const;

/**
 * The rows of a drawing as runs, one line a row, row 1 first, each with the way it runs: `row 1 ←: 3A | 2B 1A | 2A`.
 * `readRowsText(d, rowsText(d))` is `d` again.
 */
export function rowsText(drawing: Drawing): string {
  const { before, unit, rows, made } = drawing;
  return rows
    .map(({ role, colour, marks }, i) => {
      const way = runsForward(i, made) ? '←' : '→';
      const run = (from: number, to?: number) => printRuns(runsOf(marks.slice(from, to), colour));
      const parts = [run(0, before), run(before, before + unit), run(before + unit)];
      const plain = !parts[0] && !parts[2];
      const body = plain ? parts[1] : parts.map((part) => part || '').join(' | ');
      return `${roles[role]} ${i + 1} ${way}${colour ? ` ${colour}` : ''}: ${body}`.replace(/\s+$/, '');
    })
    .join('\n');
}

const head = /^\s*(?:(row|first|last)\b)?\s*(\d+)?\s*[←→]?\s*([A-H*])?\s*:/i;

/** A line as the notation has it. */
function inNotation(line: string): string {
  const found = head.exec(line);
  const body = found ? line.slice(found[0].length) : line;
  const word = found?.[1]?.toLowerCase();
  const role = word === 'first' ? 'setup' : word === 'last' ? 'close' : 'row';
  const colour = found?.[3] ? ` ${found[3].toUpperCase()}` : '';
  return `${role}${colour}: ${body.trim()}`;
}

/**
 * Reads rows that were typed as runs, in the technique of a drawing; with its repeat between bars, or all of it the repeat.
 * @returns the drawing with these rows, or what is wrong in which line
 */
export function readRowsText(drawing: Drawing, text: string): Result<Drawing> {
  const lines = text.split(/\r?\n/);
  if (lines.length > mostLines) {
    return refused({ code: 'lines-too-many', path: 'text', facts: { count: lines.length, most: mostLines } });
  }
  const pattern = patternOf(drawing);
  const written = lines.filter((line) => line.trim());
  if (!written.length) return refused({ code: 'lines-none', path: 'text' });
  const letters = new Set([...drawing.colours, ...lettersUsed(drawing), ...(text.match(/[A-H](?![a-z])/g) ?? [])]);
  const colours = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'].filter((letter) => letters.has(letter));
  const frame = printPattern({
    ...pattern,
    colours,
    fewestColours: Math.min(pattern.fewestColours, colours.length),
    mostColours: Math.max(pattern.mostColours, colours.length),
    rows: [],
    chart: [],
  }).trimEnd();
  const above = frame.split('\n').length;
  // Empty lines keep their places, so that a problem names the line that was typed.
  const read = readPattern(`${frame}\n${lines.map((line) => (line.trim() ? inNotation(line) : '')).join('\n')}`);
  if (!read.ok) return refused(...read.problems.map((problem) => inTypedLine(problem, above)));
  const slip = unlikeRow(read.value.rows);
  if (slip) return refused(slip);
  const drawn = drawingOf(read.value);
  if (!drawn.ok) return refused({ code: 'rows-not-level', path: 'text' });
  return good({ ...drawn.value, colours, fewestColours: drawing.fewestColours, mostColours: drawing.mostColours });
}

/**
 * A row whose repeat neither goes into that of the others nor holds it whole: one of its runs is too short or too long. It
 * could be drawn on the width that both go into, which nobody means.
 */
function unlikeRow(rows: readonly PatternRow[]): Problem | undefined {
  const sums = rows.map(({ unit }) => unit.reduce((sum, { count }) => sum + evaluate(count, {}), 0));
  const counts = new Map<number, number>();
  for (const sum of sums) counts.set(sum, (counts.get(sum) ?? 0) + 1);
  const [usual = 0] = [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0] ?? [];
  const at = sums.findIndex((sum) => sum > 0 && sum % usual !== 0 && usual % sum !== 0);
  if (at < 0) return undefined;
  return { code: 'typed-row-unlike', path: 'text', facts: { row: at + 1, sum: sums[at], others: usual } };
}

/** The line of a problem counted as it was typed. */
function inTypedLine(problem: Problem, above: number): Problem {
  const line = Number(problem.facts?.line);
  if (!Number.isFinite(line)) return problem;
  return { ...problem, facts: { ...problem.facts, line: Math.max(1, line - above) } };
}
