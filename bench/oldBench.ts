import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { must } from '@puntada/core/craft';
import { freeze, planWish } from '@puntada/core/plan';
import { type ArchiveLine, type Wish, wishSchema } from '@puntada/core/records';
import { pino } from 'pino';
import { createApp } from '../server/src/app.ts';
import type { Kept } from '../server/src/archive/read.ts';
import { restoreKept } from '../server/src/archive/restore.ts';
import { Copies } from '../server/src/copies/copies.ts';
import { openDatabase } from '../server/src/db/open.ts';
import { inThisThread } from '../server/src/heavy/heavy.ts';
import { plainYarns } from './plainYarns.ts';
import { middle } from './timing.ts';

/*
 * A bench as a busy maker has it after ten years, and the same of a beginner: how long the server takes over each page of
 * either, and over a step. Ratios travel from machine to machine; milliseconds do not.
 */

/** Numbers from a seed, always the same. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

interface Size {
  readonly works: number;
  readonly steps: number;
  /** Of the one that is worked at most. */
  readonly most: number;
  readonly photos: number;
  readonly yarns: number;
}

const beginner: Size = { works: 20, steps: 60, most: 60, photos: 10, yarns: 40 };
const old: Size = { works: 200, steps: 300, most: 100_000, photos: 500, yarns: 2000 };

function idOf(kind: number, n: number): string {
  return `${String(kind).padStart(8, '0')}-0000-4000-8000-${String(n).padStart(12, '0')}`;
}

function wishOf(n: number): Wish {
  return wishSchema.parse({
    title: `Cloth ${n}`,
    item: 'dishcloth',
    width: { by: 'stitches', count: 36 + 8 * (n % 3) },
    height: { by: 'rows', count: 44 },
    pattern: { key: 'block-check' },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: plainYarns(['A', 'B']),
  });
}

const day = 86_400_000;
const now = Date.UTC(2026, 10, 29);

/** Steps up and down through 40 rows, a minute or so each, thirty in an evening. */
function stepsOf(work: number, count: number, random: () => number) {
  const evenings = Math.ceil(count / 30);
  return Array.from({ length: count }, (_, n) => {
    const evening = now - (evenings - Math.floor(n / 30)) * day;
    const [row, up] = [n % 80, n % 80 < 40];
    const [from, to] = up ? [row, row + 1] : [80 - row, 79 - row];
    return {
      id: idOf(work + 1, n + 1),
      at: Math.round(evening + (n % 30) * 60_000 + random() * 20_000),
      place: n + 1,
      from: { rows: from, runs: 0 },
      to: { rows: to, runs: 0 },
    };
  });
}

/** A bench as it stands in a file. */
function benchOf(size: Size): Kept {
  const random = seeded(7);
  const plans = [0, 1, 2].map((n) => {
    const wish = wishOf(n);
    const plan = must(planWish(wish));
    return { wish: { ...wish, choice: { stitches: plan.piece.stitches, rows: plan.piece.rows } }, begun: freeze(plan) };
  });
  const when = new Date(now).toISOString();
  const head = { revision: 2, archived: false, deletedAt: null, notice: null, createdAt: when, changedAt: when };
  const picture = Buffer.alloc(90_000, 0x41);
  picture.writeUInt16BE(0xffd8, 0);
  async function* lines(): AsyncGenerator<ArchiveLine> {
    for (let n = 0; n < size.works; n++) {
      const plan = plans[n % 3] as (typeof plans)[number];
      const due = n % 10 ? null : '2027-03-01';
      const work = { ...head, id: idOf(9, n), state: 'begun' as const, due };
      yield { kind: 'work', ...work, wish: { ...plan.wish, title: `Cloth ${n}` }, begun: plan.begun, unread: false };
      const steps = stepsOf(n, n === 0 ? size.most : size.steps, random);
      for (let i = 0; i < steps.length; i += 500) yield { kind: 'ticks', ticks: steps.slice(i, i + 500) };
      const photos = n === 0 ? Math.min(56, size.photos) : Math.ceil((size.photos - 56) / (size.works - 1));
      for (let i = 0; i < photos; i++) {
        const id = idOf(500 + n, i);
        const entry = { format: 'puntada-entry', version: 3, kind: 'photo', id, at: now - i, row: 3 };
        yield { kind: 'entry', id, at: now - i, entry, deletedAt: null, unread: false };
      }
    }
    for (let n = 0; n < size.yarns; n++) {
      const yarn = {
        line: `Line ${n % 40}`,
        name: `Shade ${n}`,
        shade: '#24476b',
        weight: 4,
        fibre: 'cotton',
        balls: 2,
      };
      yield { kind: 'yarn', id: idOf(8, n), revision: 1, yarn, deletedAt: null, unread: false };
    }
  }
  return {
    head: { format: 'puntada-archive', version: 2, holds: 'bench', madeAt: when, stands: '', hanging: [] },
    lines,
    photo: async (_work, _entry, of) => (of === 'image' ? picture : undefined),
    close: async () => undefined,
  };
}

async function measured(size: Size): Promise<Map<string, number>> {
  const folder = mkdtempSync(join(tmpdir(), 'puntada-old-bench-'));
  const db = await openDatabase(folder);
  const times = new Map<string, number>();
  const timed = async (what: string, work: () => Promise<unknown>, rounds = 3) => {
    const all: number[] = [];
    for (let i = 0; i < rounds; i++) {
      const started = performance.now();
      await work();
      all.push(performance.now() - started);
    }
    times.set(what, middle(all));
  };
  await timed('laid out', () => db.transaction((tx) => restoreKept(tx, benchOf(size))), 1);
  const copies = new Copies(db, join(folder, 'copies'), () => new Date());
  const app = createApp({
    db,
    log: pino({ level: 'silent' }),
    heavy: inThisThread,
    copies,
    incoming: join(folder, 'incoming'),
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  const get = (path: string) => async () => (await fetch(address + path)).arrayBuffer();
  const id = idOf(9, 0);
  let step = 200_000;
  const send = (place: number) => async () => {
    const at = { rows: 1, runs: 0 };
    const tick = {
      id: idOf(77, step++),
      at: now + step,
      place: place || undefined,
      from: at,
      to: { rows: 2, runs: 0 },
    };
    const init = {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ticks: [tick] }),
    };
    const answer = await fetch(`${address}/works/${id}/ticks`, init);
    if (!answer.ok) throw new Error(await answer.text());
  };
  await timed('evenings, the first time', get('/schedule'), 1);
  await timed('bench', get('/works'));
  await timed('drawer', get('/drawer'));
  await timed('evenings', get('/schedule'));
  await timed('calendar', get('/schedule/evenings.ics'));
  await timed('pace', get('/schedule/pace'));
  await timed('a project', get(`/works/${id}`));
  await timed('its log', get(`/works/${id}/log`));
  await timed('what it weighed', get(`/works/${id}/weighings`));
  await timed('a step, the first time', send(0), 1);
  await timed('a step', send(0), 9);
  await timed('a step that comes late, by an hour', send(size.most - 60), 5);
  await timed('a step that comes late, by years', send(5), 3);
  await timed('evenings after a step', get('/schedule'), 1);
  await timed('a copy, read back', () => copies.make('asked'), 1);
  times.set('memory, MB', process.memoryUsage().rss / 1e6);
  server.closeAllConnections();
  server.close();
  await db.close();
  rmSync(folder, { recursive: true, force: true });
  return times;
}

const small = await measured(beginner);
const large = process.env.SMALL ? small : await measured(old);
console.log('Bench of ten years, ms of the server        small      old    ratio');
for (const [what, few] of small) {
  const many = large.get(what) ?? 0;
  console.log(
    `${what.padEnd(40)} ${few.toFixed(1).padStart(8)} ${many.toFixed(1).padStart(8)} ${(many / few).toFixed(1).padStart(8)}`,
  );
}
