import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { must } from '@puntada/core/craft';
import { thaw, unknownPace } from '@puntada/core/plan';
import { restPlans } from '@puntada/core/work';
import { backUp, putBack } from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

const samples = new URL('../../../core/test/samples/puntada-backup-1.json', import.meta.url);

describe('a project begun before its chain was a step', () => {
  const step = (from: object, to: object, at: number) => ({ ticks: [{ id: randomUUID(), at, from, to }] });

  it('goes on where it stands, is planned again, and is finished by its own steps', async () => {
    const [backup] = JSON.parse(readFileSync(samples, 'utf8'));
    expect(await putBack(server, Buffer.from(JSON.stringify(backup)))).toMatchObject({ state: 'done' });
    const { body: works } = await server.ask('GET', '/works');
    const { id } = works.find((each: { wish: { title: string } }) => each.wish.title === 'Galley cloth');
    const { body: work } = await server.ask('GET', `/works/${id}`);
    // Twenty rows and three runs of the next, as the version of then counted them.
    expect([work.progress, work.fromChain, work.begun.version, work.begun.fromChain]).toEqual([
      { rows: 20, runs: 3 },
      false,
      2,
      undefined,
    ]);
    const more = await server.ask('POST', `/works/${id}/ticks`, step({ rows: 20, runs: 3 }, { rows: 21, runs: 0 }, 9));
    expect(more.body.progress).toEqual({ rows: 21, runs: 0 });
    const { wish, begun, revision } = work;
    const plans = must(
      restPlans({
        ...{ wish, cloth: must(thaw(begun)), stands: { rows: 21, runs: 0 } },
        ...{ weighings: [], measures: [], pace: unknownPace },
      }),
    );
    const plan = plans.find(({ kind }) => kind === 'shorter');
    expect(plan).toMatchObject({ stays: 21, rows: 36 });
    const taken = await server.ask('POST', `/works/${id}/onward`, {
      ...{ revision, kind: 'shorter', wish: plan?.wish, begun: plan?.begun },
    });
    expect([taken.status, taken.body.fromChain, taken.body.size?.rows]).toEqual([200, false, 36]);
    // Row 36 is the last unit before its ends.
    await server.ask('POST', `/works/${id}/ticks`, step({ rows: 21, runs: 0 }, { rows: 36, runs: 0 }, 99));
    const { revision: now } = taken.body;
    expect((await server.ask('POST', `/works/${id}/finish`, { revision: now })).body.state).toBe('finished');
    // A copy of today keeps it as it is.
    expect(await putBack(server, await backUp(server))).toMatchObject({ state: 'done' });
    expect((await server.ask('GET', `/works/${id}`)).body.begun).toEqual(taken.body.begun);
  });
});
