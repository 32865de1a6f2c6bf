import { type Listening, listen } from '../../test/listening.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';

const oat = {
  line: 'Skerry cotton',
  name: 'Oat',
  shade: '#e9dfc4',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
  balls: 6,
};

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

describe('the drawer', () => {
  it('keeps a yarn, its part balls and its lot, and changes it on its newest revision only', async () => {
    const { status, body } = await server.ask('POST', '/drawer', { yarn: { ...oat, lot: '17 B', parts: [31] } });
    expect([status, body.revision, body.yarn.parts]).toEqual([201, 1, [31]]);
    const fewer = { ...body.yarn, balls: 5 };
    const changed = await server.ask('PUT', `/drawer/${body.id}`, { revision: 1, yarn: fewer });
    expect(changed.body).toMatchObject({ revision: 2, yarn: { balls: 5 } });
    const stale = await server.ask('PUT', `/drawer/${body.id}`, { revision: 1, yarn: { ...fewer, balls: 1 } });
    expect([stale.status, stale.body.fresh.yarn.balls]).toEqual([409, 5]);
    const wrong = await server.ask('POST', '/drawer', { yarn: { ...oat, balls: 2.5 } });
    expect([wrong.status, wrong.body.problems[0].path]).toEqual([422, 'yarn.balls']);
  });

  it('takes a table whole or not at all', async () => {
    const before = (await server.ask('GET', '/drawer')).body.length;
    const bad = await server.ask('POST', '/drawer/many', { yarns: [oat, { ...oat, weight: 9 }] });
    expect(bad.status).toBe(422);
    expect((await server.ask('GET', '/drawer')).body).toHaveLength(before);
    await server.ask('POST', '/drawer/many', { yarns: [oat, { ...oat, name: 'Kelp' }] });
    expect((await server.ask('GET', '/drawer')).body).toHaveLength(before + 2);
  });

  it('gives up no yarn that a work has set aside', async () => {
    const { body: yarn } = await server.ask('POST', '/drawer', { yarn: oat });
    const [a, ...others] = galleyCloth.yarns;
    const held = { ...galleyCloth, yarns: [{ ...a, drawer: yarn.id, balls: 2 }, ...others] };
    const { body: work } = await server.ask('POST', '/works', { wish: held });
    const refused = await server.ask('DELETE', `/drawer/${yarn.id}`);
    expect([refused.status, refused.body.problems[0].message]).toEqual([
      409,
      `This yarn is set aside for ${galleyCloth.title}.`,
    ]);
    await server.ask('PUT', `/works/${work.id}`, { revision: 1, wish: galleyCloth });
    expect((await server.ask('DELETE', `/drawer/${yarn.id}`)).body).toEqual({ removed: yarn.id });
    expect((await server.ask('DELETE', `/drawer/${yarn.id}`)).status).toBe(404);
  });
});
