import { randomUUID } from 'node:crypto';
import { findPattern, printPattern } from '@puntada/core/craft';
import { backUp, putBack } from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';

const text = `pattern own-1 "Fir"
about ""
technique carried
made flat
stitch sc
colours A B
across 3
up 2
chart
  ABA
  BBB
end
`;
const pattern = { text, note: 'For the hall.' };

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

describe('patterns of one’s own', () => {
  it('are kept, changed on their revision, and made once however often it is asked', async () => {
    const id = randomUUID();
    const made = await server.ask('POST', '/patterns', { id, pattern });
    expect([made.status, made.body.revision, made.body.pattern.note]).toEqual([201, 1, 'For the hall.']);
    await server.ask('POST', '/patterns', { id, pattern });
    expect((await server.ask('GET', '/patterns')).body.map((each: { id: string }) => each.id)).toEqual([id]);
    const changed = await server.ask('PUT', `/patterns/${id}`, { revision: 1, pattern: { ...pattern, note: '' } });
    expect([changed.status, changed.body.revision]).toEqual([200, 2]);
    const stale = await server.ask('PUT', `/patterns/${id}`, { revision: 1, pattern });
    expect([stale.status, stale.body.fresh.revision]).toEqual([409, 2]);
  });

  it('that cannot be read are refused with the line, and nothing is kept of them', async () => {
    const before = (await server.ask('GET', '/patterns')).body.length;
    const broken = await server.ask('POST', '/patterns', { pattern: { text: text.replace('ABA', 'ABAA'), note: '' } });
    expect([broken.status, broken.body.problems[0].code]).toEqual([422, 'pattern-syntax']);
    // The first row of marks says how long they are: the second is the one that differs.
    expect(broken.body.problems[0].facts.line).toBe(11);
    expect((await server.ask('GET', '/patterns')).body).toHaveLength(before);
  });

  it('lie in the bin with yarns, swatches and drafts, and come back from it as they were', async () => {
    const id = randomUUID();
    await server.ask('POST', '/patterns', { id, pattern });
    const yarn = { line: 'Skerry', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', balls: 2 };
    const { body: oat } = await server.ask('POST', '/drawer', { yarn });
    const draft = randomUUID();
    await server.ask('PUT', `/drafts/${draft}`, { title: 'Half a cosy', form: {} });
    for (const path of [`/patterns/${id}`, `/drawer/${oat.id}`, `/drafts/${draft}`]) {
      expect((await server.ask('DELETE', path)).status).toBe(200);
      expect((await server.ask('GET', path.slice(0, path.lastIndexOf('/')))).body).not.toContainEqual(
        expect.objectContaining({ id: path.split('/')[2] }),
      );
    }
    const bin = (await server.ask('GET', '/bin')).body;
    expect(bin.map(({ kind, title }: { kind: string; title: string }) => [kind, title])).toEqual([
      ['draft', 'Half a cosy'],
      ['yarn', 'Skerry Oat'],
      ['pattern', 'Fir'],
    ]);
    await server.ask('POST', '/bin/back', { kind: 'yarn', id: oat.id });
    await server.ask('POST', '/bin/back', { kind: 'pattern', id });
    expect((await server.ask('GET', '/drawer')).body).toContainEqual(expect.objectContaining({ id: oat.id }));
    expect((await server.ask('GET', '/bin')).body).toHaveLength(1);
    expect((await server.ask('POST', '/bin/back', { kind: 'pattern', id })).status).toBe(404);
  });

  it('a draft that became a project does not lie in the bin', async () => {
    const draft = randomUUID();
    await server.ask('PUT', `/drafts/${draft}`, { title: 'Became a cosy', form: {} });
    await server.ask('DELETE', `/drafts/${draft}?done=true`);
    const titles = (await server.ask('GET', '/bin')).body.map(({ title }: { title: string }) => title);
    expect(titles).not.toContain('Became a cosy');
  });

  it('go along in a copy of the bench, in their order, and what lay in the bin lies there again', async () => {
    const before = (await server.ask('GET', '/patterns')).body;
    const bin = (await server.ask('GET', '/bin')).body.map(({ id }: { id: string }) => id);
    expect(await putBack(server, await backUp(server))).toMatchObject({ state: 'done', result: { patterns: 2 } });
    const after = (await server.ask('GET', '/patterns')).body;
    expect(after.map(({ id }: { id: string }) => id)).toEqual(before.map(({ id }: { id: string }) => id));
    expect((await server.ask('GET', '/bin')).body.map(({ id }: { id: string }) => id)).toEqual(bin);
  });

  it('are kept by a project as they were when it took them', async () => {
    const id = randomUUID();
    await server.ask('POST', '/patterns', { id, pattern });
    const wish = { ...galleyCloth, pattern: { key: 'own-1', text } };
    const { body: work } = await server.ask('POST', '/works', { wish });
    await server.ask('PUT', `/patterns/${id}`, {
      revision: 1,
      pattern: { ...pattern, text: text.replace('ABA', 'AAA') },
    });
    const { body: kept } = await server.ask('GET', `/works/${work.id}`);
    expect(kept.wish.pattern.text).toBe(text);
    const found = findPattern(kept.wish.pattern.text);
    expect(found.ok && printPattern(found.value)).toContain('  ABA');
  });

  it('stand in the order in which they were put, also on another bench; a new one stands first', async () => {
    const [one, other] = [await listen(), await listen()];
    const names = async (server: Listening) =>
      (await server.ask('GET', '/patterns')).body.map(
        ({ pattern }: { pattern: { text: string } }) => /"([^"]+)"/.exec(pattern.text)?.[1],
      );
    const made: string[] = [];
    for (const name of ['Ash', 'Birch', 'Cedar']) {
      const text = `pattern own-1 "${name}"\nabout ""\ntechnique carried\nmade flat\nstitch sc\ncolours A B\nacross 2 "repeats"\nup 1 "rows"\nread seen\nrow: | 1A 1B |\n`;
      const pattern = { format: 'puntada-own-pattern', version: 1, text, note: '' };
      made.push((await one.ask('POST', '/patterns', { pattern })).body.id);
    }
    expect(await names(one)).toEqual(['Cedar', 'Birch', 'Ash']);
    const [ash, birch, cedar] = made as [string, string, string];
    await one.ask('PUT', '/patterns/order', { ids: [birch, cedar, ash] });
    expect(await names(one)).toEqual(['Birch', 'Cedar', 'Ash']);
    await putBack(other, await backUp(one));
    expect(await names(other)).toEqual(['Birch', 'Cedar', 'Ash']);
    await one.ask('PUT', '/patterns/order', { ids: [ash] });
    expect((await names(one)).at(-1)).toBe('Ash');
    expect((await one.ask('PUT', '/patterns/order', { ids: ['no id'] })).status).toBe(422);
    await one.close();
    await other.close();
  });
});
