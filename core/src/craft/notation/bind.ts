import { isRoundMaking } from '../fabric/fabric.ts';
import {
  type BoundExtent,
  type BoundMultiple,
  type BoundPattern,
  type Loops,
  leastCommonMultiple,
} from '../patterns/bound.ts';
import { evaluate, type Numbers } from '../patterns/count.ts';
import type { Extent, Multiple, PatternRow, StitchPattern } from '../patterns/model.ts';
import { lettersIn, type RowOrder } from '../patterns/order.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { type StitchKey, stitchKinds } from '../stitches/kinds.ts';
import { techniqueNamed } from '../techniques/register.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';

/** The maker's choices within a pattern. */
export interface PatternChoice {
  readonly stitch?: string | undefined;
  readonly numbers?: Numbers | undefined;
  /** How many colours, where the pattern leaves it open. */
  readonly colours?: number | undefined;
  /** Which loops its stitches go into; both unless said. */
  readonly loops?: Loops | undefined;
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
        code: 'number-out-of-range',
        path: `numbers.${number.name}`,
        facts: { value, meaning: number.meaning, least: number.least, most: number.most },
      });
    }
    numbers[number.name] = value;
  }
  for (const name of Object.keys(chosen)) {
    if (pattern.numbers.some((number) => number.name === name)) continue;
    problems.push({
      code: 'number-unknown',
      path: `numbers.${name}`,
      facts: {
        pattern: pattern.name,
        name,
        names: pattern.numbers.map((each) => each.name),
        meanings: pattern.numbers.map((each) => each.meaning),
      },
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
    problems.push({
      code: 'colours-count',
      path: 'colours',
      facts: { pattern: pattern.name, count, fewest: fewestColours, most: mostColours, colours },
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
      code: 'order-leaves-out',
      path: 'order',
      facts: { letters, gap, expected },
    });
  }
  return expected;
}

function chooseStitch(pattern: StitchPattern, chosen: string | undefined, problems: Problem[]): StitchKey {
  const offered = pattern.stitches;
  const stitch = offered.length ? (chosen ?? offered[0] ?? 'sc') : firstStitch(pattern);
  if ((offered.length && !offered.includes(stitch)) || (!offered.length && chosen !== undefined && chosen !== stitch)) {
    problems.push({
      code: 'stitch-not-made',
      path: 'stitch',
      facts: { pattern: pattern.name, stitch: chosen, offered },
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

/**
 * The widths of a pattern. A round has no edges: it holds whole repeats; where the tube lies flat it looks whole when each
 * half begins a repeat at its side fold. docs/craft.md, “Rounds”.
 */
function acrossOf(pattern: StitchPattern, numbers: Numbers, unit: number): BoundExtent {
  const written = bindExtent(pattern.across, numbers);
  const tube = isRoundMaking(pattern.made) && !techniqueNamed(pattern.technique)?.circle;
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
      code: 'row-too-long',
      path: `row ${far + 1}`,
      facts: { row: far + 1, pattern: name, most: mostInRepeat },
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
      code: 'multiple-under-one',
      path: `pattern.${path}`,
      facts: { line: path, pattern: pattern.name },
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
    cell: techniqueNamed(pattern.technique)?.cell ?? stitch,
    loops: choice.loops ?? 'both',
    colours,
    across: acrossOf(pattern, numbers, Math.max(...rows.map(width))),
    up: bindExtent(pattern.up, numbers),
    repeatStitches: Math.max(...rows.map(width)),
    repeatCourses: repeatOf(rows, numbers, colours.length, pattern.order),
  });
}
