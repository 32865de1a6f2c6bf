import type { Shelf } from '../src/api/queue/shelf.ts';

/** A shelf as a browser keeps one, for tests: it outlives the queues that use it. */
export class MemoryShelf implements Shelf {
  readonly kept = new Map<string, unknown>();
  readonly times = new Map<string, number>();
  /** Nothing more is kept: the disk is full. */
  full = false;

  readonly all = async () => [...this.kept.values()];
  readonly clocks = async () => new Map(this.times);
  readonly put: Shelf['put'] = async (waiting, clock) => {
    if (this.full) throw new Error('quota');
    for (const each of waiting) this.kept.set(each.id, structuredClone(each));
    if (clock) this.times.set(clock.workId, clock.at);
  };
  readonly remove = async (ids: readonly string[]) => {
    for (const id of ids) this.kept.delete(id);
  };
}
