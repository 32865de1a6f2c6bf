import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { backUp, putBack } from '../../test/archives.ts';
import { freshFolder } from '../../test/freshFolder.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { openDatabase } from '../db/open.ts';
import { forgetAll } from '../memory.ts';
import { calendarOf } from './calendar.ts';

let server: Listening;
let own: Listening;
beforeAll(async () => {
  server = await listen();
  own = await listen();
}, 60000);
afterAll(async () => {
  await server.close();
  await own.close();
});

describe('the schedule', () => {
  it('keeps the minutes of a week, and refuses what is no week', async () => {
    expect((await server.ask('GET', '/schedule')).body.minutes).toHaveLength(7);
    const week = [0, 45, 0, 45, 0, 120, 30];
    expect((await server.ask('PUT', '/schedule', { minutes: week })).body.minutes).toEqual(week);
    for (const minutes of [[60], [...week.slice(1), -1], [...week.slice(1), 2000]]) {
      expect((await server.ask('PUT', '/schedule', { minutes })).status).toBe(422);
    }
    expect((await server.ask('GET', '/schedule')).body.minutes).toEqual(week);
  });

  it('tells the time that each work still takes, what is due first before the rest', async () => {
    const [half, fresh] = [await begunCloth(server, 22), await begunCloth(server)];
    await server.ask('PUT', `/schedule/due/${fresh}`, { due: '2026-12-05' });
    const { body } = await server.ask('GET', '/schedule');
    expect(body.works.map((each: { id: string }) => each.id)).toEqual([fresh, half]);
    // A row of 36 sc with eight changes takes a steady hand 4 + 36 · 3 + 8 · 5 = 152 s.
    // A chain of 37 at 1.2 s comes before the first row, and four ends of 150 s each after the last.
    expect(body.works[0].left.mid).toBeCloseTo(37 * 1.2 + 44 * 152 + 4 * 150, 6);
    expect(body.works[1]).toMatchObject({ rows: 22 });
    expect(body.works[1].rowsTake).toBeCloseTo(22 * 152, 6);
    expect(body.works[1].left.mid).toBeCloseTo(22 * 152 + 4 * 150, 6);
  });

  it('tells of several how many are done, and of what is made for a set that it is', async () => {
    const own = await listen();
    const set = { id: '0b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', title: 'Fair' };
    const { body: made } = await own.ask('POST', '/works', { wish: { ...galleyCloth, pieces: 3, set } });
    await own.ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    const items = async (rows: number) => {
      await own.ask('POST', `/works/${made.id}/ticks`, { ticks: [tick(at(rows - 1), at(rows), rows)] });
      const [work] = (await own.ask('GET', '/schedule')).body.works;
      return [work.items, work.inSet];
    };
    // A cloth is its chain, 44 rows and its ends.
    expect([await items(44), await items(45)]).toEqual([
      [{ done: 0, of: 3 }, true],
      [{ done: 1, of: 3 }, true],
    ]);
    const alone = await begunCloth(own);
    const { works } = (await own.ask('GET', '/schedule')).body;
    const one = works.find(({ id }: { id: string }) => id === alone);
    expect([one.items, one.inSet]).toEqual([undefined, undefined]);
    await own.close();
  }, 60000);

  it('asks the database as often for four works as for one', async () => {
    const folder = await freshFolder();
    const database = await openDatabase(folder);
    let asked = 0;
    const counted = {
      ...database,
      query: (...query: Parameters<typeof database.query>) => {
        asked++;
        return database.query(...query);
      },
    };
    const many = await listen(counted);
    const queriesOf = async () => {
      asked = 0;
      expect((await many.ask('GET', '/schedule')).status).toBe(200);
      return asked;
    };
    await begunCloth(many, 2);
    const forOne = await queriesOf();
    for (const rows of [1, 3, 0]) await begunCloth(many, rows);
    expect(await queriesOf()).toBe(forOne);
    await many.close();
    rmSync(folder, { recursive: true, force: true });
  }, 60000);

  it('a wish counts once it is due, and no more when that is taken away', async () => {
    const { body: made } = await server.ask('POST', '/works', { wish: { ...galleyCloth, title: 'For the fair' } });
    const has = async () => JSON.stringify((await server.ask('GET', '/schedule')).body.works).includes('For the fair');
    expect(await has()).toBe(false);
    expect((await server.ask('PUT', `/schedule/due/${made.id}`, { due: '2026-12-24' })).body.due).toBe('2026-12-24');
    expect(await has()).toBe(true);
    await server.ask('PUT', `/schedule/due/${made.id}`, { due: null });
    expect(await has()).toBe(false);
    expect((await server.ask('PUT', `/schedule/due/${made.id}`, { due: 'soon' })).status).toBe(422);
    // Or it is due from the first.
    const { body: dueAtOnce } = await server.ask('POST', '/works', { wish: galleyCloth, due: '2026-12-24' });
    expect(dueAtOnce.due).toBe('2026-12-24');
    expect((await server.ask('POST', '/works', { wish: galleyCloth, due: '24 December' })).status).toBe(422);
  });

  it('tells the pace of the hand from all works, also those that are finished', async () => {
    expect((await own.ask('GET', '/schedule/pace')).body).toEqual({ ratio: 1, sd: 0.2, acts: [] });
    const id = await begunCloth(own);
    // Rows of 152 s each, every 228 s, to the last of the 44.
    const ticks = Array.from({ length: 44 }, (_, row) => tick(at(row), at(row + 1), 1_700_000_000_000 + row * 228_000));
    expect((await own.ask('POST', `/works/${id}/ticks`, { ticks })).status).toBe(200);
    const { body } = await own.ask('GET', '/schedule/pace');
    // One evening weighs 0.04 ÷ (0.04 + 0.0625) against the steady hand.
    expect(body.ratio).toBeCloseTo(1.5 ** (0.04 / 0.1025), 6);
    expect(body.acts.map(({ act }: { act: string }) => act)).toEqual(['sc', 'change', 'turn']);
    // All rows are alike, so nothing sets one kind apart but how much it weighs: the whole stays the whole.
    const whole = body.acts.reduce(
      (sum: number, each: { share: number; factor: number }) => sum + each.share * each.factor,
      0,
    );
    expect(whole).toBeCloseTo(1, 9);
    expect(body.acts[0].share).toBeCloseTo(108 / 152, 9);
  });

  it('leaves out the minutes in which a work was laid down, however short', async () => {
    const id = await begunCloth(server);
    const start = 1_700_000_000_000;
    // Rows of 152 s each; after the eleventh, fifteen minutes pass.
    const when = (row: number) => start + row * 152_000 + (row > 11 ? 15 * 60_000 : 0);
    const ticks = Array.from({ length: 22 }, (_, row) => tick(at(row), at(row + 1), when(row + 1)));
    await server.ask('POST', `/works/${id}/ticks`, { ticks });
    const left = async () => {
      const { works } = (await server.ask('GET', '/schedule')).body;
      return works.find((each: { id: string }) => each.id === id).left.mid;
    };
    expect(await left()).toBeGreaterThan(22 * 152 * 1.05);
    const entry = { kind: 'pause', id: '5f0c8a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', at: when(11) + 1000 };
    expect((await server.ask('POST', `/works/${id}/log`, { entry })).status).toBe(201);
    expect(await left()).toBeCloseTo(22 * 152 + 4 * 150, 6);
  });

  it('goes on from what it had found: steps made since, late ones, a pause, and a session told anew', async () => {
    const own = await listen();
    const id = await begunCloth(own);
    let row = 0;
    const evening = (day: number, rows: number, seconds: number, from = 0) =>
      Array.from({ length: rows }, (_, n) => {
        const time = 1_790_000_000_000 + day * 86_400_000 + from + n * seconds * 1000;
        return tick(at(row), at(++row), time);
      });
    const send = (ticks: unknown[]) => own.ask('POST', `/works/${id}/ticks`, { ticks });
    const told = async () => {
      const found = [(await own.ask('GET', '/schedule/pace')).body, (await own.ask('GET', '/schedule')).body.works];
      forgetAll();
      const anew = [(await own.ask('GET', '/schedule/pace')).body, (await own.ask('GET', '/schedule')).body.works];
      expect(found).toEqual(anew);
      return JSON.stringify(found);
    };
    const all = new Set<string>();
    const also = async (change: Promise<unknown>) => {
      await change;
      all.add(await told());
    };
    await also(send(evening(0, 5, 200)));
    await also(send(evening(1, 4, 260)));
    await also(send(evening(1, 3, 300, 1_200_000)));
    await also(send(evening(2, 4, 180)));
    // It belongs between what was there.
    await also(send([tick(at(2), at(3), 1_790_000_000_000 + 86_400_000 + 500_000)]));
    const log = (entry: object) => own.ask('POST', `/works/${id}/log`, { entry: { id: randomUUID(), ...entry } });
    await also(log({ kind: 'pause', at: 1_790_000_000_000 + 2 * 86_400_000 + 361_000 }));
    const of = 1_790_000_000_000 + 2 * 86_400_000;
    await also(log({ kind: 'session', at: of + 1, of, minutes: 3 }));
    // Each of them told the server something.
    expect(all.size).toBeGreaterThanOrEqual(5);
    await own.close();
  }, 60000);

  it('takes no day so far off that all the evenings until then could not be counted', async () => {
    const id = await begunCloth(server);
    const { status, body } = await server.ask('PUT', `/schedule/due/${id}`, { due: '9999-12-31' });
    expect([status, body.problems[0].message]).toEqual([422, 'A project is due between the years 2000 and 2099.']);
    expect((await server.ask('PUT', `/schedule/due/${id}`, { due: '2099-12-31' })).status).toBe(200);
    const started = performance.now();
    expect((await server.ask('GET', '/schedule')).status).toBe(200);
    expect(performance.now() - started).toBeLessThan(2000);
    await server.ask('PUT', `/schedule/due/${id}`, { due: null });
  });

  it('stays in a backup', async () => {
    const backup = await backUp(server);
    const before = (await server.ask('GET', '/schedule')).body;
    await server.ask('PUT', '/schedule', { minutes: [0, 0, 0, 0, 0, 0, 0] });
    await putBack(server, backup);
    expect((await server.ask('GET', '/schedule')).body).toEqual(before);
  });
});

describe('the calendar', () => {
  const left = { mid: 5 * 3600, low: 4 * 3600, high: 6 * 3600, source: 'piece' as const };

  it('has the evenings till all is done, the likely last one and the due day', () => {
    const works = [{ id: 'a', title: 'Tea cosy, striped', left, rows: 50, due: '2026-12-05' }];
    // Tuesdays and Thursdays an hour, Saturdays two: 24, 26 and 28 November, 1 December.
    const text = calendarOf(works, [0, 60, 0, 60, 0, 120, 0], '2026-11-23').replaceAll('\r\n ', '');
    const starts = [...text.matchAll(/DTSTART[^:]*:(\S+)/g)].map((found) => found[1]);
    expect(starts).toEqual([
      '20261124T193000',
      '20261126T193000',
      '20261128T193000',
      '20261201T193000',
      '20261201',
      '20261205',
    ]);
    expect(text).toContain('Tea cosy\\, striped: about 10 rows');
    expect(text).toContain('Tea cosy\\, striped: to its end');
    expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
  });
});
