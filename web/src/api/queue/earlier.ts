import { anyVersion, logEntryRecord, readJson, tickSchema } from '@puntada/core/records';
import type { Waiting } from './waiting.ts';

/** What this needs of the storage in which earlier versions kept what waited, one entry each. */
type Storage = Pick<globalThis.Storage, 'getItem' | 'key' | 'length'>;

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

/** What an earlier version left waiting. @returns what can be read, and the keys under which it lies */
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

/** The last time that an earlier version gave to a step of each work. */
export function clocksOfEarlier(storage: Storage): Map<string, number> {
  const keys = keysUnder(storage, prefixes.clock);
  return new Map(keys.map((key) => [key.slice(prefixes.clock.length), Number(storage.getItem(key)) || 0]));
}
