import { must, patternBook, type StitchPattern, techniques } from '@puntada/core/craft';
import {
  chartOf,
  checkFabric,
  checkStrands,
  fitSizes,
  lay,
  measure,
  prepare,
  routePiece,
  StrandBook,
} from '@puntada/core/plan';
import { type WishInput, wishSchema } from '@puntada/core/records';
import { printedRows } from '@puntada/core/words';
import { plainYarns } from './plainYarns.ts';
import { median } from './timing.ts';

/**
 * A king-size blanket of about 400 × 450 in every technique: each step of the pipe as a ratio to one plain pass over
 * the same cells, all in one run, and a million stitches once. Ratios travel from machine to machine.
 */
const aim = 40;

function wishFor(pattern: StitchPattern, across: number, up: number) {
  const wish: WishInput = {
    title: 'Bench',
    item: 'blanket',
    width: { by: 'stitches', count: across },
    height: { by: 'rows', count: up },
    edges: 'whole',
    ending: 'whole',
    pattern: { key: pattern.key },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: plainYarns(pattern.colours),
  };
  return wishSchema.parse(wish);
}

/** The nearest size that the pattern allows; blocks and clusters are fewer, for they are larger. */
function sized(pattern: StitchPattern, wide: number, high: number) {
  const many =
    pattern.technique === 'granny' || pattern.technique === 'mesh' || pattern.technique === 'corner-to-corner';
  const across = multipleOf(pattern, 'across');
  const up = multipleOf(pattern, 'up');
  const near = (count: number, { multiple, extra }: { multiple: number; extra: number }) =>
    Math.round((count - extra) / multiple) * multiple + extra;
  if (pattern.technique === 'wedge-circle') return wishFor(pattern, across.multiple, Math.round(high / 3));
  // A closing row comes after whole repeats and a base row.
  const closing = pattern.technique === 'mesh' ? 3 : 0;
  return wishFor(pattern, near(many ? wide / 2 : wide, across), near(many ? high / 1.5 : high, up) + closing);
}

function multipleOf(pattern: StitchPattern, way: 'across' | 'up') {
  const numbers = Object.fromEntries(pattern.numbers.map((each) => [each.name, each.usual]));
  const value = (terms: StitchPattern['up']['works']['multiple']['terms']) =>
    terms.reduce((sum, term) => sum + term.times * (term.of === undefined ? 1 : (numbers[term.of] ?? 1)), 0);
  const { works } = pattern[way];
  return { multiple: value(works.multiple.terms), extra: value(works.extra.terms) };
}

function benchOf(pattern: StitchPattern, wide: number, high: number, runs: number) {
  const prepared = must(prepare(sized(pattern, wide, high)));
  const sizes = must(fitSizes(prepared));
  const { bound, technique, foundation, gauge, yarns } = prepared;
  const stitches = sizes.across.chosen.stitches;
  const rows = sizes.up.chosen.rows;
  const courses = technique.courses?.(stitches, rows) ?? rows;
  const laid = () => lay({ bound, foundation, edges: 'whole', stitches, courses });
  const fabric = laid();
  const strands = routePiece(prepared, fabric);
  const chart = chartOf(fabric);
  const plain = () => {
    const counts = new Int32Array(8);
    for (let i = 0; i < fabric.colours.length; i++) (counts[fabric.colours[i] as number] as number)++;
    return counts[0];
  };
  median(plain, 50);
  const one = median(plain, 50);
  const steps: [string, () => unknown][] = [
    ['fit', () => fitSizes(prepared)],
    ['lay', laid],
    ['check', () => [checkFabric(fabric, { bound, technique, foundation }), checkStrands(chart, strands)]],
    ['route', () => routePiece(prepared, fabric)],
    ['measure', () => measure({ fabric, strands, foundation, technique, gauge, yarns })],
  ];
  const ratios = steps.map(([name, step]) => {
    median(step, Math.max(1, runs >> 1));
    return [name, median(step, runs) / one] as const;
  });
  return { cells: fabric.kinds.length, fabric, bound, foundation, strands, ratios, one };
}

const only = process.argv[2];
let worst = 0;
for (const technique of techniques) {
  const pattern = patternBook.find((each) => each.technique === technique.key) as StitchPattern;
  if (only && only !== technique.key) continue;
  const { cells, ratios } = benchOf(pattern, 400, 450, 9);
  worst = Math.max(worst, ...ratios.map(([, ratio]) => ratio));
  const told = ratios.map(([name, ratio]) => `${name} ${ratio.toFixed(1)}`).join('  ');
  process.stdout.write(`${technique.key.padEnd(17)} ${String(cells).padStart(7)} cells  ${told}\n`);
}
process.stdout.write(`worst step ${worst.toFixed(1)} plain passes (aim: under ${aim})\n`);

const block = patternBook.find((each) => each.key === 'block-check') as StitchPattern;
const started = performance.now();
const million = benchOf(block, 1000, 1000, 1);
const spent = performance.now() - started;
const rss = process.memoryUsage().rss / 1e6;
process.stdout.write(
  `a million stitches: ${million.cells} cells, all steps ${spent.toFixed(0)} ms, ${rss.toFixed(0)} MB resident (aim: under 200)\n`,
);
const book = new StrandBook(million.strands, million.bound);
const writing = performance.now();
const { fabric, bound, foundation } = million;
printedRows({ fabric, bound, foundation, strands: book, terms: 'US', hand: 'right' });
process.stdout.write(`and all its rows in words: ${(performance.now() - writing).toFixed(0)} ms\n`);
