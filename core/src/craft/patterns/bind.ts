import { type StitchKey, stitchKinds } from '../stitches/kinds.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';
import { evaluate, type Numbers } from './count.ts';
import type { Extent, Multiple, PatternRow, StitchPattern } from './model.ts';
import { lettersIn, type RowOrder } from './order.ts';
import { repeatedRows } from './rows.ts';

/** The maker's choices within a pattern. */
export interface PatternChoice {
  readonly stitch?: string | undefined;
  readonly numbers?: Numbers | undefined;
  /** How many colours, where the pattern leaves it open. */
  readonly colours?: number | undefined;
  /** Which loops its stitches go into; both unless said. */
  readonly loops?: Loops | undefined;
}

/** Loops of the row below that stitches are worked into. docs/craft.md, “Where the hook goes”. */
export type Loops = 'both' | 'back' | 'front';

export interface BoundMultiple {
  readonly multiple: number;
  readonly extra: number;
}

export interface BoundExtent {
  readonly word: string;
  readonly works: BoundMultiple;
  readonly alike: BoundMultiple;
}

/** A pattern with all its numbers chosen. */
export interface BoundPattern {
  readonly pattern: StitchPattern;
  readonly numbers: Numbers;
  /** The stitch of runs that name none, and of the first stitch of a row. */
  readonly stitch: StitchKey;
  /** What a run that names no stitch is worked as. */
  readonly cell: StitchKey;
  readonly loops: Loops;
  /** Letters of the colours it is worked in. */
  readonly colours: readonly string[];
  readonly across: BoundExtent;
  readonly up: BoundExtent;
  /** Stitches in one whole repeat, all colours of it. */
  readonly repeatStitches: number;
  /** Courses in one whole repeat of stitch and colour. */
  readonly repeatCourses: number;
}

function bindMultiple(multiple: Multiple, numbers: Numbers): BoundMultiple {
  return { multiple: evaluate(multiple.multiple, numbers), extra: evaluate(multiple.extra, numbers) };
}

function bindExtent(extent: Extent, numbers: Numbers): BoundExtent {
  return { word: extent.word, works: bindMultiple(extent.works, numbers), alike: bindMultiple(extent.alike, numbers) };
}

function chooseNumbers(pattern: StitchPattern, chosen: Numbers, problems: Problem[]): Numbers {
  const numbers: Record<string, number> = {};
  for (const number of pattern.numbers) {
    const value = chosen[number.name] ?? number.usual;
    if (!Number.isInteger(value) || value < number.least || value > number.most) {
      problems.push({
        code: 'out-of-range',
        path: `numbers.${number.name}`,
        message: `${value} ${number.meaning} cannot be worked.`,
        hint: `Choose a whole number from ${number.least} to ${number.most}.`,
      });
    }
    numbers[number.name] = value;
  }
  for (const name of Object.keys(chosen)) {
    if (pattern.numbers.some((number) => number.name === name)) continue;
    problems.push({
      code: 'field-unknown',
      path: `numbers.${name}`,
      message: `${pattern.name} has no number “${name}”.`,
      hint: pattern.numbers.length
        ? `It has: ${pattern.numbers.map((n) => `${n.name} (${n.meaning})`).join(', ')}.`
        : 'It has none to choose.',
    });
  }
  return numbers;
}

/** The main stitch of a pattern that names none: that of its first run, or of what that stands for. */
function firstStitch(pattern: StitchPattern): string {
  const row = pattern.rows[0];
  const key = (row?.start[0] ?? row?.unit[0])?.stitch;
  const main = stitchKinds.find((kind) => kind.key === key)?.standsFor;
  return main === 'sc' || main === 'hdc' ? main : main === undefined ? 'sc' : 'dc';
}

const lettersOfColours = 'ABCDEFGH';

function chooseColours(pattern: StitchPattern, chosen: number | undefined, problems: Problem[]): string[] {
  if (pattern.order) return coloursOfOrder(pattern.order, problems);
  const { colours, fewestColours, mostColours } = pattern;
  const count = chosen ?? colours.length;
  if (count < fewestColours || count > mostColours) {
    const open = fewestColours < mostColours;
    problems.push({
      code: 'colours-mismatch',
      path: 'colours',
      message: `${pattern.name} is worked in ${open ? `${fewestColours} to ${mostColours} colours` : colours.join(' and ')}, not in ${count}.`,
      hint: open ? `Choose ${fewestColours} to ${mostColours}.` : `Give one yarn for each of ${colours.join(', ')}.`,
    });
  }
  return count === colours.length ? [...colours] : [...lettersOfColours.slice(0, count)];
}

/** An order brings its own colours, which are A and on without a gap. */
function coloursOfOrder(order: RowOrder, problems: Problem[]): string[] {
  const letters = lettersIn(order);
  const expected = [...lettersOfColours.slice(0, letters.length)];
  const gap = expected.find((letter) => !letters.includes(letter));
  if (gap) {
    problems.push({
      code: 'colours-mismatch',
      path: 'order',
      message: `The order of rows uses ${letters.join(', ')}, and leaves ${gap} out.`,
      hint: `Name its colours ${expected.join(', ')}.`,
    });
  }
  return expected;
}

function chooseStitch(pattern: StitchPattern, chosen: string | undefined, problems: Problem[]): StitchKey {
  const offered = pattern.stitches;
  const stitch = offered.length ? (chosen ?? offered[0] ?? 'sc') : firstStitch(pattern);
  if ((offered.length && !offered.includes(stitch)) || (!offered.length && chosen !== undefined && chosen !== stitch)) {
    problems.push({
      code: 'stitch-not-offered',
      path: 'stitch',
      message: `${pattern.name} is not made in ${chosen}.`,
      hint: offered.length ? `Choose ${offered.join(' or ')}.` : 'Leave the stitch out: the pattern sets its own.',
    });
  }
  return stitch as StitchKey;
}

/** Rows after which stitch and colour both come back: where colours take turns, the least common multiple. */
function repeatOf(rows: readonly PatternRow[], numbers: Numbers, colours: number, order?: RowOrder): number {
  const courses = rows.reduce((sum, row) => sum + evaluate(row.courses, numbers), 0);
  if (order) return leastCommonMultiple(courses, order.repeat.length);
  const turns = rows.reduce((sum, row) => sum + (row.colour === '*' ? 1 : 0), 0);
  return turns ? courses * (leastCommonMultiple(turns, colours) / turns) : courses;
}

export function leastCommonMultiple(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y) [x, y] = [y, x % y];
  return (a / x) * b;
}

/**
 * The widths of a pattern. A round has no edges: it holds whole repeats; where the tube lies flat it looks whole when each
 * half begins a repeat at its side fold. docs/craft.md, “Rounds”.
 */
function acrossOf(pattern: StitchPattern, numbers: Numbers, unit: number): BoundExtent {
  const written = bindExtent(pattern.across, numbers);
  const tube = (pattern.made === 'rounds' || pattern.made === 'turned-rounds') && pattern.technique !== 'wedge-circle';
  if (!tube) return written;
  const { works } = written;
  const whole = works.extra === 0 && works.multiple % unit === 0 ? works.multiple : unit;
  return {
    word: written.word,
    works: { multiple: whole, extra: 0 },
    alike: { multiple: leastCommonMultiple(whole, 2 * unit), extra: 0 },
  };
}

/** No repeat is wider or higher; one that is would fill all memory before it is drawn. */
const mostInRepeat = 20_000;

/** Rows that come to more stitches or courses than a piece can have with the numbers chosen. */
function reachProblems({ rows, name }: StitchPattern, numbers: Numbers): Problem[] {
  const known = { i: 1, j: 1, ...numbers };
  const far = rows.findIndex((row) => {
    const stitches = [...row.start, ...row.unit, ...row.end].reduce((sum, run) => sum + evaluate(run.count, known), 0);
    return stitches > mostInRepeat || evaluate(row.courses, known) > mostInRepeat;
  });
  if (far < 0) return [];
  return [
    {
      code: 'pattern-sum',
      path: `row ${far + 1}`,
      message: `Row ${far + 1} of ${name} comes to more than ${mostInRepeat} stitches or rows.`,
      hint: 'Take smaller numbers in its runs.',
    },
  ];
}

/** A pattern with the maker's numbers put in, or what is wrong with them. */
export function bindPattern(pattern: StitchPattern, choice: PatternChoice = {}): Result<BoundPattern> {
  const problems: Problem[] = [];
  const numbers = chooseNumbers(pattern, choice.numbers ?? {}, problems);
  const stitch = chooseStitch(pattern, choice.stitch, problems);
  const colours = chooseColours(pattern, choice.colours, problems);
  for (const [path, extent] of [
    ['across', bindExtent(pattern.across, numbers)],
    ['up', bindExtent(pattern.up, numbers)],
  ] as const) {
    if ([extent.works, extent.alike].every(({ multiple, extra }) => multiple >= 1 && extra >= 0)) continue;
    problems.push({
      code: 'pattern-sum',
      path: `pattern.${path}`,
      message: `The line “${path}” of ${pattern.name} comes to a multiple under 1.`,
      hint: 'A multiple is 1 at least, and nothing less than 0 is added to it.',
    });
  }
  problems.push(...reachProblems(pattern, numbers));
  if (problems.length) return refused(...problems);
  const width = (row: StitchPattern['rows'][number]) =>
    row.unit.reduce((sum, run) => sum + evaluate(run.count, { i: 1, j: 1, ...numbers }), 0);
  const rows = repeatedRows(pattern);
  return good({
    pattern,
    numbers,
    stitch,
    cell: pattern.technique === 'wide-hdc' ? 'hdc@between' : stitch,
    loops: choice.loops ?? 'both',
    colours,
    across: acrossOf(pattern, numbers, Math.max(...rows.map(width))),
    up: bindExtent(pattern.up, numbers),
    repeatStitches: Math.max(...rows.map(width)),
    repeatCourses: repeatOf(rows, numbers, colours.length, pattern.order),
  });
}
