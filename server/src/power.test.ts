import { type ChildProcess, spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { freshFolder } from '../test/freshFolder.ts';
import type { Answer } from '../test/listening.ts';
import { at, galleyCloth, tick } from '../test/sampleWorks.ts';
import { openDatabase } from './db/open.ts';

/** Cuts of the power: a few with every run, more with `PUNTADA_CUTS=200 npm run unit -- power`. */
const cuts = Number(process.env.PUNTADA_CUTS ?? 3);

/** Starts a server whose power fails at its n-th write. @returns its port; undefined where it fails before it listens */
async function start(data: string, cutAt: number, seed: number): Promise<{ port?: number; child: ChildProcess }> {
  const [cut, main] = ['../test/powerCut.mjs', './main.ts'].map((path) => new URL(path, import.meta.url).pathname);
  const child = spawn(process.execPath, ['--import', cut as string, '--import', 'tsx', main as string], {
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      PUNTADA_DATA: data,
      PUNTADA_PORT: '0',
      PUNTADA_PAGES: '',
      PUNTADA_CUT_AT: String(cutAt),
      PUNTADA_CUT_SEED: String(seed),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((done, fail) => {
    child.stdout?.on('data', (text: Buffer) => {
      const found = /:(\d+)\n/.exec(String(text));
      if (found) done({ port: Number(found[1]), child });
    });
    child.on('exit', (code, signal) => {
      if (signal === 'SIGKILL') done({ child });
      else fail(new Error(`the server ended with ${code}`));
    });
  });
}

describe('a power cut at any write', () => {
  it(
    'loses nothing that was acknowledged, and the database opens again',
    async () => {
      const data = await freshFolder();
      const acknowledged = new Set<string>();
      let id = '';
      let row = 0;
      for (let round = 0; round < cuts; round++) {
        // A start writes some hundred and eighty times: every third cut falls into one, the others behind it.
        const cutAt = round % 3 === 2 ? 1 + ((round * 37) % 180) : 240 + ((round * 53) % 120);
        const { port, child } = await start(data, cutAt, 1 + round);
        if (port === undefined) continue;
        const gone = new Promise((done) => child.on('exit', done));
        const send = async (path: string, body: unknown) => {
          const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
          return (await fetch(`http://127.0.0.1:${port}/api${path}`, init)).json() as Promise<Answer['body']>;
        };
        try {
          if (!id) {
            id = (await send('/works', { wish: galleyCloth })).id;
            await send(`/works/${id}/begin`, { revision: 1, wish: galleyCloth });
          }
          for (; ; row++) {
            const step = tick(at(row % 43), at((row + 1) % 43), row + 1);
            for (const stored of (await send(`/works/${id}/ticks`, { ticks: [step] })).stored) acknowledged.add(stored);
          }
        } catch {
          // The power failed under the request; that row is sent again with the next start.
        }
        child.kill('SIGKILL');
        await gone;
      }
      const opened = await openDatabase(data);
      const kept = await opened.query('select id from ticks where work_id = $1', [id]);
      await opened.close();
      const stored = new Set(kept.rows.map((each) => each.id));
      expect(acknowledged.size).toBeGreaterThan(0);
      expect([...acknowledged].filter((each) => !stored.has(each))).toEqual([]);
      rmSync(data, { recursive: true, force: true });
    },
    60_000 + 15_000 * cuts,
  );
});
