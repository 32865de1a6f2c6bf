import { z } from 'zod';
import { keptHead, leftPlan } from './keptWork.ts';
import type { RecordKind } from './record.ts';
import { tickSchema } from './tick.ts';

/*
 * An archive is a zip of open files: `puntada.json` says what it holds, `records.jsonl` holds one record a line,
 * `photos/<project>/<entry>.jpg` the pictures, and `contents.json` lists every file with its length and its SHA-256.
 */

/** Names of the files in an archive. */
export const archiveFiles = {
  head: 'puntada.json',
  records: 'records.jsonl',
  contents: 'contents.json',
  photo: (work: string, entry: string) => `photos/${work}/${entry}.jpg`,
  smallPhoto: (work: string, entry: string) => `photos/${work}/${entry}.small.jpg`,
} as const;

/** What an archive holds: a whole bench, or one project on its way to another. */
export const archiveSchema = z.strictObject({
  format: z.literal('puntada-archive'),
  version: z.literal(2),
  holds: z.enum(['bench', 'project']),
  madeAt: z.iso.datetime(),
  /** For people: where the project stands, and how the strands hang. */
  stands: z.string().max(2000).default(''),
  hanging: z.array(z.string().max(2000)).max(100).default([]),
});
/** Version 2 may hold patterns of the maker's own, and says of every record whether it lies in the bin. */
export const archiveRecord = {
  format: 'puntada-archive',
  schema: archiveSchema,
  steps: [(old) => old],
} satisfies RecordKind;
export type ArchiveHead = z.output<typeof archiveSchema>;

/** The table of contents, and the seal over it: SHA-256 of `files` as JSON without spaces, in hexadecimal. */
export const archiveContentsSchema = z.strictObject({
  files: z.array(
    z.strictObject({ name: z.string().max(200), bytes: z.number().int().min(0), sha256: z.string().length(64) }),
  ),
  seal: z.string().length(64),
});

const head = { id: z.uuid(), revision: z.number().int().min(1) };
/** The version that made the archive could not read it: it is put back as it was kept. */
const unread = z.boolean().default(false);
const deletedAt = z.iso.datetime().nullable().default(null);

/** Steps on one line. */
export const ticksOnLine = 500;

/** One line of an archive. Plans left, steps and entries of the log belong to the project before them. */
export const archiveLineSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('work'), ...keptHead, wish: z.unknown(), begun: z.unknown(), unread }),
  z.strictObject({ kind: z.literal('former'), ...leftPlan, wish: z.unknown(), begun: z.unknown() }),
  z.strictObject({ kind: z.literal('ticks'), ticks: z.array(tickSchema).min(1).max(ticksOnLine) }),
  z.strictObject({
    kind: z.literal('entry'),
    id: z.uuid(),
    at: z.number().int(),
    entry: z.unknown(),
    deletedAt: z.iso.datetime().nullable(),
    unread,
  }),
  z.strictObject({ kind: z.literal('yarn'), ...head, yarn: z.unknown(), deletedAt, unread }),
  z.strictObject({ kind: z.literal('swatch'), ...head, swatch: z.unknown(), deletedAt, unread }),
  z.strictObject({ kind: z.literal('pattern'), ...head, pattern: z.unknown(), deletedAt, unread }),
  z.strictObject({
    kind: z.literal('draft'),
    id: z.uuid(),
    title: z.string(),
    form: z.record(z.string(), z.unknown()),
    deletedAt,
  }),
  z.strictObject({ kind: z.literal('evenings'), minutes: z.unknown() }),
  z.strictObject({ kind: z.literal('preferences'), preferences: z.unknown() }),
]);
export type ArchiveLine = z.output<typeof archiveLineSchema>;
