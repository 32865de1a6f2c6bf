import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { backUp, linesOf, putBack } from '../../test/archives.ts';
import { freshFolder } from '../../test/freshFolder.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { hasPostgres, type PostgresServer, startPostgres } from '../../test/postgresServer.ts';
import { at, begunCloth, galleyCloth, tick } from '../../test/sampleWorks.ts';
import { linesOfBench } from '../archive/lines.ts';
import { addWork, changeWish } from '../works/queries.ts';
import type { Database } from './database.ts';
import { openDatabase, openShared } from './open.ts';

// Where a machine has no PostgreSQL server, only the database inside the process is tried.
const onServer = hasPostgres ? describe : describe.skip;

async function answers(db: Database) {
  await db.exec('create temporary table alike (n bigint, d date, t timestamptz, j jsonb, who uuid)');
  const who = '6f1c9d1e-8a0e-4c6e-9d43-2f2a7c5b1e90';
  const sql = 'insert into alike values ($1, $2, $3, $4, $5)';
  const added = await db.query(sql, [
    1764000000123,
    '2026-11-28',
    '2026-11-28T12:00:00.250Z',
    JSON.stringify({ a: [1, 2] }),
    who,
  ]);
  const { rows } = await db.query('select *, count(*) over () as many, 0.5::numeric as half from alike');
  const none = await db.query('update alike set n = 1 where n = $1', [2]);
  const some = await db.query('update alike set n = 1 where who = any($1::uuid[])', [[who]]);
  return { added: added.changed, rows, none: none.changed, some: some.changed };
}

/** What both drivers are to answer, written out by hand. */
const alike = {
  added: 1,
  rows: [
    {
      n: 1764000000123,
      d: '2026-11-28',
      t: new Date(Date.UTC(2026, 10, 28, 12, 0, 0, 250)),
      j: { a: [1, 2] },
      who: '6f1c9d1e-8a0e-4c6e-9d43-2f2a7c5b1e90',
      many: 1,
      half: 0.5,
    },
  ],
  none: 0,
  some: 1,
};

async function undone(db: Database): Promise<unknown> {
  await db
    .transaction(async (tx) => {
      await tx.query("insert into evenings (minutes) values ('[1,2,3,4,5,6,7]')");
      throw new Error('midway');
    })
    .catch(() => undefined);
  return (await db.query('select minutes from evenings')).rows;
}

describe('the database inside the process', () => {
  let folder: string;
  let db: Database;
  beforeAll(async () => {
    folder = await freshFolder();
    db = await openDatabase(folder);
  }, 60000);
  afterAll(async () => {
    await db.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('answers numbers, days, moments and changed rows', async () => expect(await answers(db)).toEqual(alike));
  it('takes all of a transaction back', async () => expect(await undone(db)).toEqual([]));
});

onServer('a PostgreSQL server', () => {
  let postgres: PostgresServer;
  let one: Database;
  let other: Database;
  let server: Listening;
  let beside: Listening;
  beforeAll(async () => {
    postgres = await startPostgres();
    // Two processes that start at once bring the same shapes.
    [one, other] = await Promise.all([openShared(postgres.address), openShared(postgres.address)]);
    server = await listen(one);
    beside = await listen(other);
  }, 60000);
  afterAll(async () => {
    await server.close();
    await beside.close();
    await postgres.stop();
  });

  it('answers alike', async () => expect(await answers(one)).toEqual(alike));
  it('takes all of a transaction back', async () => expect(await undone(one)).toEqual([]));

  it('carries the whole server: a work is begun, worked, scheduled and backed up', async () => {
    const id = await begunCloth(server, 3);
    const { body } = await server.ask('GET', '/schedule');
    expect(body.works.find((each: { id: string }) => each.id === id)).toMatchObject({ rows: 41 });
    await server.ask('PUT', `/schedule/due/${id}`, { due: '2026-12-05' });
    expect((await server.ask('GET', `/works/${id}`)).body).toMatchObject({ due: '2026-12-05', state: 'begun' });
    const backup = await backUp(server);
    expect((await linesOf(backup)).filter(({ kind }) => kind === 'work').map((work) => work.id)).toContain(id);
    expect(await putBack(server, backup)).toMatchObject({ state: 'done' });
    expect((await server.ask('GET', `/works/${id}`)).body.progress).toEqual(at(3));
  });

  it('folds the steps of two processes at once, and loses none', async () => {
    const id = await begunCloth(server);
    // Each sends every other row of twenty, so both come late for the other again and again.
    const rows = Array.from({ length: 20 }, (_, row) => tick(at(row), at(row + 1), 1000 + row));
    await Promise.all(
      rows.map((each, i) => (i % 2 ? server : beside).ask('POST', `/works/${id}/ticks`, { ticks: [each] })),
    );
    expect((await server.ask('GET', `/works/${id}`)).body.progress).toEqual(at(20));
  }, 60000);

  it('makes a backup in which each project is of one plan, whatever is done meanwhile', async () => {
    const [early, late] = [randomUUID(), randomUUID()];
    const id = await addWork(one, galleyCloth, null);
    await one.query("insert into drafts (id, title, form) values ($1, 'early', '{}')", [early]);
    let reads = 0;
    // As soon as the project has been read, its plan is changed from elsewhere; once it was read again, a draft is added.
    const watched: Database = {
      ...one,
      async query(sql, values) {
        const answer = await one.query(sql, values);
        if (sql.includes('from works where id = $1') && values?.[0] === id && sql.includes('due_day')) {
          reads += 1;
          if (reads === 1) await changeWish(other, id, 1, { ...galleyCloth, title: 'Changed meanwhile' });
          else await other.query("insert into drafts (id, title, form) values ($1, 'late', '{}')", [late]);
        }
        return answer;
      },
    };
    const lines: Record<string, unknown>[] = [];
    for await (const line of linesOfBench(watched)) lines.push(line);
    const own = lines.filter((line) => line.kind === 'work' && line.id === id);
    expect([reads, own]).toMatchObject([2, [{ revision: 2, wish: { title: 'Changed meanwhile' } }]]);
    expect(lines.filter((line) => line.kind === 'draft').map((line) => line.id)).toEqual(
      expect.arrayContaining([early, late]),
    );
  });
});
