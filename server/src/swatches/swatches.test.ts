import { swatchGauge } from '@puntada/core/work';
import { backUp, putBack } from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';

const counts = [
  { what: 'stitches', count: 16, over: '10 cm' },
  { what: 'rows', count: 18, over: '10 cm' },
];
const swatch = {
  title: 'Galley cloth, 5 mm',
  pattern: galleyCloth.pattern,
  yarns: galleyCloth.yarns,
  policy: 'carry-always',
  counts,
};

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

async function swatchAndPlan() {
  const { body: made } = await server.ask('POST', '/swatches', { swatch });
  const gauge = swatchGauge(made.id, made.swatch);
  const { body: work } = await server.ask('POST', '/works', { wish: { ...galleyCloth, gauge } });
  return { made, work };
}

describe('the swatch book', () => {
  it('keeps its order in a copy that is put back: the latest first', async () => {
    const own = await listen();
    for (const title of ['Anchor', 'Zinc', 'Mast', 'Buoy'])
      await own.ask('POST', '/swatches', { swatch: { ...swatch, title } });
    const titles = async () =>
      (await own.ask('GET', '/swatches')).body.map((each: { swatch: { title: string } }) => each.swatch.title);
    expect(await titles()).toEqual(['Buoy', 'Mast', 'Zinc', 'Anchor']);
    for (let round = 0; round < 2; round++) {
      expect(await putBack(own, await backUp(own))).toMatchObject({ state: 'done', result: { swatches: 4 } });
      expect(await titles()).toEqual(['Buoy', 'Mast', 'Zinc', 'Anchor']);
    }
    await own.close();
  });

  it('keeps a swatch and refuses one whose pattern cannot be made', async () => {
    const { status, body } = await server.ask('POST', '/swatches', { swatch });
    expect([status, body.revision, body.swatch.counts.length]).toEqual([201, 1, 2]);
    const none = await server.ask('POST', '/swatches', { swatch: { ...swatch, pattern: { key: 'none' } } });
    expect([none.status, none.body.problems[0].code]).toEqual([422, 'pattern-unknown']);
    const span = { ...swatch, counts: [{ what: 'rows', count: 9, over: 'a hand' }] };
    expect((await server.ask('POST', '/swatches', { swatch: span })).body.problems[0].path).toBe(
      'swatch.counts.0.over',
    );
  });

  it('carries a new count into the plans that go by it, and says what changed', async () => {
    const { made, work } = await swatchAndPlan();
    // 14 instead of 16 in 10 cm: the same stitches come 16/14 as wide, so fewer fit the wish.
    const changed = { ...made.swatch, counts: [{ ...counts[0], count: 14 }, counts[1]] };
    const { body } = await server.ask('PUT', `/swatches/${made.id}`, { revision: 1, swatch: changed });
    expect(body.plans).toMatchObject([{ id: work.id, title: galleyCloth.title }]);
    expect(body.plans[0].words).toMatch(/^was .* cm, A .* m, B .* m and is now /);
    const { body: after } = await server.ask('GET', `/works/${work.id}`);
    expect(after.revision).toBe(2);
    expect(after.wish.gauge.stitches.count).toBe(14);
    expect(after.notice).toContain(made.swatch.title);
    const { body: taken } = await server.ask('PUT', `/works/${work.id}`, { revision: 2, wish: after.wish });
    expect(taken.notice).toBeNull();
  });

  it('leaves a begun work as it is', async () => {
    const { made, work } = await swatchAndPlan();
    await server.ask('POST', `/works/${work.id}/begin`, { revision: 1, wish: work.wish });
    const changed = { ...made.swatch, counts: [{ ...counts[0], count: 14 }, counts[1]] };
    const { body } = await server.ask('PUT', `/swatches/${made.id}`, { revision: 1, swatch: changed });
    expect(body.plans).toEqual([]);
    expect((await server.ask('GET', `/works/${work.id}`)).body.wish.gauge.stitches.count).toBe(16);
  });

  it('is not thrown away while a plan goes by it, nor overwritten from a stale copy', async () => {
    const { made, work } = await swatchAndPlan();
    const refused = await server.ask('DELETE', `/swatches/${made.id}`);
    expect([refused.status, refused.body.problems[0].message]).toEqual([409, `${galleyCloth.title} uses this swatch.`]);
    await server.ask('PUT', `/works/${work.id}`, { revision: 1, wish: galleyCloth });
    await server.ask('PUT', `/swatches/${made.id}`, { revision: 1, swatch: { ...made.swatch, note: 'Airy.' } });
    const stale = await server.ask('PUT', `/swatches/${made.id}`, { revision: 1, swatch: made.swatch });
    expect([stale.status, stale.body.fresh.swatch.note]).toEqual([409, 'Airy.']);
    expect((await server.ask('DELETE', `/swatches/${made.id}`)).status).toBe(200);
  });
});
