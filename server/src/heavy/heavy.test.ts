import { bundled } from '../../test/bundled.ts';
import { listen } from '../../test/listening.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';
import { inThreads } from './heavy.ts';

/** A blanket of a quarter of a million stitches. */
const large = {
  ...galleyCloth,
  width: { by: 'stitches', count: 484 },
  height: { by: 'rows', count: 484 },
  item: 'blanket',
};

describe('what takes long', () => {
  let built: Awaited<ReturnType<typeof bundled>>;
  beforeAll(async () => {
    built = await bundled('heavy/tasks.ts');
  }, 60000);
  afterAll(() => built.remove());

  it('keeps nobody waiting: while a large blanket is planned, others are answered', async () => {
    const heavy = inThreads(built.file);
    const server = await listen(undefined, heavy);
    let planned = false;
    const plan = server.ask('POST', '/plan', large).finally(() => {
      planned = true;
    });
    let answers = 0;
    while (!planned) {
      expect((await server.ask('GET', '/works')).status).toBe(200);
      if (!planned) answers++;
    }
    const { status, body } = await plan;
    expect([status, body.size.rows]).toEqual([200, 484]);
    expect(answers).toBeGreaterThan(10);
    await server.close();
    await heavy.close();
  }, 120000);

  it('is given up after a while, told as too much, and the next is done', async () => {
    const heavy = inThreads(built.file, 0.3);
    const server = await listen(undefined, heavy);
    const refused = await server.ask('POST', '/plan', large);
    expect([refused.status, refused.body.problems[0].code]).toEqual([422, 'plan-too-long']);
    await server.close();
    await heavy.close();
    const next = inThreads(built.file);
    const again = await listen(undefined, next);
    const { body: made } = await again.ask('POST', '/works', { wish: galleyCloth });
    const { body } = await again.ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    expect([body.state, body.size]).toEqual(['begun', { stitches: 36, rows: 44 }]);
    await again.close();
    await next.close();
  }, 120000);
});
