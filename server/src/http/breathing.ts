import { setImmediate } from 'node:timers/promises';

/**
 * Lets others be answered in the middle of long work that is made of many small pieces: the database in this process
 * answers without ever giving way. @param every ms of work at most between two breaths @returns to be awaited after each piece
 */
export function breathing(every = 8): () => Promise<void> {
  let last = performance.now();
  return async () => {
    if (performance.now() - last < every) return;
    await setImmediate();
    last = performance.now();
  };
}
