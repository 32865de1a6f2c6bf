import { randomUUID } from 'node:crypto';
import { EventEmitter, once } from 'node:events';
import { must } from '@puntada/core/craft';
import { planWish } from '@puntada/core/plan';
import { wishSchema } from '@puntada/core/records';
import { type Listening, listen } from '../../test/listening.ts';
import { at, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { type Heavy, inThisThread } from '../heavy/heavy.ts';

describe('the projects of a set', () => {
  let server: Listening;
  beforeAll(async () => {
    server = await listen();
  }, 60000);
  afterAll(() => server.close());

  const set = { id: randomUUID(), title: 'Fair cloths' };
  const yarns = (name: string): object[] =>
    (galleyCloth.yarns as object[]).map((yarn, i) => (i ? { ...yarn, name } : yarn));
  const add = async (name: string, more: object = {}) =>
    (await server.ask('POST', '/works', { wish: { ...galleyCloth, title: name, yarns: yarns(name), set, ...more } }))
      .body;
  const get = async (id: string) => (await server.ask('GET', `/works/${id}`)).body;

  it('are planned together: in one size, each in its own yarns; what is begun, and what is of no set, stays', async () => {
    const [rust, teal, plum] = [await add('Rust'), await add('Teal', { pieces: 3 }), await add('Plum')];
    const [begun, back] = [await add('Begun'), await add('Back', { set: { ...set, part: 'back' } })];
    const alone = await add('Alone', { set: undefined });
    await server.ask('POST', `/works/${begun.id}/begin`, { revision: 1, wish: begun.wish });
    const others = [begun, back, alone].map(({ id }) => id);
    const before = await Promise.all(others.map(get));
    const changed = { ...rust.wish, closing: true, choice: { stitches: 28, rows: 36 } };
    // Those that were changed along when one was begun are made on their newest revision.
    const { revision } = await get(rust.id);
    expect((await server.ask('PUT', `/works/${rust.id}`, { revision, wish: changed })).status).toBe(200);
    for (const [own, pieces] of [
      [teal, 3],
      [plum, 1],
    ]) {
      const now = await get(own.id);
      expect(now.wish).toEqual({ ...changed, title: own.wish.title, yarns: own.wish.yarns, pieces });
      expect(now.notice).toContain('You changed “Rust”');
    }
    expect(await Promise.all(others.map(get))).toEqual(before);
    // The same again changes nothing more, and nobody is told.
    const teals = await get(teal.id);
    await server.ask('PUT', `/works/${rust.id}`, { revision: revision + 1, wish: changed });
    expect(await get(teal.id)).toEqual(teals);
  });

  it('are a front and a back of one outside size: the back goes along with its front, and not the other way', async () => {
    const own = { id: randomUUID(), title: 'Bag' };
    const front = await add('Front', {
      item: 'bag',
      set: { ...own, part: 'front' },
      width: { by: 'length', length: '34 cm' },
    });
    const small = { by: 'length', length: '20 cm' };
    const back = await add('Its back', {
      item: 'bag panel',
      pattern: { key: 'houndstooth' },
      set: { ...own, part: 'back' },
      width: small,
      height: small,
    });
    const twin = await add('Its twin', { item: 'bag panel', set: { ...own, part: 'back' } });
    const choice = { stitches: 52, rows: 44 };
    // The size of the back was written into the front, which is a revision of its own: the 20 cm of the first back.
    const told = await get(front.id);
    expect(told.wish.set.other.stitches).toBe(must(planWish(wishSchema.parse(back.wish))).width.inRow);
    await server.ask('PUT', `/works/${front.id}`, { revision: told.revision, wish: { ...told.wish, choice } });
    const { wish, revision } = await get(back.id);
    // 52 stitches of 6.25 mm and 44 rows of 5.56 mm.
    expect([wish.width, wish.height, wish.yarns]).toEqual([
      { by: 'length', length: '32.5 cm' },
      { by: 'length', length: '24.4 cm' },
      back.wish.yarns,
    ]);
    // Seam and mouth of the front go by what its back is now.
    const { width: wide, height: high } = must(planWish(wishSchema.parse(wish)));
    expect((await get(front.id)).wish.set.other).toEqual({ stitches: wide.inRow, courses: high.rows });
    // What is the same cloth takes the very counts.
    expect((await get(twin.id)).wish).toMatchObject({ title: 'Its twin', item: 'bag panel', choice });
    const before = await get(front.id);
    await server.ask('PUT', `/works/${back.id}`, { revision, wish: { ...wish, closing: true } });
    expect(await get(front.id)).toEqual(before);
  });

  it('stay as they are where they could not be planned so', async () => {
    const own = { id: randomUUID(), title: 'Mats' };
    const one = await add('Slate', { set: own });
    const other = await add('Moss', { set: own });
    const three = {
      ...one.wish,
      pattern: { key: 'lantern-diamonds' },
      yarns: [...one.wish.yarns, { ...yarns('Gold')[1], letter: 'C' }],
    };
    const { status } = await server.ask('PUT', `/works/${one.id}`, { revision: 1, wish: three });
    expect([status, await get(other.id)]).toEqual([200, other]);
  });

  it('are told as they are after a change that is still looked through', async () => {
    const events = new EventEmitter();
    const [looked, released] = [once(events, 'looked'), once(events, 'released')];
    let changing = false;
    const run = async (...asked: Parameters<Heavy['run']>) => {
      if (changing) {
        events.emit('looked');
        await released;
      }
      return inThisThread.run(...asked);
    };
    const slow: Heavy = { ...inThisThread, run: run as Heavy['run'] };
    const own = await listen(undefined, slow);
    const { body: made } = await own.ask('POST', '/works', { wish: galleyCloth });
    changing = true;
    const change = own.ask('PUT', `/works/${made.id}`, { revision: 1, wish: { ...made.wish, title: 'Quicker' } });
    await looked;
    // As a page asks that is opened in that moment.
    const asked = own.ask('GET', `/works/${made.id}`);
    await new Promise((next) => setTimeout(next, 50));
    events.emit('released');
    expect([(await asked).body.wish.title, (await asked).body.revision, (await change).status]).toEqual([
      'Quicker',
      2,
      200,
    ]);
    // A change that is refused keeps nobody waiting.
    const none = await own.ask('PUT', `/works/${made.id}`, { revision: 1, wish: made.wish });
    expect([none.status, (await own.ask('GET', `/works/${made.id}`)).body.wish.title]).toEqual([409, 'Quicker']);
    await own.close();
  });

  describe('planned otherwise as a whole', () => {
    const all = async (id: string) =>
      (await server.ask('GET', '/works')).body.filter(
        (each: { wish: { set?: { id: string } } }) => each.wish.set?.id === id,
      );
    /** Three of one colourway with the first on the hook, two rows up; one of another, and one more. */
    const fair = async () => {
      const own = { id: randomUUID(), title: 'Fair' };
      const [teal, plum, rust] = [
        await add('Teal', { set: own, pieces: 3 }),
        await add('Plum', { set: own }),
        await add('Rust', { set: own }),
      ];
      await server.ask('POST', `/works/${teal.id}/begin`, { revision: 1, wish: teal.wish });
      await server.ask('POST', `/works/${teal.id}/ticks`, { ticks: [tick(at(0), at(2), 1)] });
      const told = { format: 'puntada-entry', version: 4, kind: 'item', at: 5, whom: 'The café' };
      for (const item of [1, 3]) {
        await server.ask('POST', `/works/${teal.id}/log`, { entry: { ...told, id: randomUUID(), item } });
      }
      return { own, teal: await get(teal.id), plum: await get(plum.id), rust: await get(rust.id) };
    };
    const change = (work: { id: string; revision: number }, keep: number, wish: object | null) => ({
      ...{ id: work.id, revision: work.revision, keep, wish, newId: randomUUID() },
    });

    it('parts what is not begun from what is, with what was told of it; what is left out lies in the bin', async () => {
      const { own, teal, plum, rust } = await fair();
      const shorter = { choice: { stitches: 36, rows: 28 } };
      const rest = { ...teal.wish, title: 'Teal, the rest', pieces: 2, ...shorter };
      const parted = change(teal, 1, rest);
      const changes = [parted, change(plum, 0, { ...plum.wish, ...shorter }), change(rust, 0, null)];
      expect((await server.ask('POST', '/works/together', { changes })).status).toBe(200);
      const now = await all(own.id);
      const told = now.map(
        ({ wish, state }: { wish: { title: string; pieces: number; choice?: { rows: number } }; state: string }) =>
          [wish.title, state, wish.pieces, wish.choice?.rows].join(' '),
      );
      expect(told.sort()).toEqual(['Plum wished 1 28', 'Teal begun 1 44', 'Teal, the rest wished 2 28']);
      expect((await get(teal.id)).progress).toEqual(at(2));
      const items = async (id: string) =>
        (await server.ask('GET', `/works/${id}/log`)).body.entries.map(({ item }: { item: number }) => item);
      expect([await items(teal.id), await items(parted.newId)]).toEqual([[1], [2]]);
      const bin = (await server.ask('GET', '/works/bin')).body;
      expect(bin.map(({ id }: { id: string }) => id)).toContain(rust.id);
      // The same again comes too late: nothing is done twice.
      expect((await server.ask('POST', '/works/together', { changes })).status).toBe(409);
      expect(await all(own.id)).toEqual(now);
    });

    it('is done whole or not at all', async () => {
      const { own, teal, plum, rust } = await fair();
      const before = await all(own.id);
      const rest = { ...teal.wish, title: 'Teal, the rest', pieces: 2 };
      const ask = async (...changes: object[]) => {
        const { status, body } = await server.ask('POST', '/works/together', { changes });
        return [status, body.problems[0].code];
      };
      const good = change(plum, 0, null);
      // None may be taken out that is begun, and no more made than there were.
      expect(await ask(good, change(teal, 0, { ...rest, pieces: 3 }))).toEqual([422, 'items-begun']);
      expect(await ask(good, change(teal, 1, { ...rest, pieces: 3 }))).toEqual([422, 'items-begun']);
      expect(await ask(good, change(rust, 0, { ...rust.wish, choice: { stitches: 36, rows: 43 } }))).toEqual([
        422,
        expect.any(String),
      ]);
      expect(await ask(good, change({ ...rust, revision: 77 }, 0, rust.wish))).toEqual([409, 'stale']);
      expect(await ask(good, change({ id: randomUUID(), revision: 1 }, 0, null))).toEqual([404, expect.any(String)]);
      // A project by itself that is parted becomes one set with its rest; one whose id is taken is not made.
      expect((await ask(good, { ...change(teal, 1, rest), newId: plum.id }))[0]).toBeGreaterThanOrEqual(400);
      expect(await all(own.id)).toEqual(before);
    });
  });
});
