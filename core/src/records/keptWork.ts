import { z } from 'zod';
import { frozenRecord } from './begun.ts';
import { logEntryRecord } from './logEntry.ts';
import { anyVersion, type RecordKind } from './record.ts';
import { restKinds } from './restKind.ts';
import { tickSchema } from './tick.ts';
import { wishRecord } from './wish.ts';

const revision = z.number().int().min(1);
const when = z.iso.datetime();

/** What finds a work again, whatever its wish and its cloth are. */
export const keptHead = {
  id: z.uuid(),
  state: z.enum(['wished', 'begun', 'finished']),
  revision,
  archived: z.boolean(),
  deletedAt: when.nullable().optional(),
  notice: z.string().nullable(),
  due: z.iso.date().nullable().default(null),
  createdAt: when,
  changedAt: when,
};

/** When a plan was left, where the work stood, and for what. */
export const leftPlan = { revision, rowsWorked: z.number().int().min(0), leftFor: z.enum(restKinds), leftAt: when };

/** A plan that a work has left for another. */
export const formerPlanSchema = z.strictObject({
  ...leftPlan,
  wish: anyVersion(wishRecord),
  begun: anyVersion(frozenRecord),
});
export type FormerPlan = z.output<typeof formerPlanSchema>;

/** One work with all that was ever kept of it, in open form. */
export const keptWorkSchema = z.strictObject({
  ...keptHead,
  wish: anyVersion(wishRecord),
  begun: anyVersion(frozenRecord).nullable(),
  ticks: z.array(tickSchema),
  log: z.array(anyVersion(logEntryRecord)),
  former: z.array(formerPlanSchema).default([]),
});
export type KeptWork = z.output<typeof keptWorkSchema>;

const entry = z
  .looseObject({ id: z.uuid(), at: z.number().int() })
  .transform(
    (own): { id: string; at: number; entry: unknown } => ('entry' in own ? own : { ...own, entry: own }) as never,
  );

/**
 * A work that this version cannot read, just as it was kept. Only what finds it again is looked at: its id, its state and
 * its times; an entry of its log as it is stored, or with what finds that again beside it.
 */
export const unreadWorkSchema = z.looseObject({
  ...keptHead,
  wish: z.unknown(),
  begun: z.unknown(),
  ticks: z.array(tickSchema).default([]),
  log: z.array(entry).default([]),
  former: z.array(z.strictObject({ ...leftPlan, wish: z.unknown(), begun: z.unknown() })).default([]),
});
export type UnreadWork = z.output<typeof unreadWorkSchema>;

/** One work on its way to another maker or machine. */
export const handoverSchema = z.strictObject({
  format: z.literal('puntada-work'),
  version: z.literal(1),
  madeAt: when,
  /** For people: where it stands, and how the strands hang. */
  stands: z.string(),
  hanging: z.array(z.string()),
  /** SHA-256 of the work as it stands in the file, in hexadecimal. */
  seal: z.string(),
  work: z.unknown(),
});
export const handoverRecord = { format: 'puntada-work', schema: handoverSchema, steps: [] } satisfies RecordKind;
