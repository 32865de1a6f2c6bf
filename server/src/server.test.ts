import { type ChildProcess, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { FolderHeldError, holdFolder } from './db/lock.ts';
import { type OpenDatabase, openDatabase } from './db/open.ts';

const wish = JSON.parse(readFileSync(new URL('../../docs/examples/galley-cloth.json', import.meta.url), 'utf8'));

interface Answer {
  readonly status: number;
  // biome-ignore lint/suspicious/noExplicitAny: the tests read whatever was answered
  readonly body: any;
}

let folder: string;
let database: OpenDatabase;
let server: Server;

async function listen(): Promise<void> {
  database = await openDatabase(folder);
  const app = createApp({ db: database.db, log: pino({ level: 'silent' }) });
  server = await new Promise<Server>((done) => {
    const listening = app.listen(0, '127.0.0.1', () => done(listening));
  });
}

async function ask(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer> {
  const { port } = server.address() as AddressInfo;
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  const response = await fetch(`http://127.0.0.1:${port}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: text }),
  });
  return { status: response.status, body: await response.json() };
}

async function begunWork(): Promise<string> {
  const { body: made } = await ask('POST', '/works', { wish });
  const { body: begun } = await ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
  expect(begun.state).toBe('begun');
  return made.id;
}

const at = (rows: number, runs = 0) => ({ rows, runs });
const tick = (from: object, to: object, time: number) => ({ id: randomUUID(), at: time, from, to });

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'puntada-server-'));
  await listen();
}, 60000);

afterAll(async () => {
  server.close();
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('works', () => {
  it('keeps a wish as it was typed', async () => {
    const { status, body } = await ask('POST', '/works', {
      wish: { ...wish, units: 'in', width: { by: 'length', length: '9 1/2 in' } },
    });
    expect(status).toBe(201);
    expect(body).toMatchObject({ state: 'wished', revision: 1, size: null, begun: null });
    expect(body.wish.width.length).toBe('9 1/2 in');
    expect((await ask('GET', `/works/${body.id}`)).body).toEqual(body);
  });

  it('freezes the laid fabric when it is begun', async () => {
    const id = await begunWork();
    const { body } = await ask('GET', `/works/${id}`);
    expect(body.size).toEqual({ stitches: 36, rows: 44 });
    expect(body.begun.rows).toHaveLength(2);
    expect(body.begun.rows[0]).toBe('4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A');
    expect(body.wish.choice).toEqual({ stitches: 36, rows: 44 });
  });

  it('refuses a change made on a stale copy, brings the fresh state, and overwrites nothing', async () => {
    const { body: made } = await ask('POST', '/works', { wish });
    await ask('PUT', `/works/${made.id}`, { revision: 1, wish: { ...wish, title: 'From one tab' } });
    const late = await ask('PUT', `/works/${made.id}`, { revision: 1, wish: { ...wish, title: 'From another' } });
    expect(late.status).toBe(409);
    expect(late.body.problems[0].message).toContain('Nothing was overwritten');
    expect(late.body.fresh.wish.title).toBe('From one tab');
    expect((await ask('GET', `/works/${made.id}`)).body.wish.title).toBe('From one tab');
  });

  it('does not change the plan of a begun work', async () => {
    const id = await begunWork();
    const late = await ask('PUT', `/works/${id}`, { revision: 2, wish });
    expect(late.status).toBe(409);
    expect(late.body.problems[0].message).toContain('already begun');
  });

  it('is finished only after its last row', async () => {
    const id = await begunWork();
    const early = await ask('POST', `/works/${id}/finish`, { revision: 2 });
    expect(early.status).toBe(409);
    expect(early.body.problems[0].message).toContain('Row 1 of 44');
    await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(43), at(44), 5)] });
    expect((await ask('POST', `/works/${id}/finish`, { revision: 2 })).body.state).toBe('finished');
  });
});

describe('works of every technique', () => {
  const made = [
    ['spires', 2],
    ['back-teeth', 2],
    ['quay-linen', 2],
    ['landing-steps', 3],
    ['portholes', 3],
    ['anchor-diamonds', 2],
    ['tide-marks', 2],
    ['two-nets', 2],
    ['storm-lantern', 3],
    ['windlass', 2],
    ['rain-marks', 2],
    ['sea-chest', 2],
  ] as const;
  it.each(made)('%s is wished, begun, and its first row ticked', async (key, colours) => {
    const [a] = wish.yarns;
    const yarns = [...'ABC'.slice(0, colours)].map((letter) => ({ ...a, letter }));
    const own = { ...wish, pattern: { key }, yarns, edges: 'whole', ending: 'whole', gauge: { from: 'typical' } };
    const size = { width: { by: 'length', length: '40 cm' }, height: { by: 'length', length: '40 cm' } };
    const { status, body: work } = await ask('POST', '/works', { wish: { ...own, ...size } });
    expect([status, work.problems]).toEqual([201, undefined]);
    const begun = await ask('POST', `/works/${work.id}/begin`, { revision: work.revision, wish: work.wish });
    expect(begun.body.state).toBe('begun');
    const ticked = await ask('POST', `/works/${work.id}/ticks`, { ticks: [tick(at(0), at(1), 1)] });
    expect(ticked.status).toBe(200);
    expect((await ask('GET', `/works/${work.id}`)).body.progress).toEqual(at(1));
  });
});

describe('ticks', () => {
  it('count once, however often they are sent', async () => {
    const id = await begunWork();
    const ticks = [tick(at(0), at(1), 100), tick(at(1), at(1, 3), 101)];
    const first = await ask('POST', `/works/${id}/ticks`, { ticks });
    expect(first.body).toEqual({ progress: at(1, 3), stored: ticks.map((each) => each.id) });
    expect((await ask('POST', `/works/${id}/ticks`, { ticks })).body.progress).toEqual(at(1, 3));
    const count = await database.db.query('select count(*)::integer as n from ticks where work_id = $1', [id]);
    expect(count.rows).toEqual([{ n: 2 }]);
  });

  it('that come late are put in their order', async () => {
    const id = await begunWork();
    await ask('POST', `/works/${id}/ticks`, {
      ticks: [tick(at(0), at(1), 10), tick(at(1), at(2), 20), tick(at(2), at(1), 40)],
    });
    // Another device worked two more rows before the step back; it comes back into reach only now.
    const late = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(2), at(3), 30)] });
    expect(late.body.progress).toEqual(at(3));
  });

  it('merge to the same place whichever device comes first', async () => {
    const tablet = [tick(at(0), at(1), 10), tick(at(1), at(2), 30)];
    const phone = [tick(at(0), at(0, 4), 20), tick(at(0, 4), at(1), 25), tick(at(1), at(1, 2), 40)];
    const places = [];
    for (const order of [
      [tablet, phone],
      [phone, tablet],
    ]) {
      const id = await begunWork();
      for (const ticks of order) await ask('POST', `/works/${id}/ticks`, { ticks });
      places.push((await ask('GET', `/works/${id}`)).body.progress);
    }
    expect(places).toEqual([at(2), at(2)]);
  });

  it('outside the work, or of a work not begun, are refused and change nothing', async () => {
    const id = await begunWork();
    const far = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(45), 1)] });
    expect([far.status, far.body.problems[0].path]).toEqual([422, 'ticks.0.to']);
    const wide = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(0, 9), 1)] });
    expect(wide.status).toBe(422);
    expect((await ask('GET', `/works/${id}`)).body.progress).toEqual(at(0));
    const { body: wished } = await ask('POST', '/works', { wish });
    expect((await ask('POST', `/works/${wished.id}/ticks`, { ticks: [tick(at(0), at(1), 1)] })).status).toBe(409);
  });
});

describe('bad input', () => {
  it.each([
    ['malformed JSON', '{"wish": ', 400, 'json-malformed'],
    ['a 10 MB body', JSON.stringify({ wish: 'x'.repeat(10_000_000) }), 413, 'out-of-range'],
    ['an unknown pattern', { wish: { ...wish, pattern: { key: 'no-such' } } }, 422, 'pattern-unknown'],
    ['a negative size', { wish: { ...wish, width: { by: 'length', length: '-3 cm' } } }, 422, 'out-of-range'],
    [
      'a gauge of zero',
      { wish: { ...wish, gauge: { ...wish.gauge, stitches: { count: 0, over: '10 cm' } } } },
      422,
      'out-of-range',
    ],
    ['letters in numbers', { wish: { ...wish, height: { by: 'rows', count: 'many' } } }, 422, 'field-wrong'],
    [
      'a wish narrower than one repeat',
      { wish: { ...wish, width: { by: 'length', length: '3 cm' } } },
      422,
      'narrower-than-repeat',
    ],
    ['nothing', {}, 422, 'field-missing'],
  ])('%s is refused with a sentence and a hint, and stores nothing', async (_what, body, status, code) => {
    const before = (await ask('GET', '/works')).body.length;
    const answer = await ask('POST', '/works', body);
    expect(answer.status).toBe(status);
    expect(answer.body.problems[0].code).toBe(code);
    expect(answer.body.problems[0].message.length).toBeGreaterThan(10);
    expect(answer.body.problems[0].hint.length).toBeGreaterThan(5);
    expect((await ask('GET', '/works')).body).toHaveLength(before);
  });

  it('answers no page from elsewhere, and knows no other address', async () => {
    const { request } = await import('node:http');
    const { port } = server.address() as AddressInfo;
    const status = await new Promise<number | undefined>((done) => {
      request({ port, host: '127.0.0.1', path: '/api/works', headers: { host: 'elsewhere.example' } }, (r) =>
        done(r.statusCode),
      ).end();
    });
    expect(status).toBe(403);
    expect((await ask('GET', '/nowhere')).status).toBe(404);
    expect((await ask('GET', '/works/not-an-id')).status).toBe(404);
  });
});

describe('preferences and plans', () => {
  it('remembers how the maker reads', async () => {
    expect((await ask('GET', '/preferences')).body).toEqual({ units: 'cm', terms: 'US', hand: 'right' });
    await ask('PUT', '/preferences', { units: 'in', terms: 'UK', hand: 'left' });
    expect((await ask('GET', '/preferences')).body).toEqual({ units: 'in', terms: 'UK', hand: 'left' });
    expect((await ask('PUT', '/preferences', { units: 'ell', terms: 'UK', hand: 'left' })).status).toBe(422);
  });

  it('plans without storing', async () => {
    const { body } = await ask('POST', '/plan', wish);
    expect(body.foundation.chains).toBe(37);
    expect(body.rows).toHaveLength(44);
  });
});

describe('the data folder', () => {
  it('is held by one process at a time', async () => {
    await expect(openDatabase(folder)).rejects.toThrow(FolderHeldError);
    await expect(openDatabase(folder)).rejects.toThrow(`process ${process.pid}`);
  });

  it('is taken over from a process that is gone, and from one whose number was given out again', () => {
    const own = mkdtempSync(join(tmpdir(), 'puntada-lock-'));
    writeFileSync(join(own, 'held-by'), '999999999 1\n');
    holdFolder(own)();
    writeFileSync(join(own, 'held-by'), `${process.pid} 1\n`);
    const release = holdFolder(own);
    expect(readFileSync(join(own, 'held-by'), 'utf8')).toMatch(new RegExp(`^${process.pid} `));
    expect(() => holdFolder(own)).toThrow(FolderHeldError);
    release();
    rmSync(own, { recursive: true });
  });
});

describe('killed at any instant', () => {
  let child: ChildProcess;

  async function startServer(data: string): Promise<number> {
    const main = new URL('./main.ts', import.meta.url).pathname;
    child = spawn(process.execPath, ['--import', 'tsx', main], {
      env: { ...process.env, NODE_OPTIONS: '', PUNTADA_DATA: data, PUNTADA_PORT: '0', PUNTADA_PAGES: '' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    return new Promise((done, fail) => {
      child.stdout?.on('data', (text: Buffer) => {
        const found = /:(\d+)\n/.exec(String(text));
        if (found) done(Number(found[1]));
      });
      child.on('exit', (code) => fail(new Error(`the server ended with ${code}`)));
    });
  }

  it('every acknowledged tick is there on the next start', async () => {
    const data = mkdtempSync(join(tmpdir(), 'puntada-kill-'));
    const acknowledged = new Set<string>();
    let id = '';
    let row = 0;
    for (let round = 0; round < 4; round++) {
      const port = await startServer(data);
      const send = async (path: string, body: unknown) => {
        const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
        return (await fetch(`http://127.0.0.1:${port}/api${path}`, init)).json() as Promise<Answer['body']>;
      };
      if (!id) {
        id = (await send('/works', { wish })).id;
        await send(`/works/${id}/begin`, { revision: 1, wish });
      }
      const gone = new Promise((done) => child.on('exit', done));
      const enough = acknowledged.size + 3 + round;
      try {
        for (; row < 44; row++) {
          const step = tick(at(row), at(row + 1), row + 1);
          const answer = await send(`/works/${id}/ticks`, { ticks: [step] });
          for (const stored of answer.stored) acknowledged.add(stored);
          if (acknowledged.size === enough) setTimeout(() => child.kill('SIGKILL'), round * 7);
        }
      } catch {
        // The server was killed under the request; that row is sent again with the next start.
      }
      await gone;
    }
    const opened = await openDatabase(data);
    const kept = await opened.db.query<{ id: string }>('select id from ticks where work_id = $1', [id]);
    await opened.close();
    const stored = new Set(kept.rows.map((each) => each.id));
    expect(acknowledged.size).toBeGreaterThanOrEqual(3 + 4 + 5 + 6);
    expect([...acknowledged].filter((each) => !stored.has(each))).toEqual([]);
    rmSync(data, { recursive: true, force: true });
  }, 120000);
});
