import type { Problem } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { type Position, reached } from '@puntada/core/work';
import { useCallback } from 'react';
import { api } from '../../api/api.ts';
import { queue, useQueue } from '../../api/queue/browserQueue.ts';
import { ticksOf } from '../../api/queue/waiting.ts';
import { useAppStore } from '../../app/store.ts';

export interface Counter {
  readonly position: Position;
  /** Steps that the server has not yet acknowledged. */
  readonly waiting: number;
  /** Why the server has refused some of them; they are kept. */
  readonly refused: Problem | undefined;
  /** Goes to where `next` leads from where the work stands at that very moment; nowhere if it gives nothing. */
  readonly step: (next: (at: Position) => Position | undefined) => void;
}

/** The row counter of a work. Each step is kept in the browser, shown at once, and waits for the server in the queue. */
export function useCounter({ id, progress }: Work): Counter {
  const store = useAppStore();
  const { waiting } = useQueue();
  // Read out of the store itself: what the work says may be a moment older than the ticks already dropped, and a step
  // in that moment would start from the wrong place.
  const stands = useCallback(() => {
    const stored = api.endpoints.work.select(id)(store.getState()).data?.progress;
    return reached(ticksOf(queue.state().waiting, id), stored ?? progress);
  }, [id, store, progress]);
  const step = useCallback(
    (next: (at: Position) => Position | undefined) => {
      const at = stands();
      const to = next(at);
      const { lastPlace } = api.endpoints.work.select(id)(store.getState()).data ?? {};
      if (to) queue.step(id, at, to, crypto.randomUUID(), lastPlace);
    },
    [id, stands, store],
  );
  const own = waiting.filter(({ kind, workId }) => kind === 'tick' && workId === id);
  return {
    position: stands(),
    waiting: own.length,
    refused: own.find(({ refused }) => refused)?.refused,
    step,
  };
}
