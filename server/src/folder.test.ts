import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshFolder } from '../test/freshFolder.ts';
import { type Answer, listen } from '../test/listening.ts';
import { at, galleyCloth, tick } from '../test/sampleWorks.ts';
import { FolderHeldError, holdFolder } from './db/lock.ts';
import { openDatabase } from './db/open.ts';

describe('the data folder', () => {
  it('is held by one process at a time', async () => {
    const { folder, close } = await listen();
    await expect(openDatabase(folder)).rejects.toThrow(FolderHeldError);
    await expect(openDatabase(folder)).rejects.toThrow(`process ${process.pid}`);
    await close();
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

/** Kills of the server: a few with every run, a thousand with `PUNTADA_KILLS=1000 npm run unit -- folder`. */
const kills = Number(process.env.PUNTADA_KILLS ?? 3);

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

  it(
    'every acknowledged tick is there on the next start',
    async () => {
      const data = await freshFolder();
      const acknowledged = new Set<string>();
      let id = '';
      let row = 0;
      for (let round = 0; round < kills; round++) {
        const port = await startServer(data);
        const send = async (path: string, body: unknown) => {
          const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
          return (await fetch(`http://127.0.0.1:${port}/api${path}`, init)).json() as Promise<Answer['body']>;
        };
        if (!id) {
          id = (await send('/works', { wish: galleyCloth })).id;
          await send(`/works/${id}/begin`, { revision: 1, wish: galleyCloth });
        }
        const gone = new Promise((done) => child.on('exit', done));
        const enough = acknowledged.size + 3 + (round % 5);
        try {
          for (; ; row++) {
            // Forty-three rows up, then back to the beginning and on.
            const step = tick(at(row % 43), at((row + 1) % 43), row + 1);
            const answer = await send(`/works/${id}/ticks`, { ticks: [step] });
            for (const stored of answer.stored) acknowledged.add(stored);
            if (acknowledged.size === enough) setTimeout(() => child.kill('SIGKILL'), (round * 7) % 40);
          }
        } catch {
          // The server was killed under the request; that row is sent again with the next start.
        }
        await gone;
      }
      const opened = await openDatabase(data);
      const kept = await opened.query('select id from ticks where work_id = $1', [id]);
      await opened.close();
      const stored = new Set(kept.rows.map((each) => each.id));
      expect(acknowledged.size).toBeGreaterThanOrEqual(3 * kills);
      expect([...acknowledged].filter((each) => !stored.has(each))).toEqual([]);
      rmSync(data, { recursive: true, force: true });
    },
    60_000 + 30_000 * kills,
  );
});
