import { randomUUID } from 'node:crypto';
import { open } from 'node:fs/promises';
import { type Problem, readPattern } from '@puntada/core/craft';
import {
  type ArchiveLine,
  anyVersion,
  drawerYarnRecord,
  type FormerPlan,
  frozenRecord,
  type KeptWork,
  type LogEntry,
  logEntryRecord,
  ownPatternRecord,
  preferencesRecord,
  readShape,
  swatchRecord,
  type TakenOver,
  type Wish,
  weekSchema,
  wishRecord,
} from '@puntada/core/records';
import { brokenIn } from '@puntada/core/work';
import { z } from 'zod';
import type { Db } from '../db/database.ts';
import { Refusal } from '../http/answers.ts';
import { breathing } from '../http/breathing.ts';
import { keepFormer } from '../onward/queries.ts';
import { keepPhoto } from '../photos/queries.ts';
import { writePreferences } from '../preferences/queries.ts';
import { addTicks } from '../progress/queries.ts';
import { findWork } from '../works/queries.ts';
import { openJsonFile } from './legacy.ts';
import { damaged, type Kept, openArchive } from './read.ts';
import type { Watch } from './watch.ts';

type Of<Kind extends ArchiveLine['kind']> = Extract<ArchiveLine, { kind: Kind }>;

/** A project with all its lines. */
interface WholeWork {
  readonly kind: 'whole';
  readonly head: Of<'work'>;
  readonly former: Of<'former'>[];
  readonly ticks: Of<'ticks'>['ticks'];
  readonly entries: Of<'entry'>[];
}
type Piece = WholeWork | Exclude<ArchiveLine, { kind: 'work' | 'former' | 'ticks' | 'entry' }>;

/** Whether a file is an archive; else it can only be the JSON of an earlier version. */
export async function isArchive(path: string): Promise<boolean> {
  const file = await open(path);
  const { buffer } = await file.read(Buffer.alloc(2), 0, 2, 0);
  await file.close();
  return buffer.toString() === 'PK';
}

/** Opens what a maker has given: an archive, or the JSON of an earlier version. @throws Refusal 422 */
export async function openKept(path: string, watch: Watch = {}): Promise<Kept> {
  return (await isArchive(path)) ? openArchive(path, watch) : openJsonFile(path);
}

async function* piecesOf(kept: Kept): AsyncGenerator<Piece> {
  let whole: WholeWork | undefined;
  for await (const line of kept.lines()) {
    if (line.kind === 'former' || line.kind === 'ticks' || line.kind === 'entry') {
      if (!whole) throw damaged({ why: 'order' });
      if (line.kind === 'former') whole.former.push(line);
      else if (line.kind === 'entry') whole.entries.push(line);
      else for (const tick of line.ticks) whole.ticks.push(tick);
      continue;
    }
    if (whole) yield whole;
    whole = undefined;
    if (line.kind === 'work') whole = { kind: 'whole', head: line, former: [], ticks: [], entries: [] };
    else yield line;
  }
  if (whole) yield whole;
}

/**
 * Reads a document of a file by its record. @returns nothing where a newer version wrote it: it is kept as it is
 * @throws Refusal 422 where it is damaged
 */
function read<S extends z.ZodType>(schema: S, value: unknown, at: string): z.output<S> | undefined {
  const found = readShape(schema, value);
  if (found.ok) return found.value;
  if (found.problems.every(({ code }) => code === 'record-newer')) return undefined;
  const [first] = found.problems;
  throw damaged({ ...first?.facts, why: first?.code, at: first?.path ? `${at}.${first.path}` : at });
}

function problemsIn(text: string): readonly Problem[] {
  const found = readPattern(text);
  return found.ok ? [] : found.problems;
}

const planSchema = z.object({ wish: anyVersion(wishRecord), begun: anyVersion(frozenRecord).nullable() });
const formerSchema = z.object({ wish: anyVersion(wishRecord), begun: anyVersion(frozenRecord) });

/** A project as this version reads it, as far as it can. @throws Refusal 422 where it is damaged */
function readWhole({ head, former, ticks, entries }: WholeWork): KeptWork | undefined {
  const { kind: _kind, unread, wish: _wish, begun: _begun, ...rest } = head;
  if (unread) return undefined;
  const plan = read(planSchema, head, `project ${head.id}`);
  const left = former.map((each) => {
    const { revision, rowsWorked, leftFor, leftAt } = each;
    const own = read(formerSchema, each, `project ${head.id}.former`);
    return own && ({ revision, rowsWorked, leftFor, leftAt, ...own } satisfies FormerPlan);
  });
  const log = entries.flatMap((each): LogEntry[] => {
    const entry = each.unread
      ? undefined
      : read(anyVersion(logEntryRecord), each.entry, `project ${head.id}, log ${each.id}`);
    if (entry && (entry.id !== each.id || entry.at !== each.at)) throw damaged({ why: 'id', at: each.id });
    return entry ? [entry] : [];
  });
  if (!plan || left.includes(undefined)) return undefined;
  return { ...rest, ...plan, ticks, log, former: left as FormerPlan[] };
}

async function checkPhotos(kept: Kept, work: WholeWork): Promise<void> {
  for (const { id } of work.entries) {
    for (const size of ['image', 'small'] as const) {
      const photo = await kept.photo(work.head.id, id, size);
      if (photo?.length && photo.readUInt16BE(0) !== 0xffd8) throw damaged({ why: 'photo', at: id });
    }
  }
}

/** @throws Refusal 422 where a file holds the other thing */
export function mustHold({ head }: Kept, holds: Kept['head']['holds']): void {
  if (head.holds !== holds) throw new Refusal(422, [{ code: `holds-${head.holds}`, path: '' }]);
}

/** What is in a file, once nothing in it is against its shape or the craft. @throws Refusal 422 */
export async function checkKept(kept: Kept, { signal, progress }: Watch = {}): Promise<Counts> {
  const counts: Counts = { works: 0, yarns: 0, swatches: 0, patterns: 0, titles: [] };
  const ids = new Set<string>();
  const once = (id: string) => {
    if (ids.has(id)) throw damaged({ why: 'id', at: id });
    ids.add(id);
  };
  let seen = 0;
  for await (const piece of piecesOf(kept)) {
    signal?.throwIfAborted();
    progress?.(++seen, 0);
    if (piece.kind === 'whole') {
      once(piece.head.id);
      const work = readWhole(piece);
      const [broken] = work ? brokenIn(work) : [];
      if (broken) throw damaged({ ...broken.facts, why: broken.code, at: broken.path, title: work?.wish.title });
      await checkPhotos(kept, piece);
      counts.works++;
      if (work) counts.titles.push(work.wish.title);
    } else if (piece.kind === 'yarn') {
      once(piece.id);
      if (!piece.unread) read(anyVersion(drawerYarnRecord), piece.yarn, `yarn ${piece.id}`);
      counts.yarns++;
    } else if (piece.kind === 'swatch') {
      once(piece.id);
      if (!piece.unread) read(anyVersion(swatchRecord), piece.swatch, `swatch ${piece.id}`);
      counts.swatches++;
    } else if (piece.kind === 'pattern') {
      once(piece.id);
      const own = piece.unread ? undefined : read(anyVersion(ownPatternRecord), piece.pattern, `pattern ${piece.id}`);
      const [wrong] = own ? problemsIn(own.text) : [];
      if (wrong) throw damaged({ ...wrong.facts, why: wrong.code, at: `pattern ${piece.id}` });
      counts.patterns++;
    } else if (piece.kind === 'draft') {
      once(`draft ${piece.id}`);
    } else if (piece.kind === 'evenings') {
      once('evenings');
      read(weekSchema, piece.minutes, 'evenings');
    } else {
      once('preferences');
      read(anyVersion(preferencesRecord), piece.preferences, 'preferences');
    }
  }
  return counts;
}

export interface Counts {
  works: number;
  yarns: number;
  swatches: number;
  patterns: number;
  readonly titles: string[];
}

async function insertWork(tx: Db, { head, former, ticks, entries }: WholeWork, kept: Kept, id: string): Promise<void> {
  await tx.query(
    `insert into works (id, state, revision, wish, begun, archived, notice, due, created_at, changed_at, deleted_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      id,
      head.state,
      head.revision,
      JSON.stringify(head.wish ?? null),
      head.begun ? JSON.stringify(head.begun) : null,
      head.archived,
      head.notice,
      head.due,
      head.createdAt,
      head.changedAt,
      head.deletedAt ?? null,
    ],
  );
  for (const plan of former) await keepFormer(tx, id, plan);
  await addEntries(tx, entries, kept, { from: head.id, to: id });
  // The ticks go the same way as when they were made, so that progress follows from them again.
  if (ticks.length) await addTicks(tx, id, ticks);
  await tx.query('update works set changed_at = $2 where id = $1', [id, head.changedAt]);
}

/** Adds what is not yet in the log of a project, with its pictures. */
async function addEntries(
  tx: Db,
  entries: readonly Of<'entry'>[],
  kept: Kept,
  { from, to }: { from: string; to: string },
): Promise<void> {
  for (const { id, at, entry, deletedAt } of entries) {
    await tx.query(
      'insert into log (work_id, id, at, entry, deleted_at) values ($1, $2, $3, $4, $5) on conflict do nothing',
      [to, id, at, JSON.stringify(entry), deletedAt],
    );
    const image = await kept.photo(from, id, 'image');
    if (image?.length) await keepPhoto(tx, to, id, image, await kept.photo(from, id, 'small'));
  }
}

const tables = [
  'progress',
  'ticks',
  'photos',
  'log',
  'former_plans',
  'works',
  'drawer',
  'swatches',
  'patterns',
  'drafts',
  'evenings',
  'preferences',
];

/** What stands in the order of its times keeps the order in which it stands in a file, however quickly it is put back. */
const inTurn = "now() + $5::integer * interval '1 microsecond'";

/**
 * Puts what a file holds in place of everything that is there, in the transaction given: all of it or nothing. The bench
 * is another one afterwards. It is to be checked before.
 */
export async function restoreKept(tx: Db, kept: Kept, { signal, progress }: Watch = {}): Promise<void> {
  for (const table of tables) await tx.query(`delete from ${table}`);
  let seen = 0;
  const breathe = breathing();
  for await (const piece of piecesOf(kept)) {
    signal?.throwIfAborted();
    progress?.(++seen, 0);
    await breathe();
    switch (piece.kind) {
      case 'whole':
        await insertWork(tx, piece, kept, piece.head.id);
        break;
      case 'yarn': {
        const values = [piece.id, piece.revision, JSON.stringify(piece.yarn), piece.deletedAt];
        await tx.query('insert into drawer (id, revision, yarn, deleted_at) values ($1, $2, $3, $4)', values);
        break;
      }
      case 'swatch': {
        const values = [piece.id, piece.revision, JSON.stringify(piece.swatch), piece.deletedAt, seen];
        const sql = `insert into swatches (id, revision, swatch, deleted_at, changed_at) values ($1, $2, $3, $4, ${inTurn})`;
        await tx.query(sql, values);
        break;
      }
      case 'pattern': {
        const values = [piece.id, piece.revision, JSON.stringify(piece.pattern), piece.deletedAt, seen];
        const sql = `insert into patterns (id, revision, pattern, deleted_at, created_at)
          values ($1, $2, $3, $4, ${inTurn})`;
        await tx.query(sql, values);
        break;
      }
      case 'draft': {
        const values = [piece.id, piece.title, JSON.stringify(piece.form), piece.deletedAt, seen];
        const sql = `insert into drafts (id, title, form, deleted_at, changed_at) values ($1, $2, $3, $4, ${inTurn})`;
        await tx.query(sql, values);
        break;
      }
      case 'evenings':
        await tx.query('insert into evenings (minutes) values ($1)', [JSON.stringify(piece.minutes)]);
        break;
      case 'preferences': {
        const preferences = readShape(anyVersion(preferencesRecord), piece.preferences);
        if (preferences.ok) await writePreferences(tx, preferences.value);
      }
    }
  }
  await tx.query('update bench set id = $1', [randomUUID()]);
}

/**
 * Takes one project in. One that is here already, by the same plan, gets what it has not yet: rows and log of both are
 * merged. One that is here by another plan stays, and the one handed over stands beside it.
 * @returns its id here, and what became of it @throws Refusal 422 where the file holds no project
 */
export async function takeIn(tx: Db, kept: Kept): Promise<TakenOver> {
  mustHold(kept, 'project');
  for await (const piece of piecesOf(kept)) {
    if (piece.kind !== 'whole') continue;
    const { head, ticks, entries } = piece;
    const here = await findWork(tx, head.id);
    const begun = readShape(anyVersion(frozenRecord).nullable(), head.begun);
    if (here && begun.ok && JSON.stringify(here.begun) === JSON.stringify(begun.value)) {
      await addEntries(tx, entries, kept, { from: head.id, to: head.id });
      if (ticks.length) await addTicks(tx, head.id, ticks);
      // What is handed over is to be seen, wherever it was put here.
      await tx.query('update works set deleted_at = null where id = $1', [head.id]);
      return { id: head.id, how: 'merged' };
    }
    const id = here ? randomUUID() : head.id;
    // The bin is of the other bench alone.
    const own = { ...head, deletedAt: null };
    const { title = '' } = (head.wish ?? {}) as Partial<Wish>;
    const beside = { ...own, wish: { ...(head.wish as object), title: `${title.slice(0, 66)}, handed over` } };
    await insertWork(tx, { ...piece, head: here ? beside : own }, kept, id);
    return { id, how: here ? 'beside' : 'new' };
  }
  throw damaged({ why: 'missing', at: 'work' });
}
