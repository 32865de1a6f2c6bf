import { createHash } from 'node:crypto';
import type { Facts } from '@puntada/core/craft';
import { thaw } from '@puntada/core/plan';
import { type Backup, type Contents, contentsSchema, readShape, setNewerApart } from '@puntada/core/records';
import { z } from 'zod';
import { type Database, type Db, rows } from '../db/database.ts';
import { readPreferences, writePreferences } from '../preferences/queries.ts';
import { readWorks, restoreUnread, restoreWork, storedLog } from './keptWork.ts';

/** The seal of contents: their JSON without spaces, hashed. */
export function sealOf(of: unknown): string {
  return createHash('sha256').update(JSON.stringify(of)).digest('hex');
}

const any = z.record(z.string(), z.unknown());

/** What this version can read, and what it cannot: both go along. */
function parted<T>(schema: z.ZodType, all: readonly T[]): { read: T[]; unread: T[] } {
  const reads = all.map((each) => schema.safeParse(each).success);
  return { read: all.filter((_, i) => reads[i]), unread: all.filter((_, i) => !reads[i]) };
}

/** Reads everything in one snapshot, so that it fits together. */
export function makeBackup(db: Database, madeAt: Date): Promise<Backup> {
  return db.transaction(async (tx) => {
    const { works, drawer, swatches } = contentsSchema.shape;
    const [kept, yarns, cloths] = [
      parted(works.element, await readWorks(tx)),
      parted(drawer.element, await rows(tx, any, 'select id, revision, yarn from drawer order by id')),
      parted(swatches.element, await rows(tx, any, 'select id, revision, swatch from swatches order by id')),
    ];
    const unreadWorks = await Promise.all(
      kept.unread.map(async (work) => ({ ...work, log: await storedLog(tx, String(work.id)) })),
    );
    const everything = {
      works: kept.read,
      drawer: yarns.read,
      swatches: cloths.read,
      drafts: await rows(tx, any, 'select id, title, form from drafts order by id'),
      evenings: (await rows(tx, any, 'select minutes from evenings'))[0]?.minutes ?? null,
      preferences: (await readPreferences(tx)) ?? null,
      unread: { works: unreadWorks, drawer: yarns.unread, swatches: cloths.unread },
    };
    return {
      format: 'puntada-backup',
      version: 1,
      madeAt: madeAt.toISOString(),
      seal: sealOf(everything),
      contents: everything,
    } as const;
  }, 'snapshot');
}

/** What is damaged in a file: its seal, a cloth, or what stands at a place. */
export interface Damage {
  readonly damage: Facts;
}

/** What is in a backup, once its seal holds, or what is damaged in it. */
export function openBackup(backup: Backup): Contents | Damage {
  if (sealOf(backup.contents) !== backup.seal) return { damage: { why: 'seal' } };
  const read = readShape(contentsSchema, setNewerApart(backup.contents));
  if (read.ok) {
    const broken = read.value.works.find(({ begun }) => begun && !thaw(begun).ok);
    return broken ? { damage: { why: 'cloth', title: broken.wish.title } } : read.value;
  }
  const [first] = read.problems;
  return { damage: { ...first?.facts, why: first?.code, at: first?.path } };
}

/** Puts a backup in place of everything that is there, in the transaction given: all of it or nothing. */
export async function restoreBackup(tx: Db, contents: Contents): Promise<void> {
  for (const table of [
    'progress',
    'ticks',
    'log',
    'former_plans',
    'works',
    'drawer',
    'swatches',
    'drafts',
    'evenings',
    'preferences',
  ]) {
    await tx.query(`delete from ${table}`);
  }
  for (const work of contents.works) await restoreWork(tx, work);
  for (const work of contents.unread.works) await restoreUnread(tx, work);
  for (const { id: own, revision, yarn } of [...contents.drawer, ...contents.unread.drawer]) {
    await tx.query('insert into drawer (id, revision, yarn) values ($1, $2, $3)', [
      own,
      revision,
      JSON.stringify(yarn),
    ]);
  }
  for (const { id: own, revision, swatch } of [...contents.swatches, ...contents.unread.swatches]) {
    const values = [own, revision, JSON.stringify(swatch)];
    await tx.query('insert into swatches (id, revision, swatch) values ($1, $2, $3)', values);
  }
  for (const draft of contents.drafts) {
    const values = [draft.id, draft.title, JSON.stringify(draft.form)];
    await tx.query('insert into drafts (id, title, form) values ($1, $2, $3)', values);
  }
  if (contents.evenings) {
    await tx.query('insert into evenings (minutes) values ($1)', [JSON.stringify(contents.evenings)]);
  }
  if (contents.preferences) await writePreferences(tx, contents.preferences);
}
