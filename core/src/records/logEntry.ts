import { z } from 'zod';
import { labelOf, type RecordKind } from './record.ts';
import { positionSchema as position } from './tick.ts';

const length = z.string().trim().min(1).max(40).optional();
const words = (most: number) => z.string().trim().max(most);
/** What an entry that is made now says of itself. */
export const entryLabel = { format: 'puntada-entry', version: 5 } as const;

const head = {
  ...labelOf('puntada-entry', 5),
  /** A UUID made by the device, so that an entry told twice is kept once. */
  id: z.uuid(),
  /** Milliseconds since 1970. */
  at: z.number().int().min(0).max(8.64e15),
};

/** Letters of a photo as it is kept: some 135 kB of JPEG. */
export const photoLetters = 180_000;

/** Letters of the small picture of a photo, for a list of many. */
export const smallLetters = 30_000;

const jpeg = (letters: number) =>
  z
    .string()
    .max(letters)
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+=*$/)
    .optional();

/** A ball that was weighed. */
export const weighSchema = z.strictObject({
  ...head,
  kind: z.literal('weigh'),
  letter: z.string().regex(/^[A-H]$/),
  /** Which ball of the colour, from 1. */
  ball: z.number().int().min(1).max(99),
  /** What it weighed when it was begun, and whether that was read or is the label's. */
  before: z.number().positive().max(2000),
  beforeIsLabel: z.boolean(),
  /** What it weighs now. */
  after: z.number().min(0).max(2000),
  /** The scale reads to ± so much, g. */
  scale: z.number().positive().max(10),
  position,
});

/** One thing that was weighed, measured, noted or photographed at work, or a pause. */
export const logEntrySchema = z.discriminatedUnion('kind', [
  weighSchema,
  z.strictObject({ ...head, kind: z.literal('measure'), width: length, height: length, position }),
  /** The work was laid down at `at`; the next step takes it up again. */
  z.strictObject({ ...head, kind: z.literal('pause') }),
  /** What a session really took, where the steps tell it wrong: it began at `of`, ms since 1970. */
  z.strictObject({
    ...head,
    kind: z.literal('session'),
    of: head.at,
    /** 0 where it is not to count. */
    minutes: z.number().int().min(0).max(1440),
  }),
  z.strictObject({ ...head, kind: z.literal('note'), row: z.number().int().min(0), text: words(400).min(1) }),
  z.strictObject({
    ...head,
    kind: z.literal('photo'),
    row: z.number().int().min(0),
    /** A JPEG as a data URL, made small before it is sent; nothing where the pictures are kept beside the log. */
    image: jpeg(photoLetters),
    small: jpeg(smallLetters),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('end'),
    width: length,
    height: length,
    grams: z.number().positive().max(20000).optional(),
    /** What to change next time. */
    next: words(400),
  }),
  /** Whom one of a set is for, until when, and what became of it; the last that was told of an item holds. */
  z.strictObject({
    ...head,
    kind: z.literal('item'),
    /** Of the items of this project, from 1. */
    item: z.number().int().min(1).max(99),
    whom: words(80),
    /** As `2026-12-24`. */
    by: z
      .string()
      .regex(/^\d{4}-\d{2}-\d{2}$/)
      .optional(),
    fate: z.enum(['kept', 'given', 'sold']).optional(),
    /** In the maker's own money. */
    price: z.number().min(0).max(1_000_000).optional(),
  }),
  /** What was typed of the costs of one, or of a whole set, by its field; the last that was told holds. */
  z.strictObject({
    ...head,
    kind: z.literal('costs'),
    of: z.enum(['one', 'set']),
    typed: z.record(z.string().max(120), words(40)),
  }),
]);

/**
 * Version 2 knows what a session really took; in version 3 the pictures of a photo may be kept beside it. What the
 * versions before wrote stays as it was. Version 4 knows what becomes of each item, version 5 what was typed of its costs.
 */
export const logEntryRecord = {
  format: 'puntada-entry',
  schema: logEntrySchema,
  steps: [(old) => old, (old) => old, (old) => old, (old) => old],
} satisfies RecordKind;

export type LogEntry = z.output<typeof logEntrySchema>;
export type Weighing = Extract<LogEntry, { kind: 'weigh' }>;

/** The weighings among what was logged. */
export function weighingsIn(entries: readonly LogEntry[]): Weighing[] {
  return entries.filter((entry): entry is Weighing => entry.kind === 'weigh');
}

/** What a log tells of the sessions at a work, beside its steps. */
export interface SessionMarks {
  /** When the work was laid down, ms since 1970, ascending. */
  readonly pauses: readonly number[];
  /** What sessions really took, in the order in which it was told. */
  readonly corrected: readonly { readonly of: number; readonly minutes: number }[];
}

export function marksIn(entries: readonly LogEntry[]): SessionMarks {
  return {
    pauses: pausesIn(entries),
    corrected: entries.flatMap((entry) => (entry.kind === 'session' ? [entry] : [])),
  };
}

/** When the work was laid down, ms since 1970. */
export function pausesIn(entries: readonly LogEntry[]): number[] {
  return entries.flatMap((entry) => (entry.kind === 'pause' ? [entry.at] : []));
}

export type Measuring = Extract<LogEntry, { kind: 'measure' }>;
