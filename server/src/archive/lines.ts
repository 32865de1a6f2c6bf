import {
  type ArchiveLine,
  anyVersion,
  drawerYarnRecord,
  frozenRecord,
  logEntryRecord,
  ownPatternRecord,
  swatchRecord,
  ticksOnLine,
  wishRecord,
} from '@puntada/core/records';
import type { Tick } from '@puntada/core/work';
import { z } from 'zod';
import { type Db, row, rows } from '../db/database.ts';
import { whyUnread } from '../db/readable.ts';
import { breathing } from '../http/breathing.ts';
import { readPreferences } from '../preferences/queries.ts';
import { nextTicks } from '../progress/queries.ts';

type Row = Readonly<Record<string, unknown>>;
const any = z.record(z.string(), z.unknown());
const text = (value: unknown) => (value instanceof Date ? value.toISOString() : (value ?? null));
const plan = z.looseObject({ wish: anyVersion(wishRecord), begun: anyVersion(frozenRecord).nullable() });

/** A line as it is written: what the version of the archive says of itself is checked when it is read. */
type Line = Readonly<{ kind: ArchiveLine['kind'] } & Record<string, unknown>>;

async function* all(db: Db, sql: string, values: readonly unknown[] = []): AsyncGenerator<Row> {
  const breathe = breathing();
  for (const each of await rows(db, any, sql, values)) {
    yield each;
    await breathe();
  }
}

/** Ticks that are read at once. */
const page = ticksOnLine * 4;

async function* ticksOf(db: Db, workId: string): AsyncGenerator<Line> {
  const breathe = breathing();
  for (let last: Tick | undefined; ; ) {
    const ticks = await nextTicks(db, workId, last, page);
    if (!ticks.length) return;
    await breathe();
    for (let i = 0; i < ticks.length; i += ticksOnLine) {
      yield { kind: 'ticks', ticks: ticks.slice(i, i + ticksOnLine) };
    }
    last = ticks.at(-1);
  }
}

/** One project with all that was ever kept of it. */
async function* work(db: Db, found: Row): AsyncGenerator<Line> {
  const id = String(found.id);
  yield {
    kind: 'work',
    id,
    state: found.state,
    revision: found.revision,
    archived: found.archived,
    deletedAt: text(found.deleted_at),
    notice: found.notice,
    due: found.due_day,
    createdAt: text(found.created_at),
    changedAt: text(found.changed_at),
    wish: found.wish,
    begun: found.begun,
    unread: whyUnread(plan, found) !== undefined,
  };
  for await (const each of all(db, 'select * from former_plans where work_id = $1 order by revision desc', [id])) {
    yield {
      kind: 'former',
      revision: each.revision,
      wish: each.wish,
      begun: each.begun,
      rowsWorked: each.rows_worked,
      leftFor: each.left_for,
      leftAt: text(each.left_at),
    };
  }
  yield* ticksOf(db, id);
  for await (const each of all(db, 'select * from log where work_id = $1 order by at, id', [id])) {
    yield {
      kind: 'entry',
      id: each.id,
      at: each.at,
      entry: each.entry,
      deletedAt: text(each.deleted_at),
      unread: whyUnread(anyVersion(logEntryRecord), each.entry) !== undefined,
    };
  }
}

const workColumns = "works.*, to_char(due, 'YYYY-MM-DD') as due_day";

/** One project, line by line. */
async function* linesOfWork(db: Db, id: string): AsyncGenerator<Line> {
  for await (const each of all(db, `select ${workColumns} from works where id = $1`, [id])) yield* work(db, each);
}

const standing = z.object({ revision: z.number(), state: z.string() });

/** As it stands, so that it is seen whether it was changed while it was read. Steps and entries are only added. */
async function standsAt(db: Db, id: string): Promise<string> {
  return JSON.stringify(await row(db, standing, 'select revision, state from works where id = $1', [id]));
}

/**
 * One project, line by line, all of one plan, while others go on with it: one whose plan is changed meanwhile is read anew.
 * In a transaction it would be of one moment, and nobody else would be answered until it is read.
 */
export async function* settledWork(db: Db, id: string): AsyncGenerator<Line> {
  for (;;) {
    const before = await standsAt(db, id);
    const lines: Line[] = [];
    for await (const line of linesOfWork(db, id)) lines.push(line);
    if ((await standsAt(db, id)) !== before) continue;
    yield* lines;
    return;
  }
}

/**
 * A whole bench, line by line: as it is stored, never more than one project in memory, and each project of one plan. What
 * projects hang on, such as swatches, is read after them, so that nothing hangs on what is not there.
 */
export async function* linesOfBench(db: Db): AsyncGenerator<Line> {
  const ids = await rows(db, z.object({ id: z.uuid() }), 'select id from works order by created_at, id');
  const breathe = breathing();
  for (const { id } of ids) {
    yield* settledWork(db, id);
    await breathe();
  }
  for await (const { id, revision, yarn, deleted_at } of all(db, 'select * from drawer order by id')) {
    const unread = whyUnread(anyVersion(drawerYarnRecord), yarn) !== undefined;
    yield { kind: 'yarn', id, revision, yarn, deletedAt: text(deleted_at), unread };
  }
  for await (const { id, revision, swatch, deleted_at } of all(db, 'select * from swatches order by changed_at, id')) {
    const unread = whyUnread(anyVersion(swatchRecord), swatch) !== undefined;
    yield { kind: 'swatch', id, revision, swatch, deletedAt: text(deleted_at), unread };
  }
  for await (const { id, revision, pattern, deleted_at } of all(
    db,
    'select * from patterns order by place desc nulls last, created_at, id',
  )) {
    const unread = whyUnread(anyVersion(ownPatternRecord), pattern) !== undefined;
    yield { kind: 'pattern', id, revision, pattern, deletedAt: text(deleted_at), unread };
  }
  for await (const { id, title, form, deleted_at } of all(db, 'select * from drafts order by changed_at, id')) {
    yield { kind: 'draft', id, title, form, deletedAt: text(deleted_at) };
  }
  for await (const { minutes } of all(db, 'select minutes from evenings')) yield { kind: 'evenings', minutes };
  const preferences = await readPreferences(db);
  if (preferences) yield { kind: 'preferences', preferences };
}

/** The photos of a bench or of one project, by what finds them. */
export function photosOf(db: Db, only?: string): Promise<{ work: string; entry: string; small: boolean }[]> {
  const found = z.object({ work: z.uuid(), entry: z.uuid(), small: z.boolean() });
  const sql = `select work_id as work, entry_id as entry, small is not null as small from photos
    ${only ? 'where work_id = $1' : ''} order by work_id, entry_id`;
  return rows(db, found, sql, only ? [only] : []);
}
