import { randomUUID } from 'node:crypto';
import { wishAsBegun } from '@puntada/core/plan';
import { twinOf } from '@puntada/core/work';
import { type Listening, listen } from '../../test/listening.ts';
import { at, galleyCloth, start, tick } from '../../test/sampleWorks.ts';

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

/** Two bags whose backs are worked by turns with their fronts. @returns front and back as they are stored */
async function bags() {
  const set = { id: randomUUID(), title: 'Bags', part: 'front' };
  const wish = { ...galleyCloth, item: 'bag', pieces: 2, set };
  const { body: front } = await server.ask('POST', '/works', { wish });
  const { body: back } = await server.ask('POST', '/works', { wish: twinOf(front.wish) });
  // The front has been told of its back meanwhile.
  return { front: (await server.ask('GET', `/works/${front.id}`)).body, back };
}

async function begin({ id, revision, wish }: { id: string; revision: number; wish: object }) {
  return (await server.ask('POST', `/works/${id}/begin`, { revision, wish })).body;
}

describe('two bags of which each has a front and a back', () => {
  it('are two items with a seam each, and stay so on the hook', async () => {
    const { front } = await bags();
    const begun = await begin(front);
    expect([begun.begun.apart, begun.wish.set.part]).toEqual([true, 'front']);
    // The front of the first bag is done and its ends are woven in: what is touched is one of two.
    await server.ask('POST', `/works/${front.id}/ticks`, { ticks: [tick(start, at(44), 5)] });
    const change = { id: front.id, revision: begun.revision, newId: randomUUID() };
    const none = await server.ask('POST', '/works/together', { changes: [{ ...change, keep: 0, wish: null }] });
    expect(none.body.problems).toMatchObject([{ code: 'items-begun', facts: { items: 1 } }]);
  });

  it('the back of one that is begun stays, the other is planned otherwise', async () => {
    const { front, back } = await bags();
    const begun = await begin(front);
    // It was planned along with its front.
    const { revision } = (await server.ask('GET', `/works/${back.id}`)).body;
    const lower = { choice: { stitches: 36, rows: 36 }, pieces: 1 };
    const changes = [
      { id: front.id, revision: begun.revision, keep: 1, wish: { ...begun.wish, ...lower }, newId: randomUUID() },
      { id: back.id, revision, keep: 1, wish: { ...back.wish, ...lower }, newId: randomUUID() },
    ];
    // One more than there are is refused, and nothing is changed.
    const [one, two] = changes;
    const many = await server.ask('POST', '/works/together', {
      changes: [one, { ...two, wish: { ...two?.wish, pieces: 2 } }],
    });
    expect([many.status, many.body.problems[0].code]).toEqual([422, 'items-begun']);
    expect((await server.ask('GET', `/works/${front.id}`)).body.wish.pieces).toBe(2);
    const { body: works } = await server.ask('POST', '/works/together', { changes });
    const piecesAndRows = (id: string | undefined) => {
      const { wish, state } = works.find((work: { id: string }) => work.id === id);
      return [state, wish.pieces, wish.choice?.rows, wish.set.part];
    };
    const rows = begun.wish.choice.rows;
    expect(piecesAndRows(front.id)).toEqual(['begun', 1, rows, 'front']);
    expect(piecesAndRows(back.id)).toEqual(['wished', 1, rows, 'back']);
    expect(piecesAndRows(one?.newId)).toEqual(['wished', 1, 36, 'front']);
    expect(piecesAndRows(two?.newId)).toEqual(['wished', 1, 36, 'back']);
    // Only a front or a back has an other side.
    const { body: cloth } = await server.ask('POST', '/works', { wish: { ...galleyCloth, pieces: 2 } });
    const alone = { id: cloth.id, revision: 1, keep: 1, wish: { ...cloth.wish, pieces: 1 }, newId: randomUUID() };
    expect((await server.ask('POST', '/works/together', { changes: [alone] })).status).toBe(422);
  });

  it('begun before each was counted for itself they go on as one, where the counter stands', async () => {
    const { front } = await bags();
    const { revision } = await begin(front);
    await server.database.query("update works set begun = begun - 'apart' where id = $1", [front.id]);
    const { body: before } = await server.ask('GET', `/works/${front.id}`);
    expect([before.wish.set.part, before.wish.pieces, before.begun.apart]).toEqual([undefined, 2, undefined]);
    expect(wishAsBegun(front.wish, false)).toEqual({ ...front.wish, set: before.wish.set });
    // Behind the last row of the first front there is the chain of the second, no seam.
    const { body } = await server.ask('POST', `/works/${front.id}/ticks`, { ticks: [tick(start, at(90), 5)] });
    expect(body.progress).toEqual(at(90));
    expect((await server.ask('GET', '/works')).body.some(({ id }: { id: string }) => id === front.id)).toBe(true);
    expect(revision).toBe(front.revision + 1);
  });
});
