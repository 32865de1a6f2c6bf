import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { restoreKept } from '../server/src/archive/restore.ts';
import { openDatabase } from '../server/src/db/open.ts';
import { count } from '../server/src/db/tidy.ts';
import { beginner, benchOf, idOf, now, old, type Size } from './oldYears.ts';
import { middle } from './timing.ts';

/*
 * The bench of ten years in the browser, beside a beginner's: how long until each page is there; and on the server, how
 * long others wait while the longest things run.
 */

interface Served {
  readonly address: string;
  readonly child: ChildProcess;
  readonly folder: string;
}

/** Lays out a bench and starts the built server on it. */
async function serve(size: Size): Promise<Served> {
  const folder = mkdtempSync(join(tmpdir(), 'puntada-old-pages-'));
  const db = await openDatabase(folder);
  await db.transaction((tx) => restoreKept(tx, benchOf(size)));
  await count(db);
  await db.close();
  const env = {
    ...process.env,
    PUNTADA_DATA: folder,
    PUNTADA_PORT: '0',
    PUNTADA_PAGES: join(process.cwd(), 'web/dist'),
  };
  const child = spawn(process.execPath, ['server/dist/main.mjs'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  const address = await new Promise<string>((done) =>
    child.stdout.on('data', (text: Buffer) => {
      const found = /http:\S+/.exec(String(text));
      if (found) done(found[0]);
    }),
  );
  return { address, child, folder };
}

const most = idOf(9, 0);

/** Pages, and the words that stand on each once it is there. */
const pages: readonly (readonly [name: string, path: string, words: string])[] = [
  ['bench', '/', 'Cloth \\d'],
  ['evenings', '/evenings', 'Cloth \\d'],
  ['drawer', '/drawer', 'Shade \\d'],
  ['log of the most worked', `/works/${most}/log`, 'Time so far'],
  ['make of the most worked', `/works/${most}/work`, 'Row \\d+'],
  ['shopping list', '/shopping', 'For \\d+ planned'],
  ['book', '/book', 'Tide marks'],
];

/** ms from the wish for a page until these words stand on it, as the page itself sees it, at each of its frames. */
function standsAfter(page: Page, words: string): Promise<number> {
  return page.evaluate((text) => {
    const looked = new RegExp(text);
    return new Promise<number>((done) => {
      const look = () => {
        if (looked.test(document.querySelector('#root')?.textContent ?? '')) done(performance.now());
        else requestAnimationFrame(look);
      };
      look();
    });
  }, words);
}

/** ms until each page is there, in a browser that has been here before. */
async function visits({ address }: Served): Promise<Map<string, number>> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium' });
  const page = await browser.newPage();
  const times = new Map<string, number>();
  for (const [name, path, words] of pages) {
    const all: number[] = [];
    for (let i = 0; i < 6; i++) {
      await page.goto(address + path, { waitUntil: 'commit' });
      const ms = await standsAfter(page, words);
      if (i > 0) all.push(ms);
    }
    times.set(name, middle(all));
  }
  await browser.close();
  return times;
}

let steps = 500_000;
async function step(address: string): Promise<void> {
  const at = { rows: 1, runs: 0 };
  const tick = { id: idOf(78, steps++), at: now + steps, from: at, to: { rows: 2, runs: 0 } };
  const init = { method: 'POST', headers: { 'content-type': 'application/json' } };
  const answer = await fetch(`${address}/api/works/${idOf(9, 5)}/ticks`, {
    ...init,
    body: JSON.stringify({ ticks: [tick] }),
  });
  // While a bench is replaced, a step is told to wait.
  if (!answer.ok && answer.status !== 503) throw new Error(await answer.text());
}

/** The longest that others wait while something runs, ms: for the bench, and for a step to be stored. */
async function waits(
  { address }: Served,
  what: () => Promise<unknown>,
): Promise<[bench: number, step: number, took: number]> {
  let running = true;
  const started = performance.now();
  const done = what().finally(() => {
    running = false;
  });
  const [bench, stored]: number[][] = [[], []];
  while (running) {
    for (const [list, ask] of [
      [bench, () => fetch(`${address}/api/works`).then((answer) => answer.arrayBuffer())],
      [stored, () => step(address)],
    ] as const) {
      const asked = performance.now();
      await ask();
      list?.push(performance.now() - asked);
    }
    await new Promise((next) => setTimeout(next, 5));
  }
  await done;
  return [Math.max(0, ...(bench ?? [])), Math.max(0, ...(stored ?? [])), performance.now() - started];
}

async function job(address: string, path: string): Promise<void> {
  let told = await (await fetch(`${address}/api${path}`, { method: 'POST' })).json();
  const { id } = told;
  while (told.state === 'running') {
    await new Promise((next) => setTimeout(next, 50));
    told = await (await fetch(`${address}/api/copies/jobs/${id}`)).json();
  }
  if (told.state !== 'done') throw new Error(JSON.stringify(told));
}

/** The newest copy that the old bench has. */
async function newest(): Promise<string> {
  const [copy] = await (await fetch(`${many.address}/api/copies`)).json();
  return `/copies/${copy.name}`;
}

const [few, many] = [await serve(beginner), await serve(old)];
// Whatever happens, neither server is left behind.
process.on('exit', () => {
  for (const { child, folder } of [few, many]) {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
});
const get = (path: string) => () => fetch(many.address + path).then((answer) => answer.arrayBuffer());
async function told(name: string, what: () => Promise<unknown>): Promise<void> {
  const [bench, stored, took] = await waits(many, what);
  console.log([name.padEnd(42), ...[took, bench, stored].map((ms) => ms.toFixed(0).padStart(8))].join(' '));
}
console.log('While it runs, the longest wait, ms           takes    bench     step');
for (const [name, what] of [
  ['at the first time', () => new Promise((done) => setTimeout(done, 500))],
  ['nothing', () => new Promise((done) => setTimeout(done, 1000))],
  ['evenings, the first time', get('/api/schedule')],
  ['the log of 100,000 steps', get(`/api/works/${most}/log?steps=lines`)],
  ['the calendar', get('/api/schedule/evenings.ics')],
  ['a copy of everything', () => job(many.address, '/copies')],
  ['that copy looked through', async () => job(many.address, `${await newest()}/check`)],
] as const) {
  await told(name, what);
}
const [small, large] = [await visits(few), await visits(many)];
console.log('Pages until they are there, ms                small      old    ratio');
for (const [name, ms] of small) {
  const other = large.get(name) ?? 0;
  console.log(
    `${name.padEnd(42)} ${ms.toFixed(0).padStart(8)} ${other.toFixed(0).padStart(8)} ${(other / ms).toFixed(1).padStart(8)}`,
  );
}
await told('that copy put back, steps told to wait', async () => job(many.address, `${await newest()}/restore`));
process.exit(0);
