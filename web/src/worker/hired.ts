import { type Remote, wrap } from 'comlink';
import { useSyncExternalStore } from 'react';

/** Counts up each time that what was stopped is taken up again: what is asked for then is asked for anew. */
let turn = 0;
const listeners = new Set<() => void>();
const atWork = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * A worker that is hired with the first thing asked of it, so that a page is not kept waiting for one it may not need.
 * Once it was stopped, what it had been asked is never answered, and the next thing asked hires another.
 * @param stoppable whether the maker can stop it
 */
export function hired<Worker>(hire: () => globalThis.Worker, stoppable = true): Remote<Worker> {
  let own: Remote<Worker> | undefined;
  return new Proxy({} as Remote<Worker> & object, {
    get(_nobody, asked) {
      if (!own) {
        const worker = hire();
        const dismiss = () => {
          worker.terminate();
          own = undefined;
          atWork.delete(dismiss);
        };
        if (stoppable) atWork.add(dismiss);
        own = wrap<Worker>(worker);
      }
      return Reflect.get(own as object, asked);
    },
  });
}

/** Stops all that the workers are at. */
export function stopWorkers(): void {
  for (const dismiss of [...atWork]) dismiss();
}

/** Asks anew for all that was stopped. */
export function askAgain(): void {
  turn++;
  for (const listener of listeners) listener();
}

/** Which turn it is. */
export function useTurn(): number {
  return useSyncExternalStore(subscribe, () => turn);
}
