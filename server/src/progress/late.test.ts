import { reached, type Tick } from '@puntada/core/work';
import fc from 'fast-check';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth } from '../../test/sampleWorks.ts';

describe('steps that come late', () => {
  let server: Listening;
  beforeAll(async () => {
    server = await listen();
  }, 60000);
  afterAll(() => server.close());

  it('lead where a walk through all of them leads, however many there are and wherever they belong', async () => {
    const id = await begunCloth(server);
    const random = fc.sample(fc.nat({ max: 39 }), { seed: 11, numRuns: 1400 });
    // Up and down through forty rows, many hundreds of steps, so that there are milestones between them.
    const all: Tick[] = [];
    let row = 0;
    for (const [n, to] of random.entries()) {
      const place = n * 2 + 2;
      const tick = { id: crypto.randomUUID(), at: 1000 + place, place, from: at(row), to: at(to) };
      if (to !== row) all.push(tick);
      row = to;
    }
    const send = async (ticks: readonly Tick[]) =>
      (await server.ask('POST', `/works/${id}/ticks`, { ticks })).body.progress;
    for (let i = 0; i < all.length; i += 400) await send(all.slice(i, i + 400));
    expect((await server.ask('GET', `/works/${id}`)).body.progress).toEqual(reached(all));
    // Between them, at the same place as one of them, before all, behind all: again and again.
    for (const place of [1501, 1503, 1500, 301, 1, 2799, 2, 1499, 4000, 303, 3999]) {
      const tick = { id: crypto.randomUUID(), at: 5000, place, from: at(5), to: at(place % 39) };
      all.push(tick);
      expect([place, await send([tick])]).toEqual([place, reached(all)]);
    }
    // Another process on the same database has added one, early on; this one does not know of it.
    const early: Tick = { id: crypto.randomUUID(), at: 1, place: 401, from: at(38), to: at(1) };
    all.push(early);
    await server.database.query(
      `insert into ticks (work_id, id, at, place, from_rows, from_runs, to_rows, to_runs)
       values ($1, $2, 1, 401, 38, 0, 1, 0)`,
      [id, early.id],
    );
    await server.database.query('update progress set steps = steps + 1 where work_id = $1', [id]);
    const late = { id: crypto.randomUUID(), at: 2, place: 2601, from: at(7), to: at(8) };
    all.push(late);
    expect(await send([late])).toEqual(reached(all));
  });

  it('are told as lines like all others: those that are new, and those that belong among the old', async () => {
    const id = await begunCloth(server);
    const step = (place: number): Tick => ({
      ...{ id: crypto.randomUUID(), at: 9000 - (place % 7), place },
      ...{ from: at(place % 5), to: at((place + 1) % 5) },
    });
    const all = Array.from({ length: 5200 }, (_, n) => step(10 * n + 10));
    const sent: Tick[] = [];
    const send = async (ticks: readonly Tick[]) => {
      for (let i = 0; i < ticks.length; i += 400) {
        await server.ask('POST', `/works/${id}/ticks`, { ticks: ticks.slice(i, i + 400) });
      }
      sent.push(...ticks);
    };
    const asLines = async () => (await server.ask('GET', `/works/${id}/log?steps=lines`)).body.steps.split('\n');
    const asSent = () =>
      [...sent]
        .sort((a, b) => (a.place ?? 0) - (b.place ?? 0) || (a.id < b.id ? -1 : 1))
        .map(({ at: when, place, from, to }) => [when, place, from.rows, from.runs, to.rows, to.runs].join(' '));
    await send(all);
    expect(await asLines()).toEqual(asSent());
    for (const places of [[60_000], [60_010, 60_020], [], [15], [60_030, 25], [60_040, 60_040], [52_000]]) {
      await send(places.map(step));
      expect([places, await asLines()]).toEqual([places, asSent()]);
    }
    // Another process on the same database has added one among the old, and one behind all.
    for (const place of [35, 70_000]) {
      const tick = step(place);
      const values = [id, tick.id, tick.at, place, tick.from.rows, 0, tick.to.rows, 0];
      await server.database.query(
        `insert into ticks (work_id, id, at, place, from_rows, from_runs, to_rows, to_runs)
         values ($1, $2, $3, $4, $5, $6, $7, $8)`,
        values,
      );
      await server.database.query('update progress set steps = steps + 1 where work_id = $1', [id]);
      sent.push(tick);
      expect([place, await asLines()]).toEqual([place, asSent()]);
    }
  });
});
