import { type ChildProcess, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test as plain } from '@playwright/test';

const root = dirname(dirname(fileURLToPath(import.meta.url)));

async function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => (address && typeof address === 'object' ? done(address.port) : fail(new Error('no port'))));
    });
  });
}

/** A built server with a data folder of its own, that can be killed and started again at the same address. */
export class TestServer {
  readonly address: string;
  private readonly port: number;
  private readonly data = mkdtempSync(join(tmpdir(), 'puntada-e2e-'));
  private child: ChildProcess | undefined;

  private constructor(port: number) {
    this.port = port;
    this.address = `http://127.0.0.1:${port}`;
  }

  /** @param template a data folder to begin with, since making a new one takes seconds */
  static async create(template?: string): Promise<TestServer> {
    const server = new TestServer(await freePort());
    if (template) cpSync(template, server.data, { recursive: true });
    await server.start();
    return server;
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['server/dist/main.mjs'], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        PUNTADA_DATA: this.data,
        PUNTADA_PORT: String(this.port),
        PUNTADA_PAGES: join(root, 'web/dist'),
      },
    });
    this.child = child;
    await new Promise<void>((done, fail) => {
      child.stdout?.once('data', () => done());
      child.once('exit', (code) => fail(new Error(`the server ended with ${code}`)));
    });
  }

  /** As when the plug is pulled. */
  async kill(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }

  /** Stops as a person would stop it. @returns its data folder */
  async stop(): Promise<string> {
    const { child } = this;
    if (child) {
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      await gone;
    }
    return this.data;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }

  /** Puts what a file says in place of everything that is there. */
  async putBack(file: string): Promise<void> {
    const { id } = await this.post<{ id: string }>('/incoming', {});
    const piece = { method: 'PUT', headers: { 'content-type': 'application/octet-stream' }, body: file };
    await fetch(`${this.address}/api/incoming/${id}?at=0`, piece);
    let job = await this.post<{ id: string; state: string }>(`/incoming/${id}/restore`, {});
    while (job.state === 'running') {
      await new Promise((done) => setTimeout(done, 10));
      job = await this.get(`/copies/jobs/${job.id}`);
    }
    if (job.state !== 'done') throw new Error(JSON.stringify(job));
  }

  post<T>(path: string, body: unknown): Promise<T> {
    return this.send('POST', path, body);
  }

  put<T>(path: string, body: unknown): Promise<T> {
    return this.send('PUT', path, body);
  }

  private async send<T>(method: string, path: string, body: unknown): Promise<T> {
    const response = await fetch(`${this.address}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(`${path}: ${await response.text()}`);
    return (await response.json()) as T;
  }

  async get<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.address}/api${path}`)).json()) as T;
  }
}

const contents = { works: [], drawer: [], swatches: [], drafts: [], preferences: null };

/** A bench with nothing on it, as the first version backed it up. */
const nothing = {
  ...{ format: 'puntada-backup', version: 1, madeAt: '2026-01-01T00:00:00.000Z' },
  seal: createHash('sha256').update(JSON.stringify(contents)).digest('hex'),
  contents,
};

interface Usual {
  /** A maker who has never been here; else every part of an idea is open, as it stays once it was opened. */
  firstUse: boolean;
  /** A server of this test's own, empty, that may be killed. */
  ownServer: TestServer;
  /** A server that runs on from test to test, emptied before each. */
  server: TestServer;
}

interface Lasting {
  sharedServer: TestServer;
}

export const test = plain.extend<Usual, Lasting>({
  firstUse: [false, { option: true }],
  page: async ({ page, firstUse }, use) => {
    if (!firstUse) {
      await page.addInitScript(() => {
        const parts = ['about', 'size', 'pattern', 'yarns', 'label', 'gauge', 'finish'];
        localStorage.getItem('puntada.idea') ?? localStorage.setItem('puntada.idea', JSON.stringify(parts));
      });
    }
    // Whatever a page does, it does within the policy of the server.
    const outside: string[] = [];
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) outside.push(message.text());
    });
    await use(page);
    expect(outside).toEqual([]);
  },
  sharedServer: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner reads the names of its fixtures from this pattern
    async ({}, use) => {
      const server = await TestServer.create(process.env.PUNTADA_E2E_TEMPLATE);
      await use(server);
      await server.remove();
    },
    { scope: 'worker' },
  ],
  server: async ({ sharedServer: server }, use) => {
    await server.putBack(JSON.stringify(nothing));
    await use(server);
  },
  // biome-ignore lint/correctness/noEmptyPattern: as above
  ownServer: async ({}, use) => {
    const server = await TestServer.create(process.env.PUNTADA_E2E_TEMPLATE);
    await use(server);
    await server.remove();
  },
});

export { expect } from '@playwright/test';

/** The galley cloth as it is wished for: 24 × 24 cm, block check 4 × 4 in sc, 16 × 18 to 10 cm. */
const galleyCloth = JSON.parse(readFileSync(join(root, 'docs/examples/galley-cloth.json'), 'utf8')) as object;

interface Made {
  readonly id: string;
  readonly wish: unknown;
}

/** A cloth only wished for. @returns its id */
export async function wishedCloth(server: TestServer, change: object = {}): Promise<string> {
  return (await server.post<Made>('/works', { wish: { ...galleyCloth, ...change } })).id;
}

/** Where the counter stands after the chain and so many rows of the first cloth. */
export const at = (rows: number, runs = 0) => ({ rows: 1 + rows, runs });

/** Before anything is worked. */
export const start = { rows: 0, runs: 0 };

/** A cloth begun, with its chain made just now. @returns its id */
export async function begunCloth(server: TestServer, change: object = {}): Promise<string> {
  const id = await startedCloth(server, change);
  const tick = { id: crypto.randomUUID(), at: Date.now(), from: start, to: at(0) };
  await server.post(`/works/${id}/ticks`, { ticks: [tick] });
  return id;
}

/** A cloth begun, nothing of it made. @returns its id */
export async function startedCloth(server: TestServer, change: object = {}): Promise<string> {
  const made = await server.post<Made>('/works', { wish: { ...galleyCloth, ...change } });
  await server.post(`/works/${made.id}/begin`, { revision: 1, wish: made.wish });
  return made.id;
}

/** Makes the chain in hand, all of it at once, as a maker does who has counted it already. */
export async function pastChain(page: Page): Promise<void> {
  await expect(page.getByTestId('step-name')).toHaveText(/^Chain \d+$/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toBeVisible();
}

/** A swatch that is counted and weighed. */
export async function weighedSwatch(server: TestServer): Promise<string> {
  const count = (what: string, stitches: number) => ({ what, count: stitches, over: '10 cm', washed: false });
  const swatch = {
    title: 'Lone sail, 5 mm',
    units: 'cm',
    pattern: { key: 'lone-sail' },
    hook: 5,
    policy: 'carry-always',
    yarns: ['#e9dfc4', '#24476b'].map((shade, i) => ({
      ...{ letter: 'AB'[i], name: `Yarn ${'AB'[i]}`, shade, weight: 4, fibre: 'cotton' },
      ...{ ballMetres: 85, ballGrams: 50 },
    })),
    counts: [count('stitches', 16), count('rows', 18)],
    weight: { grams: 40, scale: 1 },
  };
  return (await server.post<{ id: string }>('/swatches', { swatch })).id;
}
