import { randomUUID } from 'node:crypto';
import { type Listening, listen } from '../../test/listening.ts';
import { begunCloth, galleyCloth } from '../../test/sampleWorks.ts';
import { sealOf } from './backup.ts';

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

async function fill(server: Listening): Promise<string> {
  const id = await begunCloth(server, 3);
  const note = { id: randomUUID(), at: 10, kind: 'note', row: 3, text: 'Kettle.' };
  await server.ask('POST', `/works/${id}/log`, { entry: note });
  await server.ask('PUT', `/drafts/${randomUUID()}`, { title: 'Half', form: { width: 'a' } });
  await server.ask('PUT', '/preferences', { units: 'in', terms: 'UK', hand: 'left', fractions: 'decimals' });
  return id;
}

describe('a whole backup', () => {
  it('brings another machine to the same works, rows, log, drafts and preferences', async () => {
    const id = await fill(one);
    const { body: backup } = await one.ask('GET', '/backup');
    await other.ask('POST', '/works', { wish: { ...galleyCloth, title: 'Gone afterwards' } });
    const { status, body } = await other.ask('POST', '/backup/restore', backup);
    expect([status, body.works]).toEqual([200, backup.contents.works.length]);
    for (const path of ['/works', `/works/${id}`, `/works/${id}/log`, '/preferences']) {
      expect((await other.ask('GET', path)).body).toEqual((await one.ask('GET', path)).body);
    }
    expect((await other.ask('GET', `/works/${id}`)).body.progress).toEqual({ rows: 3, runs: 0 });
    expect((await other.ask('GET', '/drafts')).body).toHaveLength(1);
    const again = (await other.ask('GET', '/backup')).body;
    expect(again.seal).toBe(backup.seal);
  });

  it('is refused when it is damaged, and nothing is changed', async () => {
    const { body: backup } = await one.ask('GET', '/backup');
    const before = (await other.ask('GET', '/backup')).body.seal;
    const changed = structuredClone(backup);
    changed.contents.works[0].wish.title = 'Changed by hand';
    const refused = await other.ask('POST', '/backup/restore', changed);
    expect([refused.status, refused.body.problems[0].message]).toEqual([
      422,
      'This backup is damaged. Its seal does not fit: it was cut short or changed.',
    ]);
    const hollow = { ...backup, contents: { ...backup.contents, works: [{ id: 'none' }] } };
    const unreadable = await other.ask('POST', '/backup/restore', { ...hollow, seal: sealOf(hollow.contents) });
    expect([unreadable.status, unreadable.body.problems[0].message]).toEqual([
      422,
      expect.stringContaining('works.0.'),
    ]);
    expect((await other.ask('POST', '/backup/restore', { format: 'something' })).status).toBe(422);
    expect((await other.ask('GET', '/backup')).body.seal).toBe(before);
  });

  it('is put back whole or not at all: a step that cannot be stored takes all of it back', async () => {
    const { body: backup } = await one.ask('GET', '/backup');
    const before = (await other.ask('GET', '/backup')).body.seal;
    const twice = structuredClone(backup.contents);
    twice.works.push(structuredClone(twice.works[0]));
    const answer = await other.ask('POST', '/backup/restore', { ...backup, contents: twice, seal: sealOf(twice) });
    expect(answer.status).toBe(500);
    expect((await other.ask('GET', '/backup')).body.seal).toBe(before);
  });
});
