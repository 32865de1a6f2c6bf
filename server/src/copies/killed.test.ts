import { type ChildProcess, spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { backUp, give } from '../../test/archives.ts';
import { freshFolder } from '../../test/freshFolder.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { begunCloth, galleyCloth } from '../../test/sampleWorks.ts';
import { openDatabase } from '../db/open.ts';
import { listWorks } from '../works/queries.ts';

/** Kills of a server that is putting a bench back: a few with every run, more with `PUNTADA_KILLS=30 npm run unit -- killed`. */
const kills = Number(process.env.PUNTADA_KILLS ?? 3);

async function start(data: string): Promise<{ child: ChildProcess; port: number }> {
  const main = new URL('../main.ts', import.meta.url).pathname;
  const child = spawn(process.execPath, ['--import', 'tsx', main], {
    env: { ...process.env, NODE_OPTIONS: '', PUNTADA_DATA: data, PUNTADA_PORT: '0', PUNTADA_PAGES: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const port = await new Promise<number>((done, fail) => {
    child.stdout.on('data', (text: Buffer) => {
      const found = /:(\d+)\n/.exec(String(text));
      if (found) done(Number(found[1]));
    });
    child.on('exit', (code) => fail(new Error(`the server ended with ${code}`)));
  });
  return { child, port };
}

describe('a server that is killed while it puts a bench back', () => {
  it(
    'holds the whole of the one before or the whole of the new one',
    async () => {
      const other = await listen();
      for (let n = 0; n < 6; n++) await begunCloth(other, 5 + n);
      const backup = await backUp(other);
      await other.close();
      const seen = new Set<string>();
      for (let round = 0; round < kills; round++) {
        const data = await freshFolder();
        const { child, port } = await start(data);
        const asked: Pick<Listening, 'port' | 'ask'> = {
          port,
          async ask(method, path, body) {
            const init = { method, headers: { 'content-type': 'application/json' } };
            const response = await fetch(
              `http://127.0.0.1:${port}/api${path}`,
              body === undefined ? init : { ...init, body: JSON.stringify(body) },
            );
            return { status: response.status, body: await response.json() };
          },
        };
        await asked.ask('POST', '/works', { wish: { ...galleyCloth, title: 'Mine' } });
        const id = await give(asked as Listening, backup);
        const gone = new Promise((done) => child.once('exit', done));
        await asked.ask('POST', `/incoming/${id}/restore`);
        // From the first piece to some time after the last.
        setTimeout(() => child.kill('SIGKILL'), (round * 97) % 900);
        await gone;
        const db = await openDatabase(data);
        const titles = (await listWorks(db)).map(({ wish }) => wish.title);
        await db.close();
        const all = titles.length === 6 && !titles.includes('Mine');
        expect([round, all || titles.join() === 'Mine']).toEqual([round, true]);
        seen.add(all ? 'new' : 'before');
        rmSync(data, { recursive: true, force: true });
      }
      expect(seen.size).toBeGreaterThan(0);
    },
    60_000 + 15_000 * kills,
  );
});
