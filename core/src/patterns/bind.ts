import { good, type Problem, type Result, refused } from '../problem.ts';
import { type StitchKey, stitchKinds } from '../stitches/kinds.ts';
import { evaluate, type Numbers } from './count.ts';
import type { Extent, Multiple, PatternRow, StitchPattern } from './model.ts';
import { repeatedRows } from './rows.ts';

/** The maker's choices within a pattern. */
export interface PatternChoice {
  readonly stitch?: string | undefined;
  readonly numbers?: Numbers | undefined;
  /** How many colours, where the pattern leaves it open. */
  readonly colours?: number | undefined;
}

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
function repeatOf(rows: readonly PatternRow[], numbers: Numbers, colours: number): number {
  const courses = rows.reduce((sum, row) => sum + evaluate(row.courses, numbers), 0);
  const turns = rows.reduce((sum, row) => sum + (row.colour === '*' ? 1 : 0), 0);
  return turns ? courses * (leastCommonMultiple(turns, colours) / turns) : courses;
}

/** Courses after which stitch, colour and working direction have all come back. docs/craft.md, “Whole patterns”. */
export function trueRepeat({ pattern, repeatCourses }: BoundPattern): number {
  if (pattern.made === 'paired') return leastCommonMultiple(repeatCourses, 4);
  const turned = pattern.made === 'flat' || pattern.made === 'turned-rounds';
  return turned ? leastCommonMultiple(repeatCourses, 2) : repeatCourses;
}

export function leastCommonMultiple(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y) [x, y] = [y, x % y];
  return (a / x) * b;
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
    colours,
    across: bindExtent(pattern.across, numbers),
    up: bindExtent(pattern.up, numbers),
    repeatStitches: Math.max(...rows.map(width)),
    repeatCourses: repeatOf(rows, numbers, colours.length),
  });
}
