import { z } from 'zod';
import { drawerYarnRecord } from './drawerYarn.ts';
import { keptWorkSchema, unreadWorkSchema } from './keptWork.ts';
import { preferencesRecord } from './preferences.ts';
import { readShape } from './readJson.ts';
import { anyVersion, type RecordKind } from './record.ts';
import { swatchRecord } from './swatch.ts';

const head = { id: z.uuid(), revision: z.number().int().min(1) };

/** Minutes at the hook on each day of the week, Monday first. */
export const weekSchema = z.array(z.number().int().min(0).max(1440)).length(7);

/** Everything that is kept, in open form: what a maker typed, and every step of every work. */
export const contentsSchema = z.strictObject({
  works: z.array(keptWorkSchema),
  drawer: z.array(z.strictObject({ ...head, yarn: anyVersion(drawerYarnRecord) })),
  swatches: z.array(z.strictObject({ ...head, swatch: anyVersion(swatchRecord) })),
  drafts: z.array(z.strictObject({ id: z.uuid(), title: z.string(), form: z.record(z.string(), z.unknown()) })),
  evenings: weekSchema.nullable().default(null),
  preferences: anyVersion(preferencesRecord).nullable(),
  /** What the version that made the backup could not read itself: put back as it was kept. */
  unread: z
    .strictObject({
      works: z.array(unreadWorkSchema),
      drawer: z.array(z.strictObject({ ...head, yarn: z.unknown() })),
      swatches: z.array(z.strictObject({ ...head, swatch: z.unknown() })),
    })
    .default({ works: [], drawer: [], swatches: [] }),
});
export type Contents = z.output<typeof contentsSchema>;

/** A backup: its contents, and a seal by which damage shows. */
export const backupSchema = z.strictObject({
  format: z.literal('puntada-backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  /** SHA-256 of the contents as they stand, in hexadecimal. */
  seal: z.string(),
  contents: z.unknown(),
});
export const backupRecord = { format: 'puntada-backup', schema: backupSchema, steps: [] } satisfies RecordKind;

const kinds = ['works', 'drawer', 'swatches'] as const;
const listed = z.looseObject({
  works: z.array(z.unknown()),
  drawer: z.array(z.unknown()),
  swatches: z.array(z.unknown()),
});
const unreadLists = z.looseObject({
  unread: z.record(z.string(), z.array(z.unknown())).default({ works: [], drawer: [], swatches: [] }),
});

/** Whether all that is in the way of a value is that a newer version wrote it. */
function onlyNewer(schema: z.ZodType, value: unknown): boolean {
  const read = readShape(schema, value);
  return !read.ok && read.problems.every(({ code }) => code === 'record-newer');
}

/**
 * Contents with what a newer version wrote among what cannot be read, so that an older one can put it back as it is.
 * Everything else stands where it stood.
 */
export function setNewerApart(contents: unknown): unknown {
  const [all, known] = [listed.safeParse(contents), unreadLists.safeParse(contents)];
  if (!all.success || !known.success) return contents;
  const parted = kinds.map((kind) => {
    const newer = all.data[kind].map((each) => onlyNewer(contentsSchema.shape[kind].element, each));
    return {
      kind,
      read: all.data[kind].filter((_, i) => !newer[i]),
      unread: [...(known.data.unread[kind] ?? []), ...all.data[kind].filter((_, i) => newer[i])],
    };
  });
  return {
    ...all.data,
    ...Object.fromEntries(parted.map(({ kind, read }) => [kind, read])),
    unread: Object.fromEntries(parted.map(({ kind, unread }) => [kind, unread])),
  };
}
