import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from '../server/src/app.ts';
import { restoreKept } from '../server/src/archive/restore.ts';
import { Copies } from '../server/src/copies/copies.ts';
import { openDatabase } from '../server/src/db/open.ts';
import { count } from '../server/src/db/tidy.ts';
import { inThisThread } from '../server/src/heavy/heavy.ts';
import { reckoningFrom } from '../server/src/schedule/reckoning.ts';
import { beginner, benchOf, idOf, now, old, type Size } from './oldYears.ts';
import { middle } from './timing.ts';

/*
 * A bench as a busy maker has it after ten years, and the same of a beginner: how long the server takes over each page of
 * either, and over a step. Ratios travel from machine to machine; milliseconds do not.
 */

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
  await count(db);
  const copies = new Copies(db, join(folder, 'copies'), () => new Date());
  const app = createApp({
    db,
    log: pino({ level: 'silent' }),
    heavy: inThisThread,
    reckoning: reckoningFrom(db),
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
