import { stitchCode, stitchKinds } from '../stitches/kinds.ts';
import { type Count, namesIn } from './count.ts';
import type { LineReader } from './lines.ts';
import type { Run, StitchPattern } from './model.ts';
import { lettersIn } from './order.ts';

interface CountIn {
  readonly where: string;
  readonly count: Count;
  /** Names that need no line of their own here. */
  readonly own?: readonly string[];
}

const mainStitches = ['sc', 'hdc', 'dc'];

/** What a run of a wedge may count with: `i` the number of its course, `j` the stitches of its wedge below. */
const countersOfWedges = ['i', 'j'];

/** Every name in a count has a number: the pattern's own everywhere, the counters only in the runs of wedges. */
function proveNumbers(pattern: StitchPattern, runs: readonly Run[], end: LineReader): void {
  const declared = pattern.numbers.map((n) => n.name);
  for (const name of declared) {
    if (!countersOfWedges.includes(name)) continue;
    throw end.wrong(
      `another letter than ${name} for a number`,
      'i and j count courses and wedges; take b, n or another.',
    );
  }
  const counters = pattern.technique === 'wedge-circle' ? countersOfWedges : [];
  const extents = Object.entries({ across: pattern.across, up: pattern.up }).flatMap(([word, { works, alike }]) =>
    [works, alike].flatMap((m) => [m.multiple, m.extra]).map((count) => ({ where: `the line “${word}”`, count })),
  );
  const counts: CountIn[] = [
    ...extents,
    ...pattern.rows.map((each) => ({ where: 'the number of rows', count: each.courses })),
    ...runs.map((each) => ({ where: 'a run', count: each.count, own: counters })),
  ];
  for (const { where, count, own = [] } of counts) {
    const unknown = namesIn(count).find((name) => !declared.includes(name) && !own.includes(name));
    if (unknown === undefined) continue;
    throw end.wrong(`a line “number ${unknown} = …” somewhere above`, `In ${where}, ${unknown} has no number.`);
  }
  for (const { name, usual, least, most } of pattern.numbers) {
    if (least <= usual && usual <= most) continue;
    throw end.wrong(`number ${name} between its least and its most`, `${usual} is not from ${least} to ${most}.`);
  }
}

function proveColours(pattern: StitchPattern, runs: readonly Run[], end: LineReader): void {
  const { colours, fewestColours, mostColours, chart, rows } = pattern;
  if (new Set(colours).size !== colours.length)
    throw end.wrong('each colour once', 'A letter stands twice in “colours”.');
  if (fewestColours > colours.length || mostColours < colours.length) {
    throw end.wrong(
      'as many colours as the line allows',
      `There are ${colours.length}, of ${fewestColours} to ${mostColours}.`,
    );
  }
  for (const mark of new Set(chart.join('').replaceAll('|', ''))) {
    if (!colours.includes(mark)) {
      throw end.wrong(`colour ${mark} among the colours`, `The chart uses ${mark}; add it to the line “colours”.`);
    }
  }
  for (const colour of [...runs.map((run) => run.colour), ...rows.map((row) => row.colour)]) {
    if (colour && colour !== '*' && !colours.includes(colour)) {
      throw end.wrong(`colour ${colour} among the colours`, `Add ${colour} to the line “colours”.`);
    }
  }
}

/** The two colours of overlay mosaic take turns row by row; a third would get no row, and no stitch. */
function proveMosaic({ technique, colours }: StitchPattern, end: LineReader): void {
  if (technique !== 'mosaic' || colours.length <= 2) return;
  throw end.wrong(
    'two colours',
    `Overlay mosaic takes two colours by turns, A and B, so ${colours.slice(2).join(' and ')} would get no row.`,
  );
}

/** An order of rows is for rows of one colour each. */
function proveOrder(
  { order, rows, chart, colours, mostColours }: StitchPattern,
  runs: readonly Run[],
  end: LineReader,
) {
  if (!order) return;
  if (chart.length || runs.some((run) => run.colour) || !rows.length) {
    throw end.wrong('rows of one colour each', 'An order of rows goes with rows that name no colour in their runs.');
  }
  const strange = lettersIn(order).find((letter) => !colours.includes(letter));
  if (strange && mostColours <= colours.length) {
    throw end.wrong(`colour ${strange} among the colours`, `The order uses ${strange}; add it to the line “colours”.`);
  }
}

/** Every run is worked in a stitch that there is, in a place where it can be. */
function proveStitches(pattern: StitchPattern, runs: readonly Run[], end: LineReader): void {
  for (const stitch of pattern.stitches) {
    if (mainStitches.includes(stitch)) continue;
    throw end.wrong(`a main stitch, not “${stitch}”`, `Choose among ${mainStitches.join(', ')}.`);
  }
  for (const { stitch, place } of runs) {
    if (stitch === undefined) continue;
    const key = `${stitch}${place ? `@${place}` : ''}`;
    if (stitchCode(key) !== undefined) continue;
    throw end.wrong(
      `a stitch that there is, not “${key}”`,
      `There are: ${stitchKinds
        .filter((kind) => !kind.opens)
        .map((kind) => kind.key)
        .join(', ')}.`,
    );
  }
}

/** Every row has something to repeat, and the bars of a chart stand in all its lines alike. */
function proveRows(pattern: StitchPattern, end: LineReader): void {
  for (const [i, row] of pattern.rows.entries()) {
    if (!row.unit.length) throw end.wrong(`a repeat in row line ${i + 1}`, 'Put runs between the two bars.');
  }
  const bars = new Set(pattern.chart.map((cells) => [...cells].flatMap((mark, x) => (mark === '|' ? [x] : [])).join()));
  const [first = ''] = bars;
  if (bars.size > 1 || (first !== '' && first.split(',').length !== 2)) {
    throw end.wrong('two bars in every line of the chart, or none', 'The bars stand in the same places in all lines.');
  }
  if (pattern.chart.some((cells) => /^\|?$|\|\|/.test(cells)))
    throw end.wrong('marks between the bars', 'The repeat is empty.');
}

/** Proves what a pattern says as a whole; the place of a refusal is its last line. */
export function provePattern(pattern: StitchPattern, end: LineReader): void {
  const runs = pattern.rows.flatMap((row) => [...row.start, ...row.unit, ...row.end]);
  proveNumbers(pattern, runs, end);
  proveColours(pattern, runs, end);
  proveMosaic(pattern, end);
  proveOrder(pattern, runs, end);
  proveStitches(pattern, runs, end);
  proveRows(pattern, end);
}
