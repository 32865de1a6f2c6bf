import { must } from '@puntada/core/craft';
import { planWork } from '@puntada/core/plan';
import { wishSchema } from '@puntada/core/records';
import { printOptions } from '../server/src/print/options.ts';
import { printPlan } from '../server/src/print/print.ts';

/** A king-size blanket: 404 stitches by 452 rows, all parts, on A4. */
const wish = wishSchema.parse({
  title: 'King-size',
  item: 'blanket',
  units: 'cm',
  pattern: { key: 'block-check' },
  gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
  width: { by: 'stitches', count: 404 },
  height: { by: 'rows', count: 452 },
  yarns: [
    { letter: 'A', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 },
    { letter: 'B', name: 'Kelp', shade: '#24476b', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 },
  ],
});

const most = { seconds: 5, megabytes: 15, memory: 300 };

const before = process.memoryUsage().rss;
let peak = before;
const watch = setInterval(() => {
  peak = Math.max(peak, process.memoryUsage().rss);
}, 20);
const started = performance.now();
must(planWork({ wish, begun: undefined }));
const planned = performance.now();
const maker = { terms: 'US', hand: 'right', manner: 'compact' } as const;
const bytes = must(
  await printPlan({ work: { wish, begun: undefined }, maker, told: 'cm', options: printOptions.parse({}) }),
);
const ended = performance.now();
peak = Math.max(peak, process.memoryUsage().rss);
clearInterval(watch);
const told = {
  seconds: (ended - planned) / 1000,
  megabytes: bytes.length / 1e6,
  memory: (peak - before) / 1e6,
};
process.stdout.write(`planning alone ${((planned - started) / 1000).toFixed(2)} s\n`);
for (const [what, value] of Object.entries(told)) {
  const limit = most[what as keyof typeof most];
  process.stdout.write(`${what.padEnd(10)} ${value.toFixed(2)} of ${limit} ${value <= limit ? '' : 'OVER'}\n`);
}
