import type { Problem } from '@puntada/core/craft';
import { anyVersion, type LogEntry, logEntryRecord, readShape, tickSchema } from '@puntada/core/records';
import { compareTicks, type Tick } from '@puntada/core/work';
import { z } from 'zod';

interface Waits {
  /** The id of what waits: a UUID made by the device. */
  readonly id: string;
  readonly workId: string;
  /** The bench it was done at; not known where no server had answered yet. */
  readonly bench?: string | undefined;
  /** Why the server has refused it; nothing where it may be sent. */
  readonly refused?: Problem | undefined;
}

export interface WaitingTick extends Waits {
  readonly kind: 'tick';
  readonly tick: Tick;
}

export interface WaitingEntry extends Waits {
  readonly kind: 'entry';
  readonly entry: LogEntry;
}

/** Something that was done at a work and that the server has not yet taken. */
export type Waiting = WaitingTick | WaitingEntry;

const head = {
  id: z.uuid(),
  workId: z.string(),
  bench: z.string().optional(),
  refused: z.object({ code: z.string(), path: z.string(), facts: z.record(z.string(), z.any()).optional() }).optional(),
};
const waitingSchema = z.discriminatedUnion('kind', [
  z.object({ ...head, kind: z.literal('tick'), tick: tickSchema }),
  z.object({ ...head, kind: z.literal('entry'), entry: anyVersion(logEntryRecord) }),
]);

/** Reads what a browser has kept. @returns nothing where it cannot be read: it is left where it is, and not sent */
export function readWaiting(value: unknown): Waiting | undefined {
  const read = readShape(waitingSchema, value);
  return read.ok ? read.value : undefined;
}

/** When it was done, ms since 1970. */
export function timeOf(waiting: Waiting): number {
  return waiting.kind === 'tick' ? waiting.tick.at : waiting.entry.at;
}

/** The ticks of a work that wait, in their order. */
export function ticksOf(all: readonly Waiting[], workId: string): Tick[] {
  const own = all.flatMap((each) => (each.kind === 'tick' && each.workId === workId ? [each.tick] : []));
  return own.sort(compareTicks);
}

/** The entries of the log of a work that wait, in their order. */
export function entriesOf(all: readonly Waiting[], workId: string): LogEntry[] {
  return all.flatMap((each) => (each.kind === 'entry' && each.workId === workId ? [each.entry] : []));
}

/** What the server told and what still waits for it, each once, by time. */
export function withWaiting<Kept extends { readonly id: string; readonly at: number }>(
  told: readonly Kept[],
  waiting: readonly Kept[],
): Kept[] {
  if (!waiting.length) return [...told];
  const known = new Set(told.map(({ id }) => id));
  return [...told, ...waiting.filter(({ id }) => !known.has(id))].sort((a, b) => a.at - b.at);
}
