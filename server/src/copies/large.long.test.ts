import { type ChildProcess, spawn } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { entryLabel } from '@puntada/core/records';
import { freshFolder } from '../../test/freshFolder.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';
import { openDatabase } from '../db/open.ts';
import { addEntry } from '../log/queries.ts';
import { addWork } from '../works/queries.ts';

/*
 * A gigabyte of photos goes out and comes in again, on demand: `PUNTADA_LONG=1 npm run unit -- large`. What a server needs
 * for it is the most that its process holds meanwhile, less what it holds when it has started: the database alone takes
 * hundreds of megabytes.
 */
const photos = Number(process.env.PUNTADA_PHOTOS ?? 8000);
// As large as a photo is kept.
const photoBytes = 130_000;
/** MB. */
const allowed = 400;

/** Photos that nothing can pack, each whole as a JPEG is at its ends. */
function photo(): string {
  const bytes = randomBytes(photoBytes);
  bytes.writeUInt16BE(0xffd8, 0);
  bytes.writeUInt16BE(0xffd9, photoBytes - 2);
  return `data:image/jpeg;base64,${bytes.toString('base64')}`;
}

/** What a process holds, MB; nothing once it is gone. */
function heldBy(pid: string): number {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}

class Served {
  private constructor(
    private readonly child: ChildProcess,
    readonly api: string,
    private readonly atFirst: number,
  ) {}

  static async on(data: string): Promise<Served> {
    const main = new URL('../main.ts', import.meta.url).pathname;
    const child = spawn(process.execPath, ['--import', 'tsx', main], {
      env: { ...process.env, NODE_OPTIONS: '', PUNTADA_DATA: data, PUNTADA_PORT: '0', PUNTADA_PAGES: '' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const address = await new Promise<string>((done, fail) => {
      child.stdout.on('data', (text: Buffer) => {
        const found = /http:\S+/.exec(String(text));
        if (found) done(found[0]);
      });
      child.on('exit', (code) => fail(new Error(`the server ended with ${code}`)));
    });
    const served = new Served(child, `${address}/api`, 0);
    await (await fetch(`${served.api}/works`)).arrayBuffer();
    return new Served(child, served.api, served.holds());
  }

  /** What the process holds now, and any that it has started to look through files, MB. */
  private holds(): number {
    const { pid } = this.child;
    const others = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ');
    return [String(pid), ...others.filter(Boolean)].reduce((sum, each) => sum + heldBy(each), 0);
  }

  /** Does something that takes a while. @returns what came of it, and the most that was held for it, MB */
  async job(path: string): Promise<{ result: unknown; most: number }> {
    const { id } = await (await fetch(this.api + path, { method: 'POST' })).json();
    let most = 0;
    for (;;) {
      most = Math.max(most, this.holds() - this.atFirst);
      const job = await (await fetch(`${this.api}/copies/jobs/${id}`)).json();
      if (job.state === 'failed') throw new Error(JSON.stringify(job.problems));
      if (job.state === 'done') return { result: job.result, most };
      await new Promise((next) => setTimeout(next, 20));
    }
  }

  async stop(): Promise<void> {
    const gone = new Promise((done) => this.child.once('exit', done));
    this.child.kill('SIGTERM');
    await gone;
  }
}

describe('a gigabyte of photos', () => {
  it('goes out into a file and comes in on another bench, in 400 MB', async () => {
    const [data, other, files] = [
      await freshFolder(),
      await freshFolder(),
      mkdtempSync(join(tmpdir(), 'puntada-large-')),
    ];
    const db = await openDatabase(data);
    const id = await addWork(db, galleyCloth, null);
    for (let n = 0; n < photos; n++) {
      const label = { ...entryLabel, kind: 'photo', row: 0 } as const;
      await addEntry(db, id, { ...label, id: randomUUID(), at: n, image: photo() });
    }
    await db.close();

    const one = await Served.on(data);
    const out = await one.job('/copies');
    const file = join(files, 'bench.zip');
    const answer = await fetch(`${one.api}/copies/${(out.result as { name: string }).name}`);
    await pipeline(Readable.fromWeb(answer.body as ReadableStream), createWriteStream(file));
    await one.stop();
    expect(statSync(file).size).toBeGreaterThan(photos * photoBytes);

    const two = await Served.on(other);
    const { id: incoming } = await (await fetch(`${two.api}/incoming`, { method: 'POST' })).json();
    const handle = await open(file);
    for await (const piece of handle.createReadStream({ highWaterMark: 4_000_000 })) {
      const at = (await (await fetch(`${two.api}/incoming/${incoming}`)).json()).at;
      await fetch(`${two.api}/incoming/${incoming}?at=${at}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/octet-stream' },
        body: piece,
      });
    }
    const back = await two.job(`/incoming/${incoming}/restore`);
    await two.stop();
    const again = await openDatabase(other);
    const { rows } = await again.query(
      'select count(*)::integer as photos, sum(octet_length(image)) as bytes from photos',
    );
    await again.close();
    expect(rows).toEqual([{ photos, bytes: photos * photoBytes }]);
    console.info(`Out: ${out.most.toFixed(0)} MB more than at rest; in: ${back.most.toFixed(0)} MB.`);
    expect(out.most).toBeLessThan(allowed);
    expect(back.most).toBeLessThan(allowed);
    for (const folder of [data, other, files]) rmSync(folder, { recursive: true, force: true });
  }, 900_000);
});
