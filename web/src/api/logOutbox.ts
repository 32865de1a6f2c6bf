import { type LogEntry, logEntrySchema, readJson } from '@puntada/core/records';
import { keysUnder, type Shelf } from './outbox.ts';

/** Entries of the log that the server has not yet taken, kept in the browser's storage: one place each. */
const prefix = 'puntada.entry.';

export interface WaitingEntry {
  readonly workId: string;
  readonly entry: LogEntry;
}

function keyOf({ workId, entry }: WaitingEntry): string {
  return `${prefix}${workId}.${String(entry.at).padStart(16, '0')}.${entry.id}`;
}

/** Keeps an entry until the server has taken it. */
export function keepEntry(shelf: Shelf, waiting: WaitingEntry): void {
  shelf.setItem(keyOf(waiting), JSON.stringify(waiting.entry));
}

export function dropEntry(shelf: Shelf, waiting: WaitingEntry): void {
  shelf.removeItem(keyOf(waiting));
}

/** All entries that wait, of each work in the order they were made. */
export function waitingEntries(shelf: Shelf): WaitingEntry[] {
  return keysUnder(shelf, prefix).flatMap((key) => {
    const [workId] = key.slice(prefix.length).split('.');
    // What something else has damaged is left where it is and not sent.
    const entry = readJson(logEntrySchema, shelf.getItem(key) ?? '');
    return workId && entry.ok ? [{ workId, entry: entry.value }] : [];
  });
}

/** The entries of one work that wait. */
export function waitingEntriesOf(shelf: Shelf, workId: string): LogEntry[] {
  return waitingEntries(shelf).flatMap((each) => (each.workId === workId ? [each.entry] : []));
}

/** What the server told and what still waits for it, each once, by time. */
export function withWaiting<Kept extends { readonly id: string; readonly at: number }>(
  told: readonly Kept[],
  waiting: readonly Kept[],
): Kept[] {
  const known = new Set(told.map(({ id }) => id));
  return [...told, ...waiting.filter(({ id }) => !known.has(id))].sort((a, b) => a.at - b.at);
}

/** What came of an entry that was sent. */
export type Taken = 'taken' | 'away' | { readonly refused: string };

export interface RefusedEntry extends WaitingEntry {
  readonly why: string;
}

/**
 * Sends what waits, one after another, until the server is found to be away. What it refuses stays and is told.
 * @returns what was refused, and why
 */
export async function deliverEntries(
  shelf: Shelf,
  send: (waiting: WaitingEntry) => Promise<Taken>,
): Promise<RefusedEntry[]> {
  const refused: RefusedEntry[] = [];
  for (const waiting of waitingEntries(shelf)) {
    const taken = await send(waiting);
    if (taken === 'away') break;
    if (taken === 'taken') dropEntry(shelf, waiting);
    else refused.push({ ...waiting, why: taken.refused });
  }
  return refused;
}
