import type { Work } from '@puntada/core/records';
import { type Position, reached } from '@puntada/core/work';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, problemsOf, useSendTicksMutation } from '../../api/api.ts';
import { changeKept } from '../../api/keptCopies.ts';
import { dropTicks, keepTick, waitingTicks } from '../../api/outbox.ts';
import { useAppStore } from '../../app/store.ts';
import { useProblemText } from '../../parts/Craft.tsx';

export interface Counter {
  readonly position: Position;
  /** Steps that the server has not yet acknowledged. */
  readonly waiting: number;
  /** The last try to send found no server. */
  readonly away: boolean;
  /** What the server refused, with its reason; it is kept. */
  readonly refused: string | undefined;
  /** Goes to where `next` leads from where the work stands at that very moment; nowhere if it gives nothing. */
  readonly step: (next: (at: Position) => Position | undefined) => void;
}

const retryAfter = 1500;
const most = 400;

/**
 * The row counter of a work. Each step is kept in the browser first, shown at once, and sent until the server
 * acknowledges it.
 */
export function useCounter(work: Work): Counter {
  const [send] = useSendTicksMutation();
  const sentence = useProblemText();
  const [, redraw] = useState(0);
  const [away, setAway] = useState(false);
  const [refused, setRefused] = useState<string>();
  const sending = useRef(false);
  const { id } = work;
  const store = useAppStore();
  // Read out of the store itself: what `work` says may be a moment older than the ticks already dropped, and a step
  // in that moment would start from the wrong place.
  const stands = useCallback(() => {
    const stored = api.endpoints.work.select(id)(store.getState()).data?.progress;
    return reached(waitingTicks(localStorage, id), stored ?? work.progress);
  }, [id, store, work.progress]);
  const ticks = waitingTicks(localStorage, id);
  const position = stands();

  const deliver = useCallback(async () => {
    if (sending.current) return;
    const batch = waitingTicks(localStorage, id).slice(0, most);
    if (!batch.length) return;
    sending.current = true;
    const answer = await send({ id, ticks: batch });
    if (answer.data) {
      // First the copy, then the ticks: whatever happens between the two, a tick is told twice rather than lost.
      const { progress: stored } = answer.data;
      await changeKept(`/works/${id}`, (copy) => ({ ...copy, progress: stored }));
      store.dispatch(api.util.updateQueryData('work', id, (known) => ({ ...known, progress: stored })));
      dropTicks(localStorage, id, batch);
      sending.current = false;
      setAway(false);
      setRefused(undefined);
      redraw((n) => n + 1);
      if (waitingTicks(localStorage, id).length) void deliver();
      return;
    }
    sending.current = false;
    const status = (answer.error as { status?: unknown } | undefined)?.status;
    const noServer = typeof status !== 'number' || status >= 500;
    setAway(noServer);
    if (!noServer) setRefused(sentence(problemsOf(answer.error)[0]));
  }, [id, send, store, sentence]);

  useEffect(() => {
    void deliver();
    const timer = setInterval(() => void deliver(), retryAfter);
    const onStorage = () => redraw((n) => n + 1);
    const onOnline = () => void deliver();
    window.addEventListener('storage', onStorage);
    window.addEventListener('online', onOnline);
    return () => {
      clearInterval(timer);
      window.removeEventListener('storage', onStorage);
      window.removeEventListener('online', onOnline);
    };
  }, [deliver]);

  const step = useCallback(
    (next: (at: Position) => Position | undefined) => {
      const at = stands();
      const to = next(at);
      if (!to) return;
      keepTick(localStorage, id, at, to, Date.now(), crypto.randomUUID());
      redraw((n) => n + 1);
      void deliver();
    },
    [id, deliver, stands],
  );

  return { position, waiting: ticks.length, away, refused, step };
}
