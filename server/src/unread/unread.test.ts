import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import type { Problem } from '@puntada/core/craft';
import { planWork, prepareWork } from '@puntada/core/plan';
import {
  draftsSchema,
  drawerSchema,
  formerPlansSchema,
  ownPaceSchema,
  preferencesAnswerSchema,
  scheduleSchema,
  swatchesSchema,
  unreadSchema,
  workLogSchema,
  workSchema,
  workSummariesSchema,
} from '@puntada/core/records';
import { problemWords } from '@puntada/core/words';
import type { z } from 'zod';
import {
  backUp,
  everything,
  handOver,
  type Line,
  linesOf,
  putBack,
  rewritten,
  sealed,
  takeOver,
} from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { openDatabase } from '../db/open.ts';

const fixtures = new URL('../../fixtures/', import.meta.url);

describe('a document that this version does not know', () => {
  let server: Listening;
  beforeAll(async () => {
    server = await listen();
  }, 60000);
  afterAll(() => server.close());

  it('stands as one that cannot be read, with why, and everything else goes on', async () => {
    const [good, newer, older] = [await begunCloth(server, 4), await begunCloth(server), await begunCloth(server)];
    const db = server.database;
    await db.query(`update works set wish = wish || '{"title": "From next year", "loft": 3}' where id = $1`, [newer]);
    await db.query(`update works set begun = begun || '{"version": 0}' where id = $1`, [older]);
    const { status, body: list } = await server.ask('GET', '/works');
    expect([status, list.map(({ id }: { id: string }) => id)]).toEqual([200, [good]]);
    const { body: unread } = await server.ask('GET', '/unread');
    const told = new Map<string, { title: string; problem: Problem }>(
      unread.works.map((each: { id: string }) => [each.id, each]),
    );
    expect(told.get(newer)).toMatchObject({ title: 'From next year', problem: { code: 'cannot-be-read' } });
    const words = (id: string) => problemWords(told.get(id)?.problem as Problem).message;
    expect(words(newer)).toContain('“loft”');
    expect(words(older)).toContain('version');
    // One that is asked for by name says why; the schedule, the pace and the log of the others are there.
    expect((await server.ask('GET', `/works/${newer}`)).body.problems[0].code).toBe('cannot-be-read');
    const { body: schedule } = await server.ask('GET', '/schedule');
    expect(schedule.works.map(({ id }: { id: string }) => id)).toEqual([good]);
    expect((await server.ask('GET', '/schedule/pace')).status).toBe(200);
    const more = await server.ask('POST', `/works/${good}/ticks`, { ticks: [tick(at(4), at(5), 99)] });
    expect(more.body.progress).toEqual(at(5));
  });

  it('in the drawer, in the swatch book or in a log it leaves the others where they are', async () => {
    const db = server.database;
    const yarn = { line: 'Tidewool', name: 'Foam', shade: '#eeeeee', weight: 4, fibre: 'wool', balls: 2 };
    const { body: made } = await server.ask('POST', '/drawer', { yarn });
    await server.ask('POST', '/drawer', { yarn: { ...yarn, name: 'Slate' } });
    await db.query(`update drawer set yarn = yarn || '{"fibre": "moonlight"}' where id = $1`, [made.id]);
    expect((await server.ask('GET', '/drawer')).body.map((each: { yarn: { name: string } }) => each.yarn.name)).toEqual(
      ['Slate'],
    );
    const id = await begunCloth(server);
    const note = { id: '5f0c8a52-3a7b-4c3e-9d0a-0a6f5a1c2b3e', at: 7, kind: 'note', row: 2, text: 'Kettle.' };
    await server.ask('POST', `/works/${id}/log`, { entry: note });
    await db.query(
      `insert into log (work_id, id, at, entry) values ($1, 'aaaaaaaa-3a7b-4c3e-9d0a-0a6f5a1c2b3e', 8, '{"kind": "song"}')`,
      [id],
    );
    expect((await server.ask('GET', `/works/${id}/log`)).body.entries).toMatchObject([note]);
    const { body: unread } = await server.ask('GET', '/unread');
    expect([unread.yarns.length, unread.entries.length, unread.entries[0].work]).toEqual([1, 1, id]);
    expect(unread.yarns[0].title).toBe('Tidewool');
  });

  it('is found where it was read before it was damaged, and is gone once it is mended', async () => {
    const db = server.database;
    const yarn = { line: 'Tidewool', name: 'Kelp', shade: '#446655', weight: 4, fibre: 'wool', balls: 1 };
    const { body: made } = await server.ask('POST', '/drawer', { yarn });
    const kelp = async () =>
      (await server.ask('GET', '/unread')).body.yarns.some((each: { id: string }) => each.id === made.id);
    expect([await kelp(), await kelp()]).toEqual([false, false]);
    await db.query(`update drawer set yarn = yarn || '{"fibre": "moonlight"}' where id = $1`, [made.id]);
    expect([await kelp(), await kelp()]).toEqual([true, true]);
    await db.query(`update drawer set yarn = yarn || '{"fibre": "wool"}' where id = $1`, [made.id]);
    expect(await kelp()).toBe(false);
    await server.ask('DELETE', `/drawer/${made.id}`);
  });

  it('goes along in a backup and comes back as it was', async () => {
    const backup = await backUp(server);
    const lines = await linesOf(backup);
    const unread = lines.filter((line) => line.unread).map((line) => line.kind);
    // Two works, the one entry of another's log that is not known, and a yarn.
    expect(unread.sort()).toEqual(['entry', 'work', 'work', 'yarn']);
    const before = (await server.ask('GET', '/unread')).body;
    expect(await putBack(server, backup)).toMatchObject({ state: 'done' });
    expect((await server.ask('GET', '/unread')).body).toEqual(before);
    expect(await everything(server)).toEqual(lines);
  });

  it('is refused by a restore where reading would refuse it', async () => {
    const backup = await backUp(server);
    const before = await everything(server);
    const changed = async (change: (lines: Line[]) => unknown[]) => {
      const [problem] = (await putBack(server, await rewritten(backup, change))).problems ?? [];
      return problem && problemWords(problem).message;
    };
    const ell = {
      kind: 'preferences',
      preferences: { units: 'ell', terms: 'US', hand: 'right', fractions: 'quarters' },
    };
    expect(await changed((lines) => [...lines.filter(({ kind }) => kind !== 'preferences'), ell])).toContain(
      'preferences.units',
    );
    const torn = await changed((lines) => {
      const work = lines.find((line) => line.kind === 'work' && !line.unread && line.begun);
      work.begun.rows[0] = '35 sc A';
      return lines;
    });
    expect(torn).toContain('does not hold together');
    expect(await everything(server)).toEqual(before);
    expect((await server.ask('GET', '/preferences')).status).toBe(200);
  });
});

describe('what a newer version wrote', () => {
  let server: Listening;
  beforeAll(async () => {
    server = await listen();
  }, 60000);
  afterAll(() => server.close());
  const yarn = { line: 'Tidewool', name: 'Foam', shade: '#eeeeee', weight: 4, fibre: 'wool', balls: 2 };
  const newer = { format: 'puntada-yarn', version: 2, strands: ['Tidewool', 'Foam'] };

  it('is shown where it stands, and neither read nor changed', async () => {
    const { body: made } = await server.ask('POST', '/drawer', { yarn });
    await server.database.query('update drawer set yarn = $2 where id = $1', [made.id, JSON.stringify(newer)]);
    expect((await server.ask('GET', '/drawer')).body).toEqual([]);
    const { body: unread } = await server.ask('GET', '/unread');
    expect(problemWords(unread.yarns[0].problem)).toEqual({
      message: 'This is a yarn of a newer Puntada: it is of version 2, and this one reads up to 1.',
      hint: 'It is kept as it is, in every backup too. The newer version reads it.',
    });
    const kept = (await everything(server)).filter(({ kind }) => kind === 'yarn');
    expect(kept).toEqual([{ kind: 'yarn', id: made.id, revision: 1, yarn: newer, deletedAt: null, unread: true }]);
  });

  it('is put back from a backup of that version, where it stood among the others', async () => {
    const id = await begunCloth(server, 3);
    const entry = {
      format: 'puntada-entry',
      version: 99,
      id: '5f0c8a52-3a7b-4c3e-9d0a-0a6f5a1c2b3e',
      at: 7,
      song: 'La',
    };
    // As the newer one makes it: all of it is readable to itself.
    const made = await rewritten(await backUp(server), (lines) => {
      const ticks = lines.findIndex(({ kind }) => kind === 'ticks');
      const logged = { kind: 'entry', id: entry.id, at: entry.at, entry, deletedAt: null };
      return lines
        .toSpliced(ticks + 1, 0, logged)
        .map((line) => ({ ...line, ...(line.unread ? { unread: false } : {}) }));
    });
    expect(await putBack(server, made)).toMatchObject({ state: 'done' });
    const { body: unread } = await server.ask('GET', '/unread');
    expect([unread.yarns.length, unread.entries.length]).toEqual([1, 1]);
    // The work itself is read by this version, with its three rows.
    expect((await server.ask('GET', `/works/${id}`)).body.progress).toEqual(at(3));
    const { rows } = await server.database.query('select entry from log where work_id = $1', [id]);
    expect(rows).toEqual([{ entry }]);
  });

  it('is not taken for damage in a file: a whole backup or work of a newer version is refused by its version', async () => {
    const head = { format: 'puntada-archive', version: 7, holds: 'bench', song: 'La' };
    expect((await putBack(server, await sealed(head, []))).problems).toMatchObject([{ code: 'record-newer' }]);
    const old = { format: 'puntada-work', version: 7 };
    expect((await takeOver(server, JSON.stringify(old))).problems).toMatchObject([{ code: 'record-newer' }]);
    const id = await begunCloth(server);
    const [bench, project] = [await backUp(server), await handOver(server, id)];
    expect((await takeOver(server, bench)).problems).toMatchObject([{ code: 'holds-bench' }]);
    expect((await putBack(server, project)).problems).toMatchObject([{ code: 'holds-project' }]);
  });

  it('is refused where it is sent, with what was there kept', async () => {
    const before = await everything(server);
    const { body } = await server.ask('POST', '/drawer', { yarn: newer });
    expect(body.problems).toMatchObject([{ code: 'record-newer', path: 'yarn.version' }]);
    expect(await everything(server)).toEqual(before);
  });
});

describe('what is stored and told', () => {
  let server: Listening;
  beforeAll(async () => {
    server = await listen();
  }, 60000);
  afterAll(() => server.close());

  it('says what it is: every document with its kind and version', async () => {
    const id = await begunCloth(server, 2);
    const yarn = { line: 'Tidewool', name: 'Foam', shade: '#eeeeee', weight: 4, fibre: 'wool', balls: 2 };
    const note = { id: '5f0c8a52-3a7b-4c3e-9d0a-0a6f5a1c2b3e', at: 7, kind: 'note', row: 2, text: 'Kettle.' };
    await server.ask('POST', '/drawer', { yarn });
    await server.ask('POST', `/works/${id}/log`, { entry: note });
    const documents = `select wish as document from works union all select begun from works
      union all select yarn from drawer union all select entry from log`;
    const { rows } = await server.database.query(documents);
    expect(rows.map(({ document }) => (document as Record<string, unknown>).format).sort()).toEqual([
      'puntada-begun',
      'puntada-entry',
      'puntada-wish',
      'puntada-yarn',
    ]);
  });

  it('answers in the shapes that the pages read', async () => {
    const [{ body: works }, { body: schedule }] = [
      await server.ask('GET', '/works'),
      await server.ask('GET', '/schedule'),
    ];
    const id = works[0].id;
    const answers: [z.ZodType, string][] = [
      [workSummariesSchema, '/works'],
      [workSchema, `/works/${id}`],
      [workLogSchema, `/works/${id}/log`],
      [formerPlansSchema, `/works/${id}/former`],
      [drawerSchema, '/drawer'],
      [swatchesSchema, '/swatches'],
      [draftsSchema, '/drafts'],
      [unreadSchema, '/unread'],
      [ownPaceSchema, '/schedule/pace'],
      [preferencesAnswerSchema, '/preferences'],
    ];
    for (const [schema, path] of answers) {
      const { body } = await server.ask('GET', path);
      // Not a field is lost on the way: what is read is what was answered.
      expect(schema.parse(body)).toEqual(body);
    }
    expect(scheduleSchema.parse(schedule)).toEqual(schedule);
  });
});

describe('a bench that was laid out by the version before', () => {
  const folder = mkdtempSync(join(tmpdir(), 'puntada-old-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('opens with every work, each to be planned, worked and finished as it was begun', async () => {
    const archive = join(folder, 'bench.tar');
    writeFileSync(archive, brotliDecompressSync(readFileSync(new URL('ferry-house-version-1.tar.br', fixtures))));
    execFileSync('tar', ['-xf', archive, '-C', folder]);
    const database = await openDatabase(folder);
    const server = await listen(database);
    const { body: works } = await server.ask('GET', '/works');
    expect(works).toHaveLength(19);
    expect((await server.ask('GET', '/unread')).body.works).toEqual([]);
    for (const { id } of works) {
      const { body: work } = await server.ask('GET', `/works/${id}`);
      const read = prepareWork(work);
      expect([
        work.wish.title,
        read.ok ? '' : read.problems.map((problem) => problemWords(problem).message).join(),
      ]).toEqual([work.wish.title, '']);
      const plan = planWork(work);
      expect([
        work.wish.title,
        plan.ok ? '' : plan.problems.map((problem) => problemWords(problem).message).join(),
      ]).toEqual([work.wish.title, '']);
      if (!work.begun || !plan.ok) continue;
      // The cloth on the hook is the one that was begun: its rows, its stitches, its place.
      expect([plan.value.piece.fabric.courses, plan.value.piece.stitches]).toEqual([
        work.size.rows,
        work.size.stitches,
      ]);
      if (work.state !== 'begun') continue;
      const next = { rows: work.progress.rows + 1, runs: 0 };
      const answer = await server.ask('POST', `/works/${id}/ticks`, {
        ticks: [tick(work.progress, next, Date.now() + 60_000)],
      });
      expect(answer.body.progress).toEqual(next);
    }
    // Two nets were begun without a base row, and go on so; a new wish for them has one.
    const nets = works.find(({ wish }: { wish: { pattern: { key: string } } }) => wish.pattern.key === 'two-nets');
    const { body: net } = await server.ask('GET', `/works/${nets.id}`);
    const [old, fresh] = [planWork(net), planWork({ wish: { ...net.wish, choice: undefined, ending: 'any' } })];
    expect([old.ok && old.value.piece.fabric.making, fresh.ok && fresh.value.piece.fabric.making]).toEqual([
      'paired',
      'netted',
    ]);
    // What the older version had is kept as it was, for it to go on with.
    const kept = readdirSync(folder).filter((name) => name.startsWith('database-before-'));
    expect(kept).toHaveLength(1);
    expect(readFileSync(join(folder, String(kept[0]), 'PG_VERSION'), 'utf8')).toMatch(/^\d+\n$/);
    await server.close();
  }, 60000);

  it('comes in from its backup too', async () => {
    const server = await listen();
    const backup = readFileSync(new URL('ferry-house-version-1.backup.json', fixtures), 'utf8');
    expect(await putBack(server, backup)).toMatchObject({ state: 'done', result: { works: 19 } });
    expect((await server.ask('GET', '/works')).body).toHaveLength(19);
    await server.close();
  }, 60000);
});

describe('beginning a work', () => {
  it('twice at once begins it once, and both are told how it stands', async () => {
    const server = await listen();
    const { body: made } = await server.ask('POST', '/works', { wish: galleyCloth });
    const begin = () => server.ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
    const answers = await Promise.all([begin(), begin()]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect(answers.find(({ status }) => status === 409)?.body.fresh.state).toBe('begun');
    expect((await server.ask('GET', `/works/${made.id}`)).body.revision).toBe(2);
    await server.close();
  }, 60000);
});
