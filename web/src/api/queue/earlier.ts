import { anyVersion, logEntryRecord, readJson, tickSchema } from '@puntada/core/records';
import type { Waiting } from './waiting.ts';

/** What this needs of the storage that is written at once. */
type Storage = Pick<globalThis.Storage, 'getItem' | 'key' | 'length'>;
type Written = Pick<globalThis.Storage, 'setItem' | 'removeItem'>;

const prefixes = { tick: 'puntada.tick.', entry: 'puntada.entry.', clock: 'puntada.clock.' } as const;

function keysUnder(storage: Storage, beginning: string): string[] {
  const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '');
  return keys.filter((key) => key.startsWith(beginning)).sort();
}

function readTick(workId: string, text: string): Waiting | undefined {
  const tick = readJson(tickSchema, text);
  return tick.ok ? { id: tick.value.id, workId, kind: 'tick', tick: tick.value } : undefined;
}

function readEntry(workId: string, text: string): Waiting | undefined {
  const entry = readJson(anyVersion(logEntryRecord), text);
  return entry.ok ? { id: entry.value.id, workId, kind: 'entry', entry: entry.value } : undefined;
}

/**
 * What an earlier version left waiting, or a page that was closed before the browser's database had it.
 * @returns what can be read, and the keys under which it lies
 */
export function leftByEarlier(storage: Storage): { readonly waiting: Waiting[]; readonly keys: string[] } {
  const found = (['tick', 'entry'] as const).flatMap((kind) =>
    keysUnder(storage, prefixes[kind]).flatMap((key) => {
      const [workId = ''] = key.slice(prefixes[kind].length).split('.');
      const text = storage.getItem(key) ?? '';
      const waiting = kind === 'tick' ? readTick(workId, text) : readEntry(workId, text);
      return waiting ? [{ key, waiting }] : [];
    }),
  );
  return { waiting: found.map(({ waiting }) => waiting), keys: found.map(({ key }) => key) };
}

/** The last time that an earlier version gave to a step of each work, by which it stands among the others. */
export function placesOfEarlier(storage: Storage): Map<string, number> {
  const keys = keysUnder(storage, prefixes.clock);
  return new Map(keys.map((key) => [key.slice(prefixes.clock.length), Number(storage.getItem(key)) || 0]));
}

/** Holds what is done from the very moment until the browser's database has it. */
export interface Ahead {
  /** @returns whether it is held */
  readonly put: (waiting: Waiting) => boolean;
  readonly remove: (waiting: Waiting) => void;
}

/** Photos are too large for it. */
const letters = 20_000;

function keyOf({ id, workId, kind }: Waiting, at: number): string {
  return `${prefixes[kind]}${workId}.${String(at).padStart(16, '0')}.${id}`;
}

/**
 * The browser's database takes a moment, and a page that is left in that moment takes what it was writing with it. What
 * is written here is there at once; it lies as earlier versions kept it, so that the next page finds it as theirs.
 */
export function aheadIn(storage: Written): Ahead {
  const what = (waiting: Waiting) => (waiting.kind === 'tick' ? waiting.tick : waiting.entry);
  return {
    put(waiting) {
      const text = JSON.stringify(what(waiting));
      if (text.length > letters || waiting.refused) return false;
      try {
        storage.setItem(keyOf(waiting, what(waiting).at), text);
        return true;
      } catch {
        return false;
      }
    },
    remove(waiting) {
      try {
        storage.removeItem(keyOf(waiting, what(waiting).at));
      } catch {
        // It cannot be written, so there is nothing to remove.
      }
    },
  };
}
