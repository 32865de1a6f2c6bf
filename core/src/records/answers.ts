import { z } from 'zod';
import { weekSchema } from './backup.ts';
import { frozenRecord } from './begun.ts';
import { drawerYarnRecord } from './drawerYarn.ts';
import { formerPlanSchema } from './keptWork.ts';
import { logEntryRecord, weighSchema } from './logEntry.ts';
import { ownPatternRecord } from './ownPattern.ts';
import { preferencesRecord } from './preferences.ts';
import { anyVersion } from './record.ts';
import { byTime, stepsByTime, stepsIn } from './stepLines.ts';
import { swatchRecord } from './swatch.ts';
import { positionSchema, type Step, stepName, tickSchema } from './tick.ts';
import { paceSchema, wishRecord } from './wish.ts';

/*
 * What the API answers. The server makes these shapes and the pages read them, from the server or from a kept copy.
 * Fields that a newer server adds are passed over; a document of a newer version is not read.
 */

const head = { id: z.uuid(), revision: z.number().int() };

/** A work as it stands in the list. */
export const workSummarySchema = z.object({
  ...head,
  state: z.enum(['wished', 'begun', 'finished']),
  wish: anyVersion(wishRecord),
  progress: positionSchema,
  /** The place of its last step, from which a device counts on; a server of before tells none. */
  lastPlace: z.number().int().min(0).optional(),
  /** Size of the begun fabric; null while it is only wished for. */
  size: z.object({ stitches: z.number(), rows: z.number() }).nullable(),
  /** Its foundation chain is the first step of its counter; a server of before makes none. */
  fromChain: z.boolean().default(false),
  /** Put away: out of sight on the bench. */
  archived: z.boolean(),
  /** When it was put into the bin; null while it is on the bench. */
  deletedAt: z.string().nullable().default(null),
  /** What was changed from elsewhere since the maker last changed the plan, such as by a swatch; null where nothing was. */
  notice: z.string().nullable(),
  /** The last day on which it may be finished, as `2026-11-23`. */
  due: z.string().nullable(),
  changedAt: z.string(),
});
export const workSummariesSchema = z.array(workSummarySchema);
export type WorkSummary = Readonly<z.output<typeof workSummarySchema>>;

/** A work with its cloth. */
export const workSchema = workSummarySchema.extend({ begun: anyVersion(frozenRecord).nullable() });
export type Work = Readonly<z.output<typeof workSchema>>;

export const storedYarnSchema = z.object({ ...head, yarn: anyVersion(drawerYarnRecord) });
export const drawerSchema = z.array(storedYarnSchema);
export type StoredYarn = Readonly<z.output<typeof storedYarnSchema>>;

export const storedSwatchSchema = z.object({ ...head, swatch: anyVersion(swatchRecord), changedAt: z.string() });
export const swatchesSchema = z.array(storedSwatchSchema);
export type StoredSwatch = Readonly<z.output<typeof storedSwatchSchema>>;

export const storedPatternSchema = z.object({ ...head, pattern: anyVersion(ownPatternRecord), changedAt: z.string() });
export const patternsSchema = z.array(storedPatternSchema);
export type StoredPattern = Readonly<z.output<typeof storedPatternSchema>>;

/** What can lie in the bin beside projects. */
export const binKinds = ['yarn', 'swatch', 'draft', 'pattern'] as const;
export type BinKind = (typeof binKinds)[number];

/** Something that was deleted, and can be put back for 30 days. */
export const binSchema = z.array(
  z.object({ kind: z.enum(binKinds), id: z.uuid(), title: z.string(), deletedAt: z.string() }),
);
export type Binned = z.output<typeof binSchema>[number];

/** A plan that a changed swatch moved, and how; or why it was left as it was. */
const movedPlanSchema = z.object({ id: z.uuid(), title: z.string(), words: z.string() });
export type MovedPlan = Readonly<z.output<typeof movedPlanSchema>>;

/** A swatch just changed, and the plans that went along. */
export const changedSwatchSchema = storedSwatchSchema.extend({ plans: z.array(movedPlanSchema) });
export type ChangedSwatch = Readonly<z.output<typeof changedSwatchSchema>>;

/** What was weighed, measured and noted at a work, and its steps in their order. */
export const workLogSchema = z.object({
  entries: z.array(anyVersion(logEntryRecord)),
  ticks: z.array(tickSchema).optional(),
  /** The steps as lines instead. */
  steps: z.string().optional(),
  /** Photos without a small picture for lists. */
  largeOnly: z.array(z.string()).default([]),
});
/** As it is answered. */
export type ToldLog = Readonly<z.output<typeof workLogSchema>>;

/** The steps of a log as they came, of which there may be a hundred thousand, and those that wait on this device. */
export interface LogSteps {
  readonly kept: Pick<ToldLog, 'ticks' | 'steps'>;
  readonly waiting: readonly Step[];
}

/** As it is read. */
export interface WorkLog extends Pick<ToldLog, 'entries' | 'largeOnly'> {
  readonly steps: LogSteps;
}

/** All steps, each once, by their times. */
export function ticksInLog({ kept: { ticks, steps = '' }, waiting }: LogSteps): Iterable<Step> {
  if (!ticks && !waiting.length) return stepsByTime(steps);
  const known: readonly Step[] = ticks ?? stepsIn(steps);
  const names = new Set(known.map(stepName));
  return byTime([...known, ...waiting.filter((step) => !names.has(stepName(step)))]);
}

/** Steps of the last sitting, at most. */
const ofSitting = 3000;

/** When the last steps were made, ms since 1970: more than anybody makes without a long pause. */
export function lastTimesIn({ kept: { ticks, steps = '' }, waiting }: LogSteps): number[] {
  let start = steps.length;
  for (let lines = 0; start > 0 && lines < ofSitting; lines++) start = steps.lastIndexOf('\n', start - 1);
  const last = stepsIn(steps.slice(start + 1));
  return [...(ticks ?? last), ...waiting].map(({ at }) => at).sort((a, b) => a - b);
}

export const weighingsSchema = z.array(weighSchema);
export const formerPlansSchema = z.array(formerPlanSchema);

/** Where the ticks sent have led, and which of them are kept now. */
export const acknowledgedSchema = z.object({
  progress: positionSchema,
  lastPlace: z.number().int().min(0).optional(),
  stored: z.array(z.uuid()),
});
export type Acknowledged = z.output<typeof acknowledgedSchema>;

/** A wish that is still being typed. */
export const draftSchema = z.object({
  id: z.uuid(),
  title: z.string(),
  form: z.record(z.string(), z.unknown()),
  /** A server of before counts none. */
  revision: z.number().int().optional(),
  changedAt: z.string(),
});
export const draftsSchema = z.array(draftSchema);
export type DraftWish = Readonly<z.output<typeof draftSchema>>;

const estimateSchema = z.object({
  mid: z.number(),
  low: z.number(),
  high: z.number(),
  source: z.enum(['typical', 'label', 'typed', 'swatch', 'piece']),
});

const amountSchema = z.object({ low: z.number(), mid: z.number(), high: z.number() });

/** How a figure comes about, in the facts that computed it. */
const workingFactsSchema = z.object({
  of: z.string(),
  unit: z.enum(['count', 'mm', 'm', 'g', 's', 'balls', 'chance', 'money']),
  by: z.enum(['sum', 'chance']),
  parts: z.array(
    z.object({
      code: z.string(),
      facts: z.record(z.string(), z.any()).optional(),
      amount: amountSchema,
      source: estimateSchema.shape.source.optional(),
    }),
  ),
  total: amountSchema,
});

/** Minutes of the week, and the works that wait, in turn, each with the seconds it still takes. */
export const scheduleSchema = z.object({
  minutes: weekSchema,
  works: z.array(
    z.object({
      id: z.uuid(),
      title: z.string(),
      left: estimateSchema,
      due: z.string().optional(),
      rows: z.number(),
      rowsTake: z.number().optional(),
      /** Items that are done, where it makes several. */
      items: z.object({ done: z.number(), of: z.number() }).optional(),
      /** It is made for a set. */
      inSet: z.boolean().optional(),
      working: workingFactsSchema,
    }),
  ),
});
export type Schedule = Readonly<z.output<typeof scheduleSchema>>;

export const ownPaceSchema = paceSchema;
export const preferencesAnswerSchema = anyVersion(preferencesRecord);

const problemSchema = z.object({ code: z.string(), path: z.string(), facts: z.record(z.string(), z.any()).optional() });

/** Something that is stored and this version cannot read. */
const unreadDocumentSchema = z.object({
  id: z.string(),
  title: z.string(),
  problem: problemSchema,
  /** The work that an entry of a log belongs to. */
  work: z.string().optional(),
});
export type UnreadDocument = Readonly<z.output<typeof unreadDocumentSchema>>;
export const unreadSchema = z.object({
  works: z.array(unreadDocumentSchema),
  yarns: z.array(unreadDocumentSchema),
  swatches: z.array(unreadDocumentSchema),
  /** A server of before tells none. */
  patterns: z.array(unreadDocumentSchema).default([]),
  entries: z.array(unreadDocumentSchema),
  /** Why the last copy that the server was to make by itself was not made. */
  copy: problemSchema.nullable().default(null),
});

export type Unread = Readonly<z.output<typeof unreadSchema>>;

/** How a work that was handed over was taken in. */
export const takenOverSchema = z.object({ id: z.uuid(), how: z.enum(['new', 'merged', 'beside']) });
export type TakenOver = Readonly<z.output<typeof takenOverSchema>>;

/** A copy of the bench that lies in the data folder. */
export const copiesSchema = z.array(
  z.object({
    name: z.string(),
    reason: z.enum(['asked', 'day', 'before-restore', 'before-import', 'before-migration']),
    madeAt: z.string(),
    bytes: z.number(),
  }),
);
export type Copy = z.output<typeof copiesSchema>[number];

/** Something that takes a while, as it goes on; `of` is 0 where it is not known beforehand. */
export const jobSchema = z.object({
  id: z.uuid(),
  state: z.enum(['running', 'done', 'failed', 'stopped']),
  done: z.number(),
  of: z.number(),
  result: z.unknown().optional(),
  problems: z
    .array(z.object({ code: z.string(), path: z.string(), facts: z.record(z.string(), z.any()).optional() }))
    .optional(),
});
export type Job = z.output<typeof jobSchema>;

/** What is in a file that was read through. */
export const lookedIntoSchema = z.object({
  holds: z.enum(['bench', 'project']),
  madeAt: z.string(),
  works: z.number(),
  yarns: z.number(),
  swatches: z.number(),
  patterns: z.number().default(0),
  titles: z.array(z.string()),
});
export type LookedInto = z.output<typeof lookedIntoSchema>;
