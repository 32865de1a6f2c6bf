import { randomUUID } from 'node:crypto';
import { entryLabel } from '@puntada/core/records';
import { backUp, handOver, putBack, takeOver } from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth, start, tick } from '../../test/sampleWorks.ts';
import { emptyBin } from '../bin/queries.ts';

let server: Listening;
const ask: Listening['ask'] = (...request) => server.ask(...request);
const titles = async (path: string) => {
  const { body } = await ask('GET', path);
  return body.map((each: { wish: { title: string } }) => each.wish.title);
};

beforeAll(async () => {
  server = await listen();
}, 60000);

afterAll(() => server.close());

async function named(title: string) {
  const { body } = await ask('POST', '/works', { wish: { ...galleyCloth, title } });
  return body;
}

describe('a project that is deleted', () => {
  it('lies in the bin, whole, and is put back as it was', async () => {
    const made = await named('For the bin');
    const binned = await ask('POST', `/works/${made.id}/bin`, { revision: made.revision, deleted: true });
    expect(binned.body).toMatchObject({ revision: 2, deletedAt: expect.any(String) });
    expect(await titles('/works')).not.toContain('For the bin');
    expect(await titles('/works/bin')).toEqual(['For the bin']);
    const back = await ask('POST', `/works/${made.id}/bin`, { revision: 2, deleted: false });
    expect(back.body).toMatchObject({ deletedAt: null, wish: made.wish });
    expect(await titles('/works')).toContain('For the bin');
    expect(await titles('/works/bin')).toEqual([]);
  });

  it('is not deleted from a copy that is older than the project', async () => {
    const made = await named('Changed elsewhere');
    await ask('PUT', `/works/${made.id}`, { revision: 1, wish: { ...made.wish, title: 'Changed since' } });
    const { status } = await ask('POST', `/works/${made.id}/bin`, { revision: 1, deleted: true });
    expect(status).toBe(409);
    expect(await titles('/works')).toContain('Changed since');
  });

  it('goes along in a backup, and lies in the bin again after it is put back', async () => {
    const made = await named('In the bin of a backup');
    await ask('POST', `/works/${made.id}/bin`, { revision: 1, deleted: true });
    expect(await putBack(server, await backUp(server))).toMatchObject({ state: 'done' });
    expect(await titles('/works')).not.toContain('In the bin of a backup');
    expect(await titles('/works/bin')).toContain('In the bin of a backup');
  });

  it('is whole and on the bench where it is handed over to, and here again where it comes back', async () => {
    const made = await named('Handed over from the bin');
    await ask('POST', `/works/${made.id}/bin`, { revision: 1, deleted: true });
    const { result } = await takeOver(server, await handOver(server, made.id));
    expect(result).toEqual({ id: made.id, how: 'merged' });
    expect(await titles('/works')).toContain('Handed over from the bin');
  });

  it('is gone for good after 30 days, with its steps and its log, and nothing else is', async () => {
    const old = await begunCloth(server);
    const young = await begunCloth(server);
    for (const id of [old, young]) {
      await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(1), 1)] });
      await ask('POST', `/works/${id}/bin`, { revision: 2, deleted: true });
    }
    const age = (id: string, days: number) =>
      server.database.query(`update works set deleted_at = now() - interval '${days} days' where id = $1`, [id]);
    await age(old, 31);
    await age(young, 29);
    const before = (await ask('GET', '/works')).body.length;
    await emptyBin(server.database);
    expect((await ask('GET', `/works/${old}`)).status).toBe(404);
    expect((await ask('GET', `/works/${young}`)).body.progress).toEqual(at(1));
    expect((await ask('GET', '/works')).body).toHaveLength(before);
  });
});

describe('a start', () => {
  it('is taken back while no stitch is worked: the size is open again', async () => {
    const id = await begunCloth(server);
    const { body } = await ask('POST', `/works/${id}/unbegin`, { revision: 2 });
    expect(body).toMatchObject({ state: 'wished', begun: null, size: null, revision: 3 });
  });

  it('of another size afterwards takes the steps of its own rows', async () => {
    const id = await begunCloth(server);
    // Row 1 of 36 stitches has nine steps; of 20 it has five.
    expect((await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(0, 7), 1)] })).status).toBe(200);
    await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0, 7), start, 2)] });
    const { body: back } = await ask('POST', `/works/${id}/unbegin`, { revision: 2 });
    const wish = { ...back.wish, width: { by: 'stitches', count: 20 }, choice: undefined };
    await ask('POST', `/works/${id}/begin`, { revision: back.revision, wish });
    const far = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(0, 7), 3)] });
    expect([far.status, far.body.problems[0].code]).toEqual([422, 'tick-outside']);
    expect((await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(0, 4), 4)] })).status).toBe(200);
  });

  it('leaves what was noted of a row with that row, behind its chain and without it again', async () => {
    const { body: made } = await ask('POST', '/works', { wish: galleyCloth });
    const note = (row: number) => ({
      entry: { ...entryLabel, kind: 'note', id: randomUUID(), at: row, row, text: `row ${row}` },
    });
    for (const row of [0, 1, 30]) await ask('POST', `/works/${made.id}/log`, note(row));
    const noted = async () => {
      const { entries } = (await ask('GET', `/works/${made.id}/log`)).body;
      return entries.map(({ row, text }: { row: number; text: string }) => [row, text]);
    };
    expect(await noted()).toEqual([
      [0, 'row 0'],
      [1, 'row 1'],
      [30, 'row 30'],
    ]);
    const { body: begun } = await ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    expect(begun.fromChain).toBe(true);
    expect(await noted()).toEqual([
      [0, 'row 0'],
      [2, 'row 1'],
      [31, 'row 30'],
    ]);
    expect((await ask('POST', `/works/${made.id}/unbegin`, { revision: 2 })).body.fromChain).toBe(false);
    expect(await noted()).toEqual([
      [0, 'row 0'],
      [1, 'row 1'],
      [30, 'row 30'],
    ]);
  });

  it('is not taken back once twenty chains are made', async () => {
    const id = await begunCloth(server);
    await ask('POST', `/works/${id}/ticks`, { ticks: [tick(start, { rows: 0, runs: 1 }, 1)] });
    const { status, body } = await ask('POST', `/works/${id}/unbegin`, { revision: 2 });
    expect([status, body.problems[0].code]).toEqual([409, 'rows-worked']);
    expect((await ask('GET', `/works/${id}`)).body.state).toBe('begun');
  });
});

describe('an entry of the log', () => {
  const note = (text: string) => ({ ...entryLabel, kind: 'note', id: randomUUID(), at: 5, row: 1, text });
  const texts = (body: { entries: { text: string }[] }) => body.entries.map((each) => each.text);

  it('is corrected in its place', async () => {
    const id = await begunCloth(server);
    const entry = note('B in one short');
    await ask('POST', `/works/${id}/log`, { entry });
    const { body } = await ask('PUT', `/works/${id}/log/${entry.id}`, { entry: { ...entry, text: 'B is one short' } });
    expect(texts(body)).toEqual(['B is one short']);
  });

  it('is deleted, told to nobody, and put back', async () => {
    const id = await begunCloth(server);
    const entry = note('Not this one');
    await ask('POST', `/works/${id}/log`, { entry });
    expect(texts((await ask('POST', `/works/${id}/log/${entry.id}/bin`, { deleted: true })).body)).toEqual([]);
    // Told once more by a browser that had not heard, it does not come back.
    expect(texts((await ask('POST', `/works/${id}/log`, { entry })).body)).toEqual([]);
    expect(texts((await ask('POST', `/works/${id}/log/${entry.id}/bin`, { deleted: false })).body)).toEqual([
      'Not this one',
    ]);
  });

  it('that is not there, or is of another kind, is not corrected', async () => {
    const id = await begunCloth(server);
    const entry = note('A note');
    expect((await ask('PUT', `/works/${id}/log/${entry.id}`, { entry })).status).toBe(404);
    await ask('POST', `/works/${id}/log`, { entry });
    const pause = { ...entryLabel, kind: 'pause', id: entry.id, at: 5 };
    expect((await ask('PUT', `/works/${id}/log/${entry.id}`, { entry: pause })).status).toBe(404);
  });

  it('that cannot be is refused: a width of −3, a ball that has grown', async () => {
    const id = await begunCloth(server);
    const head = { ...entryLabel, id: randomUUID(), at: 5, position: at(1) };
    const wide = { ...head, kind: 'measure', width: '-3' };
    const ball = { letter: 'A', ball: 1, before: 50, beforeIsLabel: false, after: 60, scale: 1 };
    for (const [entry, code] of [
      [wide, 'length-impossible'],
      [{ ...head, kind: 'weigh', ...ball }, 'ball-grew'],
    ] as const) {
      const { status, body } = await ask('POST', `/works/${id}/log`, { entry });
      expect([status, body.problems[0].code]).toEqual([422, code]);
    }
    expect((await ask('GET', `/works/${id}/log`)).body.entries).toEqual([]);
  });

  it('says what a session really took, and the time left goes by it', async () => {
    const id = await begunCloth(server);
    const minute = 60_000;
    const steps = [0, 10, 20, 30].map((at_, i) => tick(at(i), at(i + 1), 1e12 + at_ * minute));
    await ask('POST', `/works/${id}/ticks`, { ticks: steps });
    const left = async () => {
      const { body } = await ask('GET', '/schedule');
      return body.works.find((each: { id: string }) => each.id === id).left.mid;
    };
    const slow = await left();
    const entry = { ...entryLabel, kind: 'session', id: randomUUID(), at: 6, of: 1e12 + 20 * minute, minutes: 5 };
    await ask('POST', `/works/${id}/log`, { entry });
    expect(await left()).toBeLessThan(slow / 2);
    await ask('POST', `/works/${id}/log/${entry.id}/bin`, { deleted: true });
    expect(await left()).toBeCloseTo(slow, 6);
  });
});
