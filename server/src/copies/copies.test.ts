import { randomUUID } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { problemWords } from '@puntada/core/words';
import {
  backUp,
  ended,
  everything,
  give,
  headOf,
  type Line,
  linesOf,
  putBack,
  rewritten,
  sealed,
} from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { Copies } from './copies.ts';

/** Bytes that are turned over: a few with every run, more with `PUNTADA_DAMAGES=2000 npm run unit -- copies`. */
const damages = Number(process.env.PUNTADA_DAMAGES ?? 14);

/** Files that are changed and sealed again; more with `PUNTADA_RESEALED=100`. */
const resealed = Number(process.env.PUNTADA_RESEALED ?? 8);

let one: Listening;
let other: Listening;
beforeAll(async () => {
  one = await listen();
  other = await listen();
}, 60000);
afterAll(async () => {
  await one.close();
  await other.close();
});

// The smallest that begins and ends as a JPEG does.
const jpeg = Buffer.from([0xff, 0xd8, 0xff, 0xd9]);
const image = `data:image/jpeg;base64,${jpeg.toString('base64')}`;

/** A work begun with three rows, a note, a deleted note and a photo; a draft; preferences. */
async function fill(server: Listening): Promise<{ id: string; photo: string }> {
  const id = await begunCloth(server, 3);
  const [photo, gone] = [randomUUID(), randomUUID()];
  const entries = [
    { id: randomUUID(), at: 10, kind: 'note', row: 3, text: 'Kettle.' },
    { id: gone, at: 11, kind: 'note', row: 3, text: 'Not so.' },
    { id: photo, at: 12, kind: 'photo', row: 3, image, small: image },
  ];
  for (const entry of entries) await server.ask('POST', `/works/${id}/log`, { entry });
  await server.ask('POST', `/works/${id}/log/${gone}/bin`, { deleted: true });
  await server.ask('PUT', `/drafts/${randomUUID()}`, { title: 'Half', form: { width: 'a' } });
  await server.ask('PUT', '/preferences', { units: 'in', terms: 'UK', hand: 'left', fractions: 'decimals' });
  return { id, photo };
}

const picture = async (server: Listening, { id, photo }: { id: string; photo: string }, size = 'image') =>
  Buffer.from(
    await (await fetch(`http://127.0.0.1:${server.port}/api/works/${id}/photos/${photo}?size=${size}`)).arrayBuffer(),
  );

describe('a whole backup', () => {
  it('brings another machine to the same works, rows, log, photos, drafts and preferences', async () => {
    const made = await fill(one);
    const backup = await backUp(one);
    await other.ask('POST', '/works', { wish: { ...galleyCloth, title: 'Gone afterwards' } });
    const { state, result } = await putBack(other, backup);
    expect([state, result]).toEqual(['done', expect.objectContaining({ works: 1, yarns: 0, swatches: 0 })]);
    for (const path of ['/works', `/works/${made.id}`, `/works/${made.id}/log`, '/preferences']) {
      expect((await other.ask('GET', path)).body).toEqual((await one.ask('GET', path)).body);
    }
    expect((await other.ask('GET', `/works/${made.id}`)).body.progress).toEqual(at(3));
    expect((await other.ask('GET', `/works/${made.id}/log`)).body.entries).toHaveLength(2);
    expect(await picture(other, made)).toEqual(jpeg);
    expect(await picture(other, made, 'small')).toEqual(jpeg);
    expect((await other.ask('GET', '/drafts')).body).toHaveLength(1);
    expect(await everything(other)).toEqual(await linesOf(backup));
    // What was deleted in the log is in the bin there too, and comes out of it.
    const gone = (await linesOf(backup)).find((line) => line.kind === 'entry' && line.deletedAt);
    await other.ask('POST', `/works/${made.id}/log/${gone.id}/bin`, { deleted: false });
    expect((await other.ask('GET', `/works/${made.id}/log`)).body.entries).toHaveLength(3);
  });

  it(
    'that is damaged anywhere is refused, and nothing is changed',
    async () => {
      const backup = await backUp(one);
      const before = await everything(other);
      // Wherever a byte falls over: in a name, in what is packed, in the directory at the end.
      for (let i = 0; i < damages; i++) {
        const place = Math.floor((backup.length * (i + 0.5)) / damages);
        const bent = Buffer.from(backup);
        bent[place] = (bent[place] as number) ^ (1 << (i % 8));
        const { state, problems } = await putBack(other, bent);
        // Some bytes of a zip say nothing, such as when a file was made.
        if (state === 'done') expect(await everything(other)).toEqual(await linesOf(backup));
        else expect(problems).toMatchObject([{ code: 'backup-damaged' }]);
      }
      for (const length of [0, 1, 500, backup.length - 30]) {
        expect(await putBack(other, backup.subarray(0, length))).toMatchObject({ state: 'failed' });
      }
      await putBack(other, await sealed(await headOf(backup), before));
      expect((await everything(other)).length).toBe(before.length);
    },
    60_000 + 500 * damages,
  );

  it('that is against the craft is refused, however well it is sealed', async () => {
    const backup = await backUp(one);
    const before = await everything(one);
    const told = async (change: (lines: Line[]) => unknown[]) => {
      const { state, problems = [] } = await putBack(one, await rewritten(backup, change));
      expect(state).toBe('failed');
      return problems.map((problem) => problemWords(problem).message).join();
    };
    const changed = (kind: string, change: (line: Line) => void) => (lines: Line[]) => {
      change(lines.find((line) => line.kind === kind));
      return lines;
    };
    const first = changed('work', ({ begun }) => {
      begun.rows[0] = '1000000000 sc A';
    });
    expect(await told(first)).toContain('Row 1 of this project cannot be read');
    expect(await told(changed('work', ({ begun }) => begun.moves.splice(2, 1, 400)))).toContain('leaves the piece');
    expect(await told(changed('ticks', ({ ticks }) => ticks.push(tick(at(3), at(46), 9))))).toContain(
      'outside the piece',
    );
    expect(await told(changed('entry', ({ entry }) => Object.assign(entry, { row: 9999 })))).toContain('does not have');
    expect(await told((lines) => [...lines, ...lines])).toContain('stands for two things');
    expect(await told(changed('draft', (line) => Object.assign(line, { song: 'La' })))).toContain('song');
    expect(await told((lines) => lines.filter(({ kind }) => kind !== 'work'))).toContain('not in their order');
    expect(await told((lines) => [...lines, '{"kind": "yarn"'])).toContain('records.jsonl, line');
    const [work] = before;
    const photo = before.find(({ entry }) => entry?.kind === 'photo');
    const head = await headOf(backup);
    const text = { [`photos/${work.id}/${photo.id}.jpg`]: Buffer.from('no picture') };
    expect((await putBack(one, await sealed(head, before, text))).problems).toMatchObject([
      { facts: { why: 'photo' } },
    ]);
    const strange = { 'inside.exe': Buffer.from('a') };
    expect((await putBack(one, await sealed(head, before, strange))).problems).toMatchObject([
      { facts: { why: 'file' } },
    ]);
    expect(await everything(one)).toEqual(before);
    expect((await one.ask('GET', '/works')).status).toBe(200);
  });

  it(
    'in which anything is changed and sealed again is refused, or is a bench that answers',
    async () => {
      const backup = await backUp(one);
      const server = await listen();
      const before = await everything(server);
      const strange = [null, -1, 1e12, 0.5, '', 'x'.repeat(300), '1000000000 sc A', [], {}, true, '2026-99-99'];
      let seed = 4;
      const random = (below: number) => {
        seed = (seed * 1664525 + 1013904223) % 4294967296;
        return Math.floor((seed / 4294967296) * below);
      };
      /** Puts something strange somewhere into a document. */
      const bend = (document: Line): void => {
        const keys = Object.keys(document);
        const key = keys[random(keys.length)] as string;
        const inner = document[key];
        if (inner && typeof inner === 'object' && Object.keys(inner).length && random(5)) bend(inner);
        else document[key] = strange[random(strange.length)];
      };
      for (let i = 0; i < resealed; i++) {
        const bent = await rewritten(backup, (lines) => {
          bend(lines[random(lines.length)]);
          return lines;
        });
        const { state, problems } = await putBack(server, bent);
        if (state === 'failed') {
          expect([i, typeof problems?.[0]?.code, problems?.[0]?.code === 'server-broke']).toEqual([i, 'string', false]);
        }
        const { body: works } = await server.ask('GET', '/works');
        const paths = works.flatMap(({ id }: { id: string }) => [`/works/${id}`, `/works/${id}/log`]);
        for (const path of ['/works', '/drawer', '/drafts', '/schedule', '/unread', ...paths]) {
          expect([i, path, (await server.ask('GET', path)).status]).toEqual([i, path, 200]);
        }
        await putBack(server, await sealed(await headOf(backup), before));
      }
      await server.close();
    },
    60_000 + 2000 * resealed,
  );

  it.each([
    ['as JSON, before there were archives', 'ferry-house-version-1.backup.json', 19],
    ['as the first archives were', 'ferry-house-archive-1.zip', 25],
  ])(
    'that an earlier version wrote comes in: %s',
    async (_how, name, holds) => {
      const server = await listen();
      const fixture = new URL(`../../fixtures/${name}`, import.meta.url);
      expect((await putBack(server, readFileSync(fixture))).result).toMatchObject({ works: holds });
      expect((await server.ask('GET', '/works')).body).toHaveLength(holds);
      await server.close();
    },
    60000,
  );
});

describe('what is put back', () => {
  it('keeps what was there as a copy, which is put back in its turn', async () => {
    const server = await listen();
    await server.ask('POST', '/works', { wish: { ...galleyCloth, title: 'Mine' } });
    const mine = await everything(server);
    await putBack(server, await backUp(one));
    const { body: copies } = await server.ask('GET', '/copies');
    const safety = copies.find(({ reason }: { reason: string }) => reason === 'before-restore');
    expect(safety.bytes).toBeGreaterThan(300);
    const { body } = await server.ask('POST', `/copies/${safety.name}/restore`);
    expect(await ended(server, body)).toMatchObject({ state: 'done', result: { titles: ['Mine'] } });
    expect(await everything(server)).toEqual(mine);
    await server.close();
  });

  it('is another bench: a page of the one before cannot write into it, nor is anything remembered of it', async () => {
    const server = await listen();
    const id = await begunCloth(server, 3);
    const bench = async () =>
      (await fetch(`http://127.0.0.1:${server.port}/api/works`)).headers.get('x-puntada-bench') ?? '';
    const before = await bench();
    const header = { 'x-puntada-bench': before };
    const step = (rows: number) => ({ ticks: [tick(at(rows), at(rows + 1), 100 + rows)] });
    expect((await server.ask('POST', `/works/${id}/ticks`, step(3), header)).status).toBe(200);
    // The same number and revision, but with twelve rows only.
    const shorter = await rewritten(await backUp(server), (lines) =>
      lines.map((line) =>
        line.kind === 'work'
          ? { ...line, begun: { ...line.begun, courses: line.begun.courses.slice(0, 12), moves: [] } }
          : line,
      ),
    );
    expect(await putBack(server, shorter)).toMatchObject({ state: 'done' });
    expect(await bench()).not.toBe(before);
    const refused = await server.ask('POST', `/works/${id}/ticks`, step(4), header);
    expect([refused.status, refused.body.problems[0].code]).toEqual([409, 'bench-other']);
    expect((await server.ask('GET', `/works/${id}`)).body.size.rows).toBe(12);
    expect((await server.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(4), at(30), 200)] })).status).toBe(422);
    await server.close();
  });
});

describe('copies made by themselves', () => {
  it('one a day, none of an empty bench, and each for its owner alone', async () => {
    const server = await listen();
    let now = new Date('2026-11-29T08:00:00.000Z');
    const copies = new Copies(server.database, join(server.folder, 'daily'), () => now);
    expect(await copies.makeOfDay()).toBeUndefined();
    await begunCloth(server, 2);
    const name = (await copies.makeOfDay()) as string;
    expect(await copies.makeOfDay()).toBeUndefined();
    now = new Date('2026-11-30T08:00:00.000Z');
    expect(await copies.makeOfDay()).toBeDefined();
    expect(copies.list().map(({ reason }) => reason)).toEqual(['day', 'day']);
    const path = copies.pathOf(name) as string;
    expect([statSync(path).mode & 0o777, statSync(join(server.folder, 'daily')).mode & 0o777]).toEqual([0o600, 0o700]);
    expect(await linesOf(readFileSync(path))).toEqual(await everything(server));
    await server.close();
  });

  it('tells why the one of the day could not be made, until one is', async () => {
    const server = await listen();
    await begunCloth(server, 2);
    const folder = join(server.folder, 'elsewhere');
    const copies = new Copies(server.database, folder, () => new Date());
    rmSync(folder, { recursive: true });
    await expect(copies.makeOfDay()).rejects.toThrow();
    expect(copies.trouble).toEqual({ code: 'copy-not-made', path: '' });
    expect(problemWords({ code: 'copy-not-made' }).hint).toContain('Safe copies');
    mkdirSync(folder);
    await copies.makeOfDay();
    expect(copies.trouble).toBeUndefined();
    expect((await server.ask('GET', '/unread')).body.copy).toBe(null);
    await server.close();
  });

  it('leaves nothing of one that was stopped', async () => {
    const folder = join(one.folder, 'stopped');
    const copies = new Copies(one.database, folder, () => new Date());
    const stop = AbortSignal.abort(new Error('stopped'));
    await expect(copies.make('asked', { signal: stop })).rejects.toThrow();
    expect(readdirSync(folder)).toEqual([]);
  });

  it('goes on where a download or an upload was broken off', async () => {
    const backup = await backUp(one);
    const [{ name }] = (await one.ask('GET', '/copies')).body;
    const part = await fetch(`http://127.0.0.1:${one.port}/api/copies/${name}`, { headers: { range: 'bytes=100-' } });
    expect([part.status, Buffer.from(await part.arrayBuffer()).equals(backup.subarray(100))]).toEqual([206, true]);
    const id = await give(one, backup.subarray(0, 200));
    expect((await one.ask('GET', `/incoming/${id}`)).body).toEqual({ at: 200 });
    const octets = { 'content-type': 'application/octet-stream' };
    const elsewhere = await one.ask('PUT', `/incoming/${id}?at=150`, 'abc', octets);
    expect([elsewhere.status, elsewhere.body.fresh]).toEqual([409, { at: 200 }]);
    expect((await one.ask('GET', '/incoming/..%2Fdatabase')).status).toBe(404);
    expect((await one.ask('GET', '/copies/..%2Fheld-by')).status).toBe(404);
  });
});

describe('what cannot be read', () => {
  it('is refused as such, and never breaks anything', async () => {
    const deep = `{"wish":${'['.repeat(5000)}${']'.repeat(5000)}}`;
    const answers = [
      await one.ask('POST', '/works', deep),
      await one.ask('POST', '/works', '{}', { 'content-type': 'application/json; charset=klingon' }),
      await one.ask('GET', '/works/%E0%A4%A'),
      await one.ask('PUT', `/drafts/${randomUUID()}`, { title: 'a', form: { a: '\u0000' } }),
      await one.ask('POST', `/works/${randomUUID()}/ticks`, {
        ticks: [{ ...tick(at(0), at(1), 1), to: { rows: 3_000_000_000, runs: 0 } }],
      }),
    ];
    for (const { status, body } of answers) {
      expect([status >= 400 && status < 500, typeof body.problems?.[0]?.code]).toEqual([true, 'string']);
    }
  });
});
