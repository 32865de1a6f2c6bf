import type { Shelf } from '../src/api/queue/shelf.ts';

/** A shelf as a browser keeps one, for tests: it outlives the queues that use it. */
export class MemoryShelf implements Shelf {
  readonly kept = new Map<string, unknown>();
  readonly last = new Map<string, number>();
  /** Nothing more is kept: the disk is full. */
  full = false;

  readonly all = async () => [...this.kept.values()];
  readonly places = async () => new Map(this.last);
  readonly put: Shelf['put'] = async (waiting, last) => {
    if (this.full) throw new Error('quota');
    for (const each of waiting) this.kept.set(each.id, structuredClone(each));
    if (last) this.last.set(last.workId, last.place);
  };
  readonly remove = async (ids: readonly string[]) => {
    for (const id of ids) this.kept.delete(id);
  };
}
