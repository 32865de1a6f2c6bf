import type { LogEntry } from '@puntada/core/records';
import { z } from 'zod';
import { type Db, row } from '../db/database.ts';

/** The two sizes in which a photo is kept. */
export const sizes = ['image', 'small'] as const;
export type Size = (typeof sizes)[number];

const picture = z.object({ bytes: z.instanceof(Uint8Array).nullable() });

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
    'insert into photos (work_id, entry_id, image, small) values ($1, $2, $3, $4) on conflict do nothing',
    [workId, entryId, image, small ?? null],
  );
}

/** The JPEG of a photo; the whole one where no small one was made. Nothing where there is none. */
export async function photoOf(db: Db, workId: string, entryId: string, size: Size): Promise<Buffer | undefined> {
  const which = size === 'small' ? 'coalesce(small, image)' : 'image';
  const sql = `select ${which} as bytes from photos where work_id::text = $1 and entry_id::text = $2`;
  const found = await row(db, picture, sql, [workId, entryId]);
  return found?.bytes ? Buffer.from(found.bytes) : undefined;
}
