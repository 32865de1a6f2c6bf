import { type Count, namesIn } from '../patterns/count.ts';
import type { Run, StitchPattern } from '../patterns/model.ts';
import { lettersIn } from '../patterns/order.ts';
import { stitchCode, stitchKinds } from '../stitches/kinds.ts';
import { techniqueNamed } from '../techniques/register.ts';
import type { LineReader } from './lines.ts';

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
    throw end.wrong('another-letter-number', { name });
  }
  const counters = techniqueNamed(pattern.technique)?.circle ? countersOfWedges : [];
  const extents = Object.entries({ across: pattern.across, up: pattern.up }).flatMap(([word, { works, alike }]) =>
    [works, alike].flatMap((m) => [m.multiple, m.extra]).map((count) => ({ where: word, count })),
  );
  const counts: CountIn[] = [
    ...extents,
    ...pattern.rows.map((each) => ({ where: 'rows', count: each.courses })),
    ...runs.map((each) => ({ where: 'run', count: each.count, own: counters })),
  ];
  for (const { where, count, own = [] } of counts) {
    const unknown = namesIn(count).find((name) => !declared.includes(name) && !own.includes(name));
    if (unknown === undefined) continue;
    throw end.wrong('number-line', { unknown, where });
  }
  for (const { name, usual, least, most } of pattern.numbers) {
    if (least <= usual && usual <= most) continue;
    throw end.wrong('number-between', { name, usual, least, most });
  }
}

function proveColours(pattern: StitchPattern, runs: readonly Run[], end: LineReader): void {
  const { colours, fewestColours, mostColours, chart, rows } = pattern;
  if (new Set(colours).size !== colours.length) throw end.wrong('each-colour-once');
  if (fewestColours > colours.length || mostColours < colours.length) {
    throw end.wrong('many-colours-line-allows', { count: colours.length, fewest: fewestColours, most: mostColours });
  }
  for (const mark of new Set(chart.join('').replaceAll('|', ''))) {
    if (!colours.includes(mark)) {
      throw end.wrong('colour-of-chart', { mark });
    }
  }
  for (const colour of [...runs.map((run) => run.colour), ...rows.map((row) => row.colour)]) {
    if (colour && colour !== '*' && !colours.includes(colour)) {
      throw end.wrong('colour-of-runs', { colour });
    }
  }
}

/** Where the colours of a technique take turns row by row, one more would get no row, and no stitch. */
function proveMostColours({ technique, colours }: StitchPattern, end: LineReader): void {
  const most = techniqueNamed(technique)?.mostColours;
  if (most === undefined || colours.length <= most) return;
  throw end.wrong('colours-most', { most, colours: colours.slice(most) });
}

/** An order of rows is for rows of one colour each. */
function proveOrder(
  { order, rows, chart, colours, mostColours }: StitchPattern,
  runs: readonly Run[],
  end: LineReader,
) {
  if (!order) return;
  if (chart.length || runs.some((run) => run.colour) || !rows.length) {
    throw end.wrong('rows-one-colour-each');
  }
  const strange = lettersIn(order).find((letter) => !colours.includes(letter));
  if (strange && mostColours <= colours.length) {
    throw end.wrong('colour-of-order', { strange });
  }
}

/** Every run is worked in a stitch that there is, in a place where it can be. */
function proveStitches(pattern: StitchPattern, runs: readonly Run[], end: LineReader): void {
  for (const stitch of pattern.stitches) {
    if (mainStitches.includes(stitch)) continue;
    throw end.wrong('main-stitch', { stitch, mainStitches });
  }
  for (const { stitch, place } of runs) {
    if (stitch === undefined) continue;
    const key = `${stitch}${place ? `@${place}` : ''}`;
    if (stitchCode(key) !== undefined) continue;
    throw end.wrong('stitch-there', {
      key,
      options: stitchKinds.filter((kind) => !kind.opens).map((kind) => kind.key),
    });
  }
}

/** Every row has something to repeat, and the bars of a chart stand in all its lines alike. */
function proveRows(pattern: StitchPattern, end: LineReader): void {
  for (const [i, row] of pattern.rows.entries()) {
    if (!row.unit.length) throw end.wrong('repeat-in-row', { row: i + 1 });
  }
  const bars = new Set(pattern.chart.map((cells) => [...cells].flatMap((mark, x) => (mark === '|' ? [x] : [])).join()));
  const [first = ''] = bars;
  if (bars.size > 1 || (first !== '' && first.split(',').length !== 2)) {
    throw end.wrong('bars-of-chart');
  }
  if (pattern.chart.some((cells) => /^\|?$|\|\|/.test(cells))) throw end.wrong('marks-between-bars');
}

/** Proves what a pattern says as a whole; the place of a refusal is its last line. */
export function provePattern(pattern: StitchPattern, end: LineReader): void {
  const runs = pattern.rows.flatMap((row) => [...row.start, ...row.unit, ...row.end]);
  proveNumbers(pattern, runs, end);
  proveColours(pattern, runs, end);
  proveMostColours(pattern, end);
  proveOrder(pattern, runs, end);
  proveStitches(pattern, runs, end);
  proveRows(pattern, end);
}
