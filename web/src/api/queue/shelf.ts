import { type DBSchema, openDB } from 'idb';

/** Where a browser keeps what waits, and the place it gave to the last step of each work. */
export interface Shelf {
  readonly all: () => Promise<readonly unknown[]>;
  readonly places: () => Promise<ReadonlyMap<string, number>>;
  readonly put: (
    waiting: readonly { readonly id: string }[],
    last?: { workId: string; place: number },
  ) => Promise<void>;
  readonly remove: (ids: readonly string[]) => Promise<void>;
}

interface Kept extends DBSchema {
  waiting: { key: string; value: { readonly id: string } };
  clocks: { key: string; value: number };
}

/** The browser's own database. @throws where it keeps none, as in some private windows */
export async function openShelf(): Promise<Shelf> {
  const db = await openDB<Kept>('puntada', 1, {
    upgrade(made) {
      made.createObjectStore('waiting', { keyPath: 'id' });
      made.createObjectStore('clocks');
    },
  });
  return {
    all: () => db.getAll('waiting'),
    places: async () => {
      const [keys, values] = await Promise.all([db.getAllKeys('clocks'), db.getAll('clocks')]);
      return new Map(keys.map((key, i) => [key, values[i] ?? 0]));
    },
    put: async (waiting, last) => {
      const tx = db.transaction(['waiting', 'clocks'], 'readwrite', { durability: 'strict' });
      for (const each of waiting) void tx.objectStore('waiting').put(each);
      if (last) void tx.objectStore('clocks').put(last.place, last.workId);
      await tx.done;
    },
    remove: async (ids) => {
      const tx = db.transaction('waiting', 'readwrite');
      for (const id of ids) void tx.store.delete(id);
      await tx.done;
    },
  };
}
