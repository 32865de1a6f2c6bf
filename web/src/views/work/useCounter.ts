import type { Problem } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { type Position, reached } from '@puntada/core/work';
import { useCallback, useRef } from 'react';
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

/** So long an answer may be on its way, ms. */
const onItsWay = 3000;

/** The row counter of a work. Each step is kept in the browser, shown at once, and waits for the server in the queue. */
export function useCounter({ id, progress }: Work): Counter {
  const store = useAppStore();
  const { waiting } = useQueue();
  const newest = useRef<{ readonly place: number; readonly progress: Position; readonly at: number }>(undefined);
  // Read out of the store itself: what the work says may be a moment older than the ticks already dropped, and a step
  // in that moment would start from the wrong place.
  const stands = useCallback(() => {
    const stored = api.endpoints.work.select(id)(store.getState()).data;
    const told = { place: stored?.lastPlace ?? 0, progress: stored?.progress ?? progress, at: Date.now() };
    const before = newest.current;
    // An answer that was on its way while a later step was taken is older than what is known.
    const late = before !== undefined && told.place < before.place && told.at - before.at < onItsWay;
    if (!late && before?.place !== told.place) newest.current = told;
    return reached(ticksOf(queue.state().waiting, id), late ? before.progress : told.progress);
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
