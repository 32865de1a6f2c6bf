import { good, type Result, refused } from '../values/problem.ts';
import { type Count, type CountTerm, evaluate, namesIn } from './count.ts';
import { LineReader, PatternSyntaxError } from './lines.ts';
import {
  type Extent,
  type Making,
  type Multiple,
  makings,
  type PatternNumber,
  type PatternRow,
  type Run,
  type StitchPattern,
  type TechniqueKey,
  techniqueKeys,
} from './model.ts';
import { readOrder } from './order.ts';
import { provePattern } from './whole.ts';

/** A pattern while it is being read: every part may still be missing. */
type Draft = { -readonly [K in keyof StitchPattern]?: StitchPattern[K] } & {
  numbers: PatternNumber[];
  rows: PatternRow[];
  chart: string[];
};

const one: Count = { terms: [{ times: 1 }] };
const zero: Count = { terms: [{ times: 0 }] };

function quoted(line: LineReader, what: string): string {
  const match = line.expect(/^"([^"]*)"/, `${what} in quotes`, 'Put the words between straight double quotes.');
  return match[1] ?? '';
}

/** No piece is so wide or so high; a slip of the keyboard is, and would fill all memory. */
const mostOfAnything = 10_000;

function withinReach(line: LineReader, figure: number): number {
  if (figure <= mostOfAnything) return figure;
  line.putBack();
  throw line.wrong(`a number up to ${mostOfAnything}`, 'Take a smaller number: no piece has so many.');
}

function term(line: LineReader, sign: number): CountTerm | undefined {
  const match = line.take(/^(\d+)([a-z](?![a-z]))?|^([a-z])(?![a-z])/);
  if (!match) return undefined;
  const name = match[2] ?? match[3];
  const times = sign * withinReach(line, Number(match[1] ?? 1));
  return name === undefined ? { times } : { times, of: name };
}

/** A sum such as `2b+1`, or nothing where no number stands. */
function maybeSum(line: LineReader): Count | undefined {
  const first = term(line, 1);
  if (!first) return undefined;
  const terms = [first];
  for (let sign = line.take(/^[+-]/); sign; sign = line.take(/^[+-]/)) {
    const next = term(line, sign[0] === '-' ? -1 : 1);
    if (!next) throw line.wrong('a number after the sign', 'Write a sum such as 2b+1.');
    terms.push(next);
  }
  return { terms };
}

function sum(line: LineReader, what: string): Count {
  const found = maybeSum(line);
  if (!found) throw line.wrong(what, 'Write a number, a named number such as b, or a sum such as 2b+1.');
  return found;
}

function multiple(line: LineReader): Multiple {
  const many = sum(line, 'a multiple');
  return { multiple: many, extra: line.take(/^plus\b/) ? sum(line, 'what is added to the multiple') : zero };
}

function extent(line: LineReader): Extent {
  const works = multiple(line);
  const word = line.take(/^"([a-z ]+)"/)?.[1] ?? 'repeats';
  return { word, works, alike: line.take(/^,\s*alike\b/) ? multiple(line) : works };
}

function run(line: LineReader): Run {
  let count = one;
  if (line.take(/^\(/)) {
    count = sum(line, 'a count');
    line.expect(/^\)/, 'a closing bracket', 'Close the bracket: (2b+1)A.');
  } else {
    const only = term(line, 1);
    if (only) count = { terms: [only] };
  }
  const colour = line.take(/^[A-H](?![A-Za-z])/)?.[0];
  if (colour) return { count, colour };
  const stitch = line.expect(
    /^[a-z][a-z0-9]*(?:-[a-z0-9]+)*/,
    'a stitch or the letter of a colour',
    'Write runs such as 4A, 1sc, (b)dc or 2dc:B.',
  )[0];
  const place = line.take(/^@([a-z0-9-]+)/)?.[1];
  const own = line.take(/^:([A-H])(?![A-Za-z])/)?.[1];
  return { count, stitch, ...(place ? { place } : {}), ...(own ? { colour: own } : {}) };
}

function runs(line: LineReader): Run[] {
  const found: Run[] = [];
  while (!line.done && !line.rest.startsWith('|')) found.push(run(line));
  return found;
}

function row(line: LineReader, role: PatternRow['role']): PatternRow {
  const courses = maybeSum(line) ?? one;
  const colour = line.take(/^(?:[A-H](?![A-Za-z])|\*)/)?.[0];
  line.expect(/^:/, 'a colon before the runs', 'Write row: | 4A 4B |, or row 2 A: | 1sc 1dc |.');
  return rowBody(line, { role, courses, ...(colour ? { colour } : {}) });
}

/** The runs of a row; without bars all of it is the repeat. */
function rowBody(line: LineReader, head: Pick<PatternRow, 'role' | 'courses' | 'colour'>): PatternRow {
  const first = runs(line);
  if (line.done) return { ...head, start: [], unit: first, end: [] };
  line.expect(/^\|/, 'a bar before the repeat', 'Put the repeat between two bars: | 4A 4B |.');
  const unit = runs(line);
  line.expect(/^\|/, 'a bar after the repeat', 'Put the repeat between two bars: | 4A 4B |.');
  return { ...head, start: first, unit, end: runs(line) };
}

function choice<T extends string>(line: LineReader, options: readonly T[], what: string): T {
  const word = line.take(/^[a-z][a-z0-9-]*/)?.[0];
  const found = options.find((option) => option === word);
  if (found) return found;
  if (word !== undefined) line.putBack();
  throw line.wrong(what, `One of: ${options.join(', ')}.`);
}

function number(line: LineReader): PatternNumber {
  const name = line.expect(/^[a-z](?![a-z])/, 'a one-letter name', 'Write number b = 4, 1 to 40, "stitches".')[0];
  const figure = (before: RegExp, what: string) => {
    line.expect(before, what, 'Write number b = 4, 1 to 40, "stitches in a block".');
    return withinReach(line, Number(line.expect(/^\d+/, 'a number', 'Write a whole number.')[0]));
  };
  const usual = figure(/^=/, 'an equals sign');
  const least = figure(/^,/, 'a comma and the least value');
  const most = figure(/^to\b/, 'the word “to” and the greatest value');
  line.expect(/^,/, 'a comma and the meaning', 'Say what the number counts, in quotes.');
  return { name, usual, least, most, meaning: quoted(line, 'the meaning') };
}

const statements: Readonly<Record<string, (line: LineReader, draft: Draft) => void>> = {
  pattern(line, draft) {
    draft.key = line.expect(/^[a-z][a-z0-9-]*/, 'a key', 'A key is small letters and dashes: block-check.')[0];
    draft.name = quoted(line, 'the name');
  },
  about: (line, draft) => {
    draft.about = quoted(line, 'one sentence');
  },
  technique: (line, draft) => {
    draft.technique = choice<TechniqueKey>(line, techniqueKeys, 'a technique');
  },
  made: (line, draft) => {
    draft.made = choice<Making>(line, makings, 'how it is made');
  },
  stitch(line, draft) {
    const stitches: string[] = [];
    do stitches.push(line.expect(/^[a-z]+/, 'a stitch', 'Write stitch sc or hdc.')[0]);
    while (line.take(/^or\b/));
    draft.stitches = stitches;
  },
  colours(line, draft) {
    const letters: string[] = [];
    do letters.push(line.expect(/^[A-H](?![A-Za-z])/, 'a letter from A to H', 'Write colours A B.')[0]);
    while (!line.done && !line.rest.startsWith(','));
    draft.colours = letters;
    if (line.take(/^,/)) {
      draft.fewestColours = Number(line.expect(/^[1-8]/, 'the fewest colours', 'Write colours A B C, 1 to 4.')[0]);
      line.expect(/^to\b/, 'the word “to”', 'Write colours A B C, 1 to 4.');
      draft.mostColours = Number(line.expect(/^[1-8]/, 'the most colours', 'Write colours A B C, 1 to 4.')[0]);
    }
  },
  number: (line, draft) => {
    draft.numbers.push(number(line));
  },
  across: (line, draft) => {
    draft.across = extent(line);
  },
  up: (line, draft) => {
    draft.up = extent(line);
  },
  read: (line, draft) => {
    draft.read = choice(line, ['seen', 'worked'] as const, 'how rows are read');
  },
  order: (line, draft) => {
    const text = line.expect(/^[A-H|,\s]+/, 'letters of colours', 'Write order A A | B A | A A, or order A B C.')[0];
    const order = readOrder(text);
    if (!order.ok) throw line.wrong('an order of rows', `${order.problems[0]?.message} ${order.problems[0]?.hint}`);
    draft.order = order.value;
  },
  ends: (line, draft) => {
    draft.ends = quoted(line, 'what ends it well');
  },
  careful: (line, draft) => {
    draft.careful = quoted(line, 'who should be careful');
  },
  setup: (line, draft) => {
    draft.rows.push(row(line, 'setup'));
  },
  row: (line, draft) => {
    draft.rows.push(row(line, 'row'));
  },
  close: (line, draft) => {
    draft.rows.push(row(line, 'close'));
  },
};

function readLines(text: string): Draft {
  const draft: Draft = { numbers: [], rows: [], chart: [] };
  let chart: number | undefined;
  text.split(/\r?\n/).forEach((raw, index) => {
    const line = new LineReader(raw.replace(/(^|\s)#.*$/, ''), index + 1);
    if (line.done) return;
    if (chart !== undefined) {
      const cells = line.expect(/^\S+$|^\S+/, 'a row of marks', 'Finish the chart with a line “end”.')[0];
      if (cells === 'end') chart = undefined;
      else if (draft.chart[0] !== undefined && cells.length !== draft.chart[0].length) {
        throw line.wrong(`a row of ${draft.chart[0].length} marks`, `This one has ${cells.length}.`);
      } else draft.chart.push(cells);
    } else {
      const word = line.take(/^[a-z]+/)?.[0] ?? '';
      if (word === 'chart') chart = index + 1;
      else {
        const read = statements[word];
        if (!read) {
          if (word) line.putBack();
          throw line.wrong('a statement', `One of: ${[...Object.keys(statements), 'chart'].join(', ')}.`);
        }
        read(line, draft);
      }
    }
    if (!line.done) throw line.wrong('the end of the line', 'Put what follows on a line of its own.');
  });
  if (chart !== undefined) {
    throw new LineReader('', chart).wrong('the end of the chart', 'Finish the chart with a line “end”.');
  }
  return draft;
}

function complete(draft: Draft, lastLine: number): StitchPattern {
  const end = new LineReader('', lastLine);
  const need = <K extends keyof StitchPattern>(part: K, example: string): StitchPattern[K] => {
    const value = draft[part];
    if (value === undefined) throw end.wrong(`a line “${example}” somewhere above`, `Add ${example}.`);
    return value as StitchPattern[K];
  };
  const pattern: StitchPattern = {
    key: need('key', 'pattern key "Name"'),
    name: need('name', 'pattern key "Name"'),
    about: need('about', 'about "…"'),
    technique: need('technique', 'technique carried'),
    made: draft.made ?? 'flat',
    stitches: draft.stitches ?? [],
    colours: need('colours', 'colours A B'),
    fewestColours: draft.fewestColours ?? draft.colours?.length ?? 1,
    mostColours: draft.mostColours ?? draft.colours?.length ?? 1,
    numbers: draft.numbers,
    across: need('across', 'across 4'),
    up: need('up', 'up 2'),
    read: draft.read ?? 'seen',
    rows: draft.rows,
    chart: draft.chart,
    ...(draft.order ? { order: draft.order } : {}),
    ends: draft.ends ?? '',
    careful: draft.careful ?? '',
  };
  if (!pattern.rows.some((each) => each.role === 'row') && pattern.chart.length === 0) {
    throw end.wrong('at least one row or a chart', 'Add a line such as row: | 4A 4B |.');
  }
  provePattern(pattern, end);
  return pattern;
}

/**
 * Reads a stitch pattern from the notation (docs/pattern-notation.md).
 * @returns the pattern, or one problem with line, column, what was expected and a hint
 */
export function readPattern(text: string): Result<StitchPattern> {
  try {
    return good(complete(readLines(text), text.split('\n').length));
  } catch (error) {
    if (error instanceof PatternSyntaxError) return refused(error.problem);
    throw error;
  }
}

/** Reads one row as a maker types it: `6A 3B 6A`, or with its repeat between bars. */
export function readTypedRow(text: string): Result<PatternRow> {
  const line = new LineReader(text, 1);
  try {
    const read = rowBody(line, { role: 'row', courses: one });
    if (!line.done) throw line.wrong('the end of the row', 'Write runs such as 6A 3B 6A.');
    const counts = [...read.start, ...read.unit, ...read.end].map((each) => each.count);
    const name = counts.flatMap(namesIn)[0];
    if (name) throw line.wrong(`a number instead of ${name}`, 'A row alone has no named numbers: write 6A 3B 6A.');
    if (!read.unit.some((each) => evaluate(each.count, {}) > 0))
      throw line.wrong('a run', 'Write runs such as 6A 3B 6A.');
    return good(read);
  } catch (error) {
    if (error instanceof PatternSyntaxError) return refused(error.problem);
    throw error;
  }
}

/** Several patterns in one text, each beginning with its line `pattern`. */
export function readPatterns(text: string): Result<StitchPattern[]> {
  const found: StitchPattern[] = [];
  for (const part of text.split(/^(?=pattern )/m)) {
    if (part.trim() === '') continue;
    const read = readPattern(part);
    if (!read.ok) return read;
    found.push(read.value);
  }
  return good(found);
}
