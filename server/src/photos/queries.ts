import type { LogEntry } from '@puntada/core/records';
import { z } from 'zod';
import { changedOne, type Db, row, rows } from '../db/database.ts';

/** The two sizes in which a photo is kept. */
export const sizes = ['image', 'small'] as const;
export type Size = (typeof sizes)[number];

// As base64 on the way to the database and back: its driver takes many times as long over bytes.
const picture = z.object({ base64: z.string() });

function bytesOf(url: string | undefined): Buffer | undefined {
  return url === undefined ? undefined : Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
}

/** An entry of the log as it is kept: the pictures of a photo lie beside it. */
export function parted(entry: LogEntry): { entry: LogEntry; image?: Buffer | undefined; small?: Buffer | undefined } {
  if (entry.kind !== 'photo') return { entry };
  const { image, small, ...bare } = entry;
  return { entry: bare, image: bytesOf(image), small: bytesOf(small) };
}

/** Keeps the pictures of a photo; those that are there stay. */
export async function keepPhoto(db: Db, workId: string, entryId: string, image: Buffer, small?: Buffer): Promise<void> {
  await db.query(
    `insert into photos (work_id, entry_id, image, small)
     values ($1, $2, decode($3, 'base64'), decode($4, 'base64')) on conflict do nothing`,
    [workId, entryId, image.toString('base64'), small?.toString('base64') ?? null],
  );
}

/** Keeps the small picture of a photo that has none yet. @returns whether it was kept */
export function keepSmall(db: Db, workId: string, entryId: string, small: string): Promise<boolean> {
  const sql = `update photos set small = decode($3, 'base64') where work_id = $1 and entry_id = $2 and small is null`;
  return changedOne(db, sql, [workId, entryId, bytesOf(small)?.toString('base64')]);
}

const named = z.object({ entry_id: z.uuid() });

/** Photos of a work that have no small picture: an earlier version took them. */
export async function largeOnly(db: Db, workId: string): Promise<string[]> {
  const sql = 'select entry_id from photos where work_id = $1 and small is null order by entry_id';
  return (await rows(db, named, sql, [workId])).map((each) => each.entry_id);
}

/** The JPEG of a photo; the whole one where no small one was made. Nothing where there is none. */
export async function photoOf(db: Db, workId: string, entryId: string, size: Size): Promise<Buffer | undefined> {
  const which = size === 'small' ? 'coalesce(small, image)' : 'image';
  const sql = `select encode(${which}, 'base64') as base64 from photos where work_id = $1 and entry_id = $2`;
  const found = await row(db, picture, sql, [workId, entryId]);
  return found && Buffer.from(found.base64, 'base64');
}
