import { anyVersion, frozenRecord, outsideSchema, restKinds, wishRecord } from '@puntada/core/records';
import { z } from 'zod';

export const workStates = ['wished', 'begun', 'finished'] as const;

const position = {
  rows_worked: z.number().nullable(),
  runs_worked: z.number().nullable(),
  last_place: z.number().int().nullable(),
};

/** A row of the list of works. */
export const workRow = z.object({
  id: z.uuid(),
  state: z.enum(workStates),
  revision: z.number().int(),
  wish: anyVersion(wishRecord),
  rows: z.number().int().nullable(),
  stitches: z.number().int().nullable(),
  begun_chain: z.boolean(),
  begun_apart: z.boolean(),
  archived: z.boolean(),
  deleted_at: z.date().nullable(),
  notice: z.string().nullable(),
  due: z.string().nullable(),
  changed_at: z.date(),
  ...position,
});

export const begunRow = z.object({ begun: anyVersion(frozenRecord).nullable() });

/** The last day on which a work may be finished; none is due where it is null. */
export const dueDay = z.iso
  .date()
  .refine((day) => day >= '2000-01-01' && day < '2100-01-01', { error: 'due-out-of-range', params: {} })
  .nullable();

/** The device makes the id, so that what is asked twice is made once. */
export const newWork = z.strictObject({
  id: z.uuid().optional(),
  wish: anyVersion(wishRecord),
  due: dueDay.default(null),
});
export const changedWork = z.strictObject({ revision: z.number().int(), wish: anyVersion(wishRecord) });
export const revisionOnly = z.strictObject({ revision: z.number().int() });
export const archiving = z.strictObject({ revision: z.number().int(), archived: z.boolean() });
export const binning = z.strictObject({ revision: z.number().int(), deleted: z.boolean() });
export const facing = z.strictObject({ revision: z.number().int(), outside: outsideSchema });
export const ending = z.strictObject({ revision: z.number().int(), lastLoop: z.enum(['drawn', 'locked']) });
export const otherPlan = z.strictObject({
  revision: z.number().int(),
  wish: anyVersion(wishRecord),
  begun: anyVersion(frozenRecord),
  kind: z.enum(restKinds),
});
/** What becomes of the projects of a set, planned otherwise at once. */
export const otherSet = z.strictObject({
  changes: z
    .array(
      z.strictObject({
        id: z.uuid(),
        revision: z.number().int(),
        /** Items that stay with a project: those that are begun themselves, and those whose other side is. */
        keep: z.number().int().min(0).max(1000),
        /** The other items; null where they are left out. */
        wish: anyVersion(wishRecord).nullable(),
        /** Of the project that they become where others stay; the device makes it. */
        newId: z.uuid(),
      }),
    )
    .min(1)
    .max(200),
});
export const workId = z.uuid();
