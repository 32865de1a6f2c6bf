import type { Shelf } from '../src/api/outbox.ts';

/** Storage as a browser has it, for tests. */
export class MemoryShelf implements Shelf {
  private readonly entries = new Map<string, string>();
  get length() {
    return this.entries.size;
  }
  key(i: number) {
    return [...this.entries.keys()][i] ?? null;
  }
  getItem(key: string) {
    return this.entries.get(key) ?? null;
  }
  setItem(key: string, value: string) {
    this.entries.set(key, value);
  }
  removeItem(key: string) {
    this.entries.delete(key);
  }
}
