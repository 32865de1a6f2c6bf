import { randomUUID } from 'node:crypto';
import { everything } from '../test/archives.ts';
import { type Listening, listen } from '../test/listening.ts';
import { at, begunCloth, galleyCloth, start, tick } from '../test/sampleWorks.ts';

let server: Listening;
const ask: Listening['ask'] = (...request) => server.ask(...request);

beforeAll(async () => {
  server = await listen();
}, 60000);

afterAll(() => server.close());

describe('works', () => {
  it('keeps a wish as it was typed', async () => {
    const { status, body } = await ask('POST', '/works', {
      wish: { ...galleyCloth, units: 'in', width: { by: 'length', length: '9 1/2 in' } },
    });
    expect(status).toBe(201);
    expect(body).toMatchObject({ state: 'wished', revision: 1, size: null, begun: null });
    expect(body.wish.width.length).toBe('9 1/2 in');
    expect((await ask('GET', `/works/${body.id}`)).body).toEqual(body);
  });

  it('refuses signs that cannot be stored, says so, and keeps nothing', async () => {
    const before = (await ask('GET', '/works')).body.length;
    for (const title of ['a\u0000b', 'half a pair \ud83e']) {
      const { status, body } = await ask('POST', '/works', { wish: { ...galleyCloth, title } });
      expect([status, body.problems[0].message]).toEqual([422, expect.stringContaining('cannot be stored')]);
    }
    expect((await ask('GET', '/works')).body).toHaveLength(before);
  });

  it('freezes the laid fabric when it is begun', async () => {
    const id = await begunCloth(server);
    const { body } = await ask('GET', `/works/${id}`);
    expect(body.size).toEqual({ stitches: 36, rows: 44 });
    expect(body.begun.rows).toHaveLength(2);
    expect(body.begun.rows[0]).toBe('4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A, 4 sc B, 4 sc A');
    expect(body.wish.choice).toEqual({ stitches: 36, rows: 44 });
  });

  it('refuses a change made on a stale copy, brings the fresh state, and overwrites nothing', async () => {
    const { body: made } = await ask('POST', '/works', { wish: galleyCloth });
    await ask('PUT', `/works/${made.id}`, { revision: 1, wish: { ...galleyCloth, title: 'From one tab' } });
    const late = await ask('PUT', `/works/${made.id}`, {
      revision: 1,
      wish: { ...galleyCloth, title: 'From another' },
    });
    expect(late.status).toBe(409);
    expect(late.body.problems[0].message).toContain('Nothing was overwritten');
    expect(late.body.fresh.wish.title).toBe('From one tab');
    expect((await ask('GET', `/works/${made.id}`)).body.wish.title).toBe('From one tab');
  });

  it('does not change the plan of a begun work', async () => {
    const id = await begunCloth(server);
    const late = await ask('PUT', `/works/${id}`, { revision: 2, wish: galleyCloth });
    expect(late.status).toBe(409);
    expect(late.body.problems[0].message).toContain('already started');
  });

  it('a set is finished only after the last row of its last cloth', async () => {
    const { body: made } = await ask('POST', '/works', { wish: { ...galleyCloth, pieces: 2 } });
    await ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    // 44 rows and the ends; a chain, 44 rows and the ends.
    await ask('POST', `/works/${made.id}/ticks`, { ticks: [tick(at(0), at(44), 5)] });
    const early = await ask('POST', `/works/${made.id}/finish`, { revision: 2 });
    expect([early.status, early.body.problems[0].code]).toEqual([409, 'rows-left']);
    expect(early.body.problems[0].message).toBe('Row 1 of 44, piece 2 of 2, is still to be worked.');
    await ask('POST', `/works/${made.id}/ticks`, { ticks: [tick(at(44), at(45 + 1 + 44), 6)] });
    expect((await ask('POST', `/works/${made.id}/finish`, { revision: 2 })).body.state).toBe('finished');
  });

  it('is finished only after its last row', async () => {
    const id = await begunCloth(server);
    const early = await ask('POST', `/works/${id}/finish`, { revision: 2 });
    expect(early.status).toBe(409);
    expect(early.body.problems[0].message).toContain('Row 1 of 44');
    await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(43), at(44), 5)] });
    expect((await ask('POST', `/works/${id}/finish`, { revision: 2 })).body.state).toBe('finished');
  });
});

describe('works of every technique', () => {
  const made = [
    ['spires', 2],
    ['back-teeth', 2],
    ['quay-linen', 2],
    ['landing-steps', 3],
    ['portholes', 3],
    ['anchor-diamonds', 2],
    ['tide-marks', 2],
    ['two-nets', 2],
    ['storm-lantern', 3],
    ['windlass', 2],
    ['rain-marks', 2],
    ['sea-chest', 2],
  ] as const;
  it.each(made)('%s is wished, begun, and its first row ticked', async (key, colours) => {
    const [a] = galleyCloth.yarns;
    const yarns = [...'ABC'.slice(0, colours)].map((letter) => ({ ...a, letter }));
    const own = {
      ...galleyCloth,
      pattern: { key },
      yarns,
      edges: 'whole',
      ending: 'whole',
      gauge: { from: 'typical' },
    };
    const size = { width: { by: 'length', length: '40 cm' }, height: { by: 'length', length: '40 cm' } };
    const { status, body: work } = await ask('POST', '/works', { wish: { ...own, ...size } });
    expect([status, work.problems]).toEqual([201, undefined]);
    const begun = await ask('POST', `/works/${work.id}/begin`, { revision: work.revision, wish: work.wish });
    expect(begun.body.state).toBe('begun');
    const ticked = await ask('POST', `/works/${work.id}/ticks`, { ticks: [tick(at(0), at(1), 1)] });
    expect(ticked.status).toBe(200);
    expect((await ask('GET', `/works/${work.id}`)).body.progress).toEqual(at(1));
  });
});

describe('ticks', () => {
  it('count once, however often they are sent', async () => {
    const id = await begunCloth(server);
    const ticks = [tick(at(0), at(1), 100), tick(at(1), at(1, 3), 101)];
    const first = await ask('POST', `/works/${id}/ticks`, { ticks });
    expect(first.body).toEqual({ progress: at(1, 3), lastPlace: 101, stored: ticks.map((each) => each.id) });
    expect((await ask('POST', `/works/${id}/ticks`, { ticks })).body.progress).toEqual(at(1, 3));
    const count = await server.database.query('select count(*)::integer as n from ticks where work_id = $1', [id]);
    expect(count.rows).toEqual([{ n: 2 }]);
  });

  it('that come late are put in their order', async () => {
    const id = await begunCloth(server);
    await ask('POST', `/works/${id}/ticks`, {
      ticks: [tick(at(0), at(1), 10), tick(at(1), at(2), 20), tick(at(2), at(1), 40)],
    });
    // Another device worked two more rows before the step back; it comes back into reach only now.
    const late = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(2), at(3), 30)] });
    expect(late.body.progress).toEqual(at(3));
  });

  it('merge to the same place whichever device comes first', async () => {
    const tablet = [tick(at(0), at(1), 10), tick(at(1), at(2), 30)];
    const phone = [tick(at(0), at(0, 4), 20), tick(at(0, 4), at(1), 25), tick(at(1), at(1, 2), 40)];
    const places = [];
    for (const order of [
      [tablet, phone],
      [phone, tablet],
    ]) {
      const id = await begunCloth(server);
      for (const ticks of order) await ask('POST', `/works/${id}/ticks`, { ticks });
      places.push((await ask('GET', `/works/${id}`)).body.progress);
    }
    expect(places).toEqual([at(2), at(2)]);
  });

  it('outside the work, or of a work not begun, are refused and change nothing', async () => {
    const id = await begunCloth(server);
    const far = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(46), 1)] });
    expect([far.status, far.body.problems[0].path]).toEqual([422, 'ticks.0.to']);
    const wide = await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(0, 9), 1)] });
    expect(wide.status).toBe(422);
    expect((await ask('GET', `/works/${id}`)).body.progress).toEqual(start);
    const { body: wished } = await ask('POST', '/works', { wish: galleyCloth });
    expect((await ask('POST', `/works/${wished.id}/ticks`, { ticks: [tick(at(0), at(1), 1)] })).status).toBe(409);
  });
});

describe('bad input', () => {
  it.each([
    ['malformed JSON', '{"wish": ', 400, 'not-json'],
    ['a 10 MB body', JSON.stringify({ wish: 'x'.repeat(10_000_000) }), 413, 'request-too-large'],
    ['an unknown pattern', { wish: { ...galleyCloth, pattern: { key: 'no-such' } } }, 422, 'pattern-unknown'],
    [
      'a negative size',
      { wish: { ...galleyCloth, width: { by: 'length', length: '-3 cm' } } },
      422,
      'length-out-of-range',
    ],
    [
      'a gauge of zero',
      { wish: { ...galleyCloth, gauge: { ...galleyCloth.gauge, stitches: { count: 0, over: '10 cm' } } } },
      422,
      'field-wrong',
    ],
    ['letters in numbers', { wish: { ...galleyCloth, height: { by: 'rows', count: 'many' } } }, 422, 'field-wrong'],
    [
      'a wish narrower than one repeat',
      { wish: { ...galleyCloth, width: { by: 'length', length: '3 cm' } } },
      422,
      'narrower-than-repeat',
    ],
    ['nothing', {}, 422, 'field-missing'],
  ])('%s is refused with a sentence and a hint, and stores nothing', async (_what, body, status, code) => {
    const before = (await ask('GET', '/works')).body.length;
    const answer = await ask('POST', '/works', body);
    expect(answer.status).toBe(status);
    expect(answer.body.problems[0].code).toBe(code);
    expect(answer.body.problems[0].message.length).toBeGreaterThan(10);
    expect(answer.body.problems[0].hint.length).toBeGreaterThan(5);
    expect((await ask('GET', '/works')).body).toHaveLength(before);
  });

  it('answers no page from elsewhere, and knows no other address', async () => {
    const { request } = await import('node:http');
    const { port } = server;
    const status = await new Promise<number | undefined>((done) => {
      request({ port, host: '127.0.0.1', path: '/api/works', headers: { host: 'elsewhere.example' } }, (r) =>
        done(r.statusCode),
      ).end();
    });
    expect(status).toBe(403);
    expect((await ask('GET', '/nowhere')).status).toBe(404);
    expect((await ask('GET', '/works/not-an-id')).status).toBe(404);
  });
});

describe('putting away', () => {
  it('hides a work without losing it, and takes it out again', async () => {
    const { body: made } = await ask('POST', '/works', { wish: galleyCloth });
    expect(made.archived).toBe(false);
    const { body: away } = await ask('POST', `/works/${made.id}/archive`, { revision: 1, archived: true });
    expect(away).toMatchObject({ archived: true, revision: 2, wish: made.wish });
    const stale = await ask('POST', `/works/${made.id}/archive`, { revision: 1, archived: false });
    expect([stale.status, stale.body.fresh.archived]).toEqual([409, true]);
    const { body: out } = await ask('POST', `/works/${made.id}/archive`, { revision: 2, archived: false });
    expect(out.archived).toBe(false);
  });
});

describe('the log', () => {
  const label = { format: 'puntada-entry', version: 5 };
  const note = { ...label, id: randomUUID(), at: 5, kind: 'note', row: 3, text: 'Tighter since the tea.' };

  it('keeps an entry told twice once, in the order of its time, beside the ticks', async () => {
    const id = await begunCloth(server);
    await ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(0), at(1), 7)] });
    const weigh = {
      ...label,
      ...{ id: randomUUID(), at: 4, kind: 'weigh', letter: 'A', ball: 1, before: 50, beforeIsLabel: true },
      ...{ after: 41, scale: 1, position: at(1) },
    };
    for (const entry of [note, note, weigh]) await ask('POST', `/works/${id}/log`, { entry });
    const { body } = await ask('GET', `/works/${id}/log`);
    expect(body.entries).toEqual([weigh, note]);
    expect(body.ticks).toHaveLength(1);
  });

  it('refuses what cannot be, with its field', async () => {
    const id = await begunCloth(server);
    const empty = await ask('POST', `/works/${id}/log`, { entry: { ...note, text: ' ' } });
    expect([empty.status, empty.body.problems[0].path]).toEqual([422, 'entry.text']);
    expect((await ask('POST', `/works/${randomUUID()}/log`, { entry: note })).status).toBe(404);
  });
});

describe('which face is outside', () => {
  it('is decided late, on a begun work too, and changes nothing else of its wish', async () => {
    const seamed = { ...galleyCloth, finish: { seam: 'sc' }, pieces: 2 };
    const { body: made } = await ask('POST', '/works', { wish: seamed });
    const { body: begun } = await ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    const { body } = await ask('POST', `/works/${made.id}/outside`, { revision: 2, outside: 'WS' });
    expect(body).toMatchObject({ revision: 3, state: 'begun' });
    expect(body.wish).toEqual({ ...begun.wish, finish: { seam: 'sc', outside: 'WS' } });
    expect((await ask('POST', `/works/${made.id}/outside`, { revision: 2, outside: 'RS' })).status).toBe(409);
    expect((await ask('POST', `/works/${made.id}/outside`, { revision: 3, outside: 'up' })).status).toBe(422);
  });
});

describe('drafts', () => {
  it('keep a half-typed wish as it is, whatever it says, until it is taken away', async () => {
    const id = randomUUID();
    const form = { title: '', width: 'about a', yarns: [{ letter: 'A' }] };
    const { body: first } = await ask('PUT', `/drafts/${id}`, { title: 'Half a thought', form });
    expect(first).toMatchObject({ id, title: 'Half a thought', form });
    await ask('PUT', `/drafts/${id}`, { title: 'A whole one', form: { ...form, width: '24' } });
    const { body: list } = await ask('GET', '/drafts');
    expect(list.filter((each: { id: string }) => each.id === id)).toMatchObject([{ title: 'A whole one' }]);
    await ask('DELETE', `/drafts/${id}`);
    expect((await ask('GET', `/drafts/${id}`)).status).toBe(404);
    expect((await ask('PUT', '/drafts/none', { title: '', form })).status).toBe(404);
    expect((await ask('PUT', `/drafts/${id}`, { title: 'x'.repeat(81), form })).status).toBe(422);
  });
});

describe('a draft that two pages have open', () => {
  it('is not written over: the later page is told, with what it is now, and may then decide', async () => {
    const [id, one, other] = [randomUUID(), randomUUID(), randomUUID()];
    const put = (title: string, revision: number | undefined, by: string) =>
      ask('PUT', `/drafts/${id}`, { title, form: {}, revision, by });
    expect((await put('First', 0, one)).body.revision).toBe(1);
    // Its answer was lost: the same page goes on all the same.
    expect((await put('Second', 0, one)).body.revision).toBe(2);
    const late = await put('Elsewhere', 1, other);
    expect([late.status, late.body.problems[0].code, late.body.fresh]).toMatchObject([
      409,
      'stale',
      { title: 'Second', revision: 2 },
    ]);
    expect((await ask('GET', `/drafts/${id}`)).body.title).toBe('Second');
    expect((await put('Elsewhere after all', 2, other)).body.revision).toBe(3);
    expect((await put('Third', 2, one)).status).toBe(409);
    // A page of before tells no revision.
    expect((await ask('PUT', `/drafts/${id}`, { title: 'Of before', form: {} })).body.revision).toBe(4);
  });
});

describe('preferences and plans', () => {
  it('remembers how the maker reads', async () => {
    expect((await ask('GET', '/preferences')).body).toMatchObject({
      units: 'cm',
      terms: 'US',
      hand: 'right',
      fractions: 'quarters',
      manner: 'compact',
    });
    const mine = { units: 'in', terms: 'UK', hand: 'left', fractions: 'decimals', manner: 'printed' };
    await ask('PUT', '/preferences', mine);
    // A page of before tells neither currency nor rate.
    const usual = {
      format: 'puntada-preferences',
      version: 1,
      currency: '€',
      rate: 0,
      lastLoop: 'drawn',
      ends: 'woven',
    };
    expect((await ask('GET', '/preferences')).body).toEqual({ ...usual, ...mine });
    // Everything that is said of it is there again, every field of it unlike the usual.
    const all = { ...usual, ...mine, currency: '£', rate: 12.5, lastLoop: 'locked', ends: 'over' };
    await ask('PUT', '/preferences', all);
    expect((await ask('GET', '/preferences')).body).toEqual(all);
    expect((await ask('PUT', '/preferences', { ...mine, rate: -1 })).status).toBe(422);
    expect((await ask('PUT', '/preferences', { units: 'ell', terms: 'UK', hand: 'left' })).status).toBe(422);
  });

  it('makes once what is asked twice, because its answer was lost', async () => {
    const [work, yarn] = [crypto.randomUUID(), crypto.randomUUID()];
    const wool = { line: 'Tidewool', name: 'Foam', shade: '#eeeeee', weight: 4, fibre: 'wool', balls: 2 };
    for (const _again of [1, 2]) {
      expect((await ask('POST', '/works', { id: work, wish: galleyCloth })).body).toMatchObject({
        id: work,
        revision: 1,
      });
      expect((await ask('POST', '/drawer', { id: yarn, yarn: wool })).body).toMatchObject({ id: yarn, revision: 1 });
    }
    const ids = async (path: string) => (await ask('GET', path)).body.map((each: { id: string }) => each.id);
    expect((await ids('/works')).filter((id: string) => id === work)).toHaveLength(1);
    expect((await ids('/drawer')).filter((id: string) => id === yarn)).toHaveLength(1);
  });

  it('plans without storing', async () => {
    const stored = () => everything(server);
    const before = await stored();
    const { body } = await ask('POST', '/plan', galleyCloth);
    expect(body.foundation.chains).toBe(37);
    expect(body.rows).toHaveLength(44);
    expect(await stored()).toEqual(before);
  });
});
