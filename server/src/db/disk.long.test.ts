import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshFolder } from '../../test/freshFolder.ts';
import { at, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { openDatabase } from './open.ts';

/*
 * Disks of their own, which only an administrator may lay out: on demand, `PUNTADA_LONG=1 npm run unit -- disk`.
 */
describe('a disk', () => {
  let disk: string;
  const mount = (...options: string[]) => execFileSync('mount', [...options, disk]);
  beforeEach(() => {
    disk = mkdtempSync(join(tmpdir(), 'puntada-disk-'));
  });
  afterEach(() => {
    execFileSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  });

  /** Starts a server on the disk. @returns its port, or what it said as it ended */
  function start(): Promise<{ port?: number; told?: string; stop: () => Promise<unknown> }> {
    const main = new URL('../main.ts', import.meta.url).pathname;
    const env = { ...process.env, NODE_OPTIONS: '', PUNTADA_DATA: disk, PUNTADA_PORT: '0', PUNTADA_PAGES: '' };
    const child = spawn(process.execPath, ['--import', 'tsx', main], {
      env: { ...env, PUNTADA_LOG: 'silent' },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const gone = new Promise((done) => child.on('exit', done));
    const stop = () => {
      child.kill('SIGTERM');
      return gone;
    };
    let told = '';
    child.stderr.on('data', (text: Buffer) => {
      told += text;
    });
    return new Promise((done) => {
      child.stdout.on('data', (text: Buffer) => {
        const found = /:(\d+)\n/.exec(String(text));
        if (found) done({ port: Number(found[1]), stop });
      });
      child.on('exit', () => done({ told, stop }));
    });
  }

  async function laidOut(size: string): Promise<void> {
    mount('-t', 'tmpfs', '-o', `size=${size}`, 'tmpfs');
    const folder = await freshFolder();
    cpSync(folder, disk, { recursive: true });
    rmSync(folder, { recursive: true, force: true });
  }

  const fill = (name: string) => {
    try {
      for (let i = 0; ; i++) writeFileSync(join(disk, `${name}-${i}`), Buffer.alloc(i < 400 ? 1_000_000 : 512));
    } catch {
      // Not a byte more goes onto it.
    }
  };
  const makeRoom = (name: string) => {
    for (const each of readdirSync(disk)) if (each.startsWith(name)) rmSync(join(disk, each));
  };

  it('that is full from the start is told in one plain message, and opens once there is room', async () => {
    await laidOut('120m');
    fill('films');
    const { told } = await start();
    expect(told?.split('\n').slice(0, 2)).toEqual([
      `Puntada cannot open its data in ${disk}.`,
      'Found: the disk is full.',
    ]);
    makeRoom('films');
    const { port, stop } = await start();
    expect(port).toBeGreaterThan(0);
    await stop();
  }, 60_000);

  it('that fills up under the work says so, keeps every step it has acknowledged, and goes on once there is room', async () => {
    await laidOut('160m');
    const first = await start();
    const send = async (port: number | undefined, path: string, body: unknown) => {
      const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
      const response = await fetch(`http://127.0.0.1:${port}/api${path}`, init);
      return { status: response.status, body: await response.json() };
    };
    const { id } = (await send(first.port, '/works', { wish: galleyCloth })).body;
    await send(first.port, `/works/${id}/begin`, { revision: 1, wish: galleyCloth });
    writeFileSync(join(disk, 'last'), Buffer.alloc(400_000));
    fill('films');
    rmSync(join(disk, 'last'));
    const kept: string[] = [];
    const refused = new Set<string>();
    let row = 0;
    const note = { kind: 'note', row: 1, text: 'Kettle. '.repeat(200) };
    // Notes fill what the database has left of its own; steps go on as long as they can be kept.
    for (; row < 4000 && refused.size === 0; row++) {
      const step = tick(at(row % 43), at((row + 1) % 43), row + 1);
      const { status, body } = await send(first.port, `/works/${id}/ticks`, { ticks: [step] }).catch(() => ({
        status: 0,
        body: { problems: [{ code: 'gone' }] },
      }));
      if (status === 200) kept.push(step.id);
      else refused.add(body.problems[0].code);
      await send(first.port, `/works/${id}/log`, { entry: { ...note, id: crypto.randomUUID(), at: row } }).catch(
        () => undefined,
      );
    }
    expect([...refused].filter((code) => !['disk-full', 'gone'].includes(code))).toEqual([]);
    await first.stop();
    makeRoom('films');
    const again = await openDatabase(disk);
    const { rows } = await again.query('select id from ticks where work_id = $1', [id]);
    await again.close();
    const there = new Set(rows.map((each) => each.id));
    expect(kept.length).toBeGreaterThan(0);
    expect(kept.filter((each) => !there.has(each))).toEqual([]);
  }, 120_000);

  it('that may only be read is told in one plain message', async () => {
    await laidOut('120m');
    mount('-o', 'remount,ro');
    const { told } = await start();
    expect(told?.split('\n').slice(0, 2)).toEqual([
      `Puntada cannot open its data in ${disk}.`,
      'Found: this account may not read or write there.',
    ]);
  }, 60_000);
});
