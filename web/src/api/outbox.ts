import { readJson, tickSchema } from '@puntada/core/records';
import type { Position, Tick } from '@puntada/core/work';

/**
 * Ticks that the server has not yet acknowledged, kept in the browser's storage: one entry each, so that two tabs
 * never overwrite one another's.
 */
const prefix = 'puntada.tick.';
const clockPrefix = 'puntada.clock.';

/** What this needs of the browser's storage. */
export type Shelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

function keyOf(workId: string, tick: Tick): string {
  return `${prefix}${workId}.${String(tick.at).padStart(16, '0')}.${tick.id}`;
}

/** A time later than any this browser has given or seen for the work, so that steps keep their order. */
function nextTime(shelf: Shelf, workId: string, now: number): number {
  const last = Number(shelf.getItem(clockPrefix + workId) ?? 0);
  const time = Math.max(now, last + 1);
  shelf.setItem(clockPrefix + workId, String(time));
  return time;
}

/** Makes a tick and keeps it until it is acknowledged. */
export function keepTick(shelf: Shelf, workId: string, from: Position, to: Position, now: number, id: string): Tick {
  const tick: Tick = { id, at: nextTime(shelf, workId, now), from, to };
  shelf.setItem(keyOf(workId, tick), JSON.stringify(tick));
  return tick;
}

/** The keys on a shelf that begin alike, in order. */
export function keysUnder(shelf: Shelf, beginning: string): string[] {
  const keys = Array.from({ length: shelf.length }, (_, i) => shelf.key(i) ?? '');
  return keys.filter((key) => key.startsWith(beginning)).sort();
}

/** All ticks of a work that wait, in their order. */
export function waitingTicks(shelf: Shelf, workId: string): Tick[] {
  return keysUnder(shelf, `${prefix}${workId}.`).flatMap((key) => {
    // An entry that something else has damaged is left where it is and not sent.
    const tick = readJson(tickSchema, shelf.getItem(key) ?? '');
    return tick.ok ? [tick.value] : [];
  });
}

/** Drops acknowledged ticks. */
export function dropTicks(shelf: Shelf, workId: string, ticks: readonly Tick[]): void {
  for (const tick of ticks) shelf.removeItem(keyOf(workId, tick));
}
