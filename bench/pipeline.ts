import { must } from '@puntada/core/craft';
import { chartOf, checkFabric, checkStrands, fitSizes, lay, measure, prepare, routePiece } from '@puntada/core/plan';
import { type Wish, wishSchema } from '@puntada/core/records';
import { plainYarns } from './plainYarns.ts';
import { median } from './timing.ts';

/**
 * Each step of the pipeline for 300 × 300 stitches, as a ratio to one plain pass over the same cells that counts
 * colours, all in one run. Ratios travel from machine to machine; milliseconds do not.
 */
const wish: Wish = wishSchema.parse({
  title: 'Bench',
  item: 'blanket',
  width: { by: 'stitches', count: 300 },
  height: { by: 'rows', count: 300 },
  edges: 'whole',
  ending: 'any',
  pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
  gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
  yarns: plainYarns(['A', 'B']),
});

const prepared = must(prepare(wish));
const { bound, technique, foundation, gauge, yarns } = prepared;
const laid = () => lay({ bound, foundation, edges: 'whole', stitches: 300, courses: 300 });
const fabric = laid();
const strands = routePiece(prepared, fabric);

function plainPass(): number {
  const counts = new Int32Array(4);
  const { colours } = fabric;
  for (let i = 0; i < colours.length; i++) (counts[colours[i] as number] as number)++;
  return counts[0] as number;
}

const steps: [string, () => unknown][] = [
  ['fit', () => fitSizes(prepared)],
  ['lay', laid],
  ['check', () => [checkFabric(fabric, { bound, technique, foundation }), checkStrands(chartOf(fabric), strands)]],
  ['route', () => routePiece(prepared, fabric)],
  ['measure', () => measure({ fabric, strands, foundation, technique, gauge, yarns })],
];

for (const [, step] of steps) median(step, 60);
median(plainPass, 400);
const plain = median(plainPass, 400);
let whole = 0;
process.stdout.write(`plain pass over 300 × 300 cells: ${(plain * 1000).toFixed(0)} µs = 1\n`);
for (const [name, step] of steps) {
  const ratio = median(step, 60) / plain;
  whole += ratio;
  process.stdout.write(`${name.padEnd(8)} ${ratio.toFixed(1)}\n`);
}
process.stdout.write(`whole    ${whole.toFixed(1)}   (aim: under 60)\n`);
