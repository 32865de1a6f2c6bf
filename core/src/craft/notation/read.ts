import { type Count, type CountTerm, evaluate, namesIn } from '../patterns/count.ts';
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
} from '../patterns/model.ts';
import { readOrder } from '../patterns/order.ts';
import { techniques } from '../techniques/register.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { LineReader, PatternSyntaxError } from './lines.ts';
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
  const match = line.expect(/^"([^"]*)"/, 'quoted', { what });
  return match[1] ?? '';
}

/** No piece is so wide or so high; a slip of the keyboard is, and would fill all memory. */
const mostOfAnything = 10_000;

function withinReach(line: LineReader, figure: number): number {
  if (figure <= mostOfAnything) return figure;
  line.putBack();
  throw line.wrong('number-up-to', { most: mostOfAnything });
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
    if (!next) throw line.wrong('number-after-sign');
    terms.push(next);
  }
  return { terms };
}

function sum(line: LineReader, what: string): Count {
  const found = maybeSum(line);
  if (!found) throw line.wrong('sum', { what });
  return found;
}

function multiple(line: LineReader): Multiple {
  const many = sum(line, 'multiple');
  return { multiple: many, extra: line.take(/^plus\b/) ? sum(line, 'added') : zero };
}

function extent(line: LineReader): Extent {
  const works = multiple(line);
  const word = line.take(/^"([a-z ]+)"/)?.[1] ?? 'repeats';
  return { word, works, alike: line.take(/^,\s*alike\b/) ? multiple(line) : works };
}

function run(line: LineReader): Run {
  let count = one;
  if (line.take(/^\(/)) {
    count = sum(line, 'count');
    line.expect(/^\)/, 'closing-bracket');
  } else {
    const only = term(line, 1);
    if (only) count = { terms: [only] };
  }
  const colour = line.take(/^[A-H](?![A-Za-z])/)?.[0];
  if (colour) return { count, colour };
  const stitch = line.expect(/^[a-z][a-z0-9]*(?:-[a-z0-9]+)*/, 'stitch-letter-colour')[0];
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
  line.expect(/^:/, 'colon-before-runs');
  return rowBody(line, { role, courses, ...(colour ? { colour } : {}) });
}

/** The runs of a row; without bars all of it is the repeat. */
function rowBody(line: LineReader, head: Pick<PatternRow, 'role' | 'courses' | 'colour'>): PatternRow {
  const first = runs(line);
  if (line.done) return { ...head, start: [], unit: first, end: [] };
  line.expect(/^\|/, 'bar-before-repeat');
  const unit = runs(line);
  line.expect(/^\|/, 'bar-after-repeat');
  return { ...head, start: first, unit, end: runs(line) };
}

function choice<T extends string>(line: LineReader, options: readonly T[], what: string): T {
  const word = line.take(/^[a-z][a-z0-9-]*/)?.[0];
  const found = options.find((option) => option === word);
  if (found) return found;
  if (word !== undefined) line.putBack();
  throw line.wrong('choice', { what, options });
}

function number(line: LineReader): PatternNumber {
  const name = line.expect(/^[a-z](?![a-z])/, 'one-letter-name')[0];
  const figure = (before: RegExp, what: string) => {
    line.expect(before, 'figure', { what });
    return withinReach(line, Number(line.expect(/^\d+/, 'number')[0]));
  };
  const usual = figure(/^=/, 'equals');
  const least = figure(/^,/, 'least');
  const most = figure(/^to\b/, 'most');
  line.expect(/^,/, 'comma-meaning');
  return { name, usual, least, most, meaning: quoted(line, 'meaning') };
}

const statements: Readonly<Record<string, (line: LineReader, draft: Draft) => void>> = {
  pattern(line, draft) {
    draft.key = line.expect(/^[a-z][a-z0-9-]*/, 'key')[0];
    draft.name = quoted(line, 'name');
  },
  about: (line, draft) => {
    draft.about = quoted(line, 'about');
  },
  technique: (line, draft) => {
    draft.technique = choice<TechniqueKey>(
      line,
      techniques.map(({ key }) => key),
      'technique',
    );
  },
  made: (line, draft) => {
    draft.made = choice<Making>(line, makings, 'made');
  },
  stitch(line, draft) {
    const stitches: string[] = [];
    do stitches.push(line.expect(/^[a-z]+/, 'stitch')[0]);
    while (line.take(/^or\b/));
    draft.stitches = stitches;
  },
  colours(line, draft) {
    const letters: string[] = [];
    do letters.push(line.expect(/^[A-H](?![A-Za-z])/, 'letter-from-h')[0]);
    while (!line.done && !line.rest.startsWith(','));
    draft.colours = letters;
    if (line.take(/^,/)) {
      draft.fewestColours = Number(line.expect(/^[1-8]/, 'fewest-colours')[0]);
      line.expect(/^to\b/, 'word-to');
      draft.mostColours = Number(line.expect(/^[1-8]/, 'most-colours')[0]);
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
    draft.read = choice(line, ['seen', 'worked'] as const, 'read');
  },
  order: (line, draft) => {
    const text = line.expect(/^[A-H|,\s]+/, 'letters-colours')[0];
    const order = readOrder(text);
    if (!order.ok) throw line.wrong('order', { ...order.problems[0]?.facts, order: order.problems[0]?.code });
    draft.order = order.value;
  },
  ends: (line, draft) => {
    draft.ends = quoted(line, 'ends');
  },
  careful: (line, draft) => {
    draft.careful = quoted(line, 'careful');
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
      const cells = line.expect(/^\S+$|^\S+/, 'row-marks')[0];
      if (cells === 'end') chart = undefined;
      else if (draft.chart[0] !== undefined && cells.length !== draft.chart[0].length) {
        throw line.wrong('row-of-marks-long', { wanted: draft.chart[0].length, marks: cells.length });
      } else draft.chart.push(cells);
    } else {
      const word = line.take(/^[a-z]+/)?.[0] ?? '';
      if (word === 'chart') chart = index + 1;
      else {
        const read = statements[word];
        if (!read) {
          if (word) line.putBack();
          throw line.wrong('statement', { options: [...Object.keys(statements), 'chart'] });
        }
        read(line, draft);
      }
    }
    if (!line.done) throw line.wrong('end-line');
  });
  if (chart !== undefined) {
    throw new LineReader('', chart).wrong('end-chart');
  }
  return draft;
}

function complete(draft: Draft, lastLine: number): StitchPattern {
  const end = new LineReader('', lastLine);
  const need = <K extends keyof StitchPattern>(part: K, example: string): StitchPattern[K] => {
    const value = draft[part];
    if (value === undefined) throw end.wrong('line-above', { example });
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
    throw end.wrong('row-or-chart');
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
    if (!line.done) throw line.wrong('end-row');
    const counts = [...read.start, ...read.unit, ...read.end].map((each) => each.count);
    const name = counts.flatMap(namesIn)[0];
    if (name) throw line.wrong('number-instead', { name });
    if (!read.unit.some((each) => evaluate(each.count, {}) > 0)) throw line.wrong('run');
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
