import { problemWords } from '@puntada/core/words';
import { backUp, ended, give, headOf, putBack, rewritten, sealed } from '../../test/archives.ts';
import { bundled } from '../../test/bundled.ts';
import { listen } from '../../test/listening.ts';
import { begunCloth } from '../../test/sampleWorks.ts';
import { lookApart } from './apart.ts';

const idAt = (i: number) => `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`;

/** A sealed bench of so many projects, each begun. */
async function benchOf(works: number): Promise<Buffer> {
  const from = await listen();
  await begunCloth(from, 0);
  const backup = await backUp(from);
  await from.close();
  return rewritten(backup, (lines) => {
    const work = lines.find(({ kind }) => kind === 'work');
    return Array.from({ length: works }, (_, i) => ({ ...work, id: idAt(i) }));
  });
}

describe('a file that somebody has given', () => {
  let built: Awaited<ReturnType<typeof bundled>>;
  let file: Buffer;
  beforeAll(async () => {
    built = await bundled('archive/look.process.ts');
    file = await benchOf(150);
  }, 60_000);
  afterAll(() => built.remove());

  async function withLimits(limits: Parameters<typeof lookApart>[1] = {}) {
    const through = lookApart(built.file, limits);
    const server = await listen(undefined, undefined, through);
    const close = async () => {
      await server.close();
      through.close();
    };
    return { server, close };
  }

  it('is looked through apart, twice as once, and told how far it is', async () => {
    const { server, close } = await withLimits();
    const id = await give(server, file);
    for (let round = 0; round < 2; round++) {
      const { body: started } = await server.ask('POST', `/incoming/${id}/look`);
      const told = new Set<number>();
      for (let job = started; job.state === 'running'; ) {
        job = (await server.ask('GET', `/copies/jobs/${started.id}`)).body;
        told.add(job.done);
        if (job.state !== 'running')
          expect(job).toMatchObject({ state: 'done', result: { holds: 'bench', works: 150 } });
      }
      expect(told.size).toBeGreaterThan(1);
    }
    const { body: started } = await server.ask('POST', `/incoming/${id}/restore`);
    const told = new Set<number>();
    for (let job = started; job.state === 'running'; told.add(job.done)) {
      job = (await server.ask('GET', `/copies/jobs/${started.id}`)).body;
      if (job.state !== 'running') expect(job).toMatchObject({ state: 'done', result: { works: 150 } });
    }
    // Also while the database is held by it.
    expect(told.size).toBeGreaterThan(5);
    expect((await server.ask('GET', '/works')).body).toHaveLength(150);
    await close();
  }, 120_000);

  it('is refused where it takes all the memory it is given, and the server goes on with the next', async () => {
    const { server, close } = await withLimits({ megabytes: 60 });
    // What no thread survives: text of which all becomes one value at once, in an old file and in a line of a new one.
    const greedy = `[${'{},'.repeat(2_000_000)}1]`;
    const head = await headOf(file);
    const line = `{"kind":"draft","id":"${idAt(1)}","title":"Net","deletedAt":null,"form":{"a":${greedy}}}`;
    for (const much of [`{"format":"puntada-backup","contents":${greedy}}`, await sealed(head, [line])]) {
      const job = await putBack(server, much);
      expect([job.state, job.problems?.[0]?.code]).toEqual(['failed', 'file-too-much']);
    }
    expect(problemWords({ code: 'file-too-much', facts: { seconds: 60 } }).hint).toContain('Nothing was changed');
    expect((await server.ask('GET', '/works')).status).toBe(200);
    expect(await putBack(server, await benchOf(1))).toMatchObject({ state: 'done' });
    await close();
  }, 120_000);

  it('is given up where it comes no further, and ends at once where it is stopped', async () => {
    const hasty = await withLimits({ seconds: 0.01 });
    expect((await putBack(hasty.server, file)).problems).toMatchObject([{ code: 'file-too-much' }]);
    await hasty.close();
    const { server, close } = await withLimits();
    const { body: started } = await server.ask('POST', `/incoming/${await give(server, file)}/look`);
    await server.ask('DELETE', `/copies/jobs/${started.id}`);
    expect(await ended(server, started)).toMatchObject({ state: 'stopped' });
    expect((await server.ask('GET', '/works')).body).toEqual([]);
    await close();
  }, 120_000);
});
