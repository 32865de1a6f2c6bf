import type { Problem } from '@puntada/core/craft';
import type { Wish, Work } from '@puntada/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import { problemsOf, useChangeWorkMutation } from '../api/api.ts';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'stale';

export interface PlanDraft {
  readonly wish: Wish;
  readonly change: (part: Partial<Wish>) => void;
  /** Takes the last change back, or up again; absent where there is none. */
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
  readonly state: SaveState;
  readonly problems: readonly Problem[];
  /** The revision that the next change is made on. */
  readonly revision: number;
  /** Leaves what is not yet sent to a request that carries the whole wish itself. */
  readonly handOver: () => void;
  /** Drops what is unsaved here and shows what the server has. */
  readonly takeFresh: () => void;
}

const wait = 400;
/** Changes that can be taken back. */
const remembered = 200;

/** What can be taken back of each work, and up again, as long as the page is open: from whichever view. */
const steps = new Map<string, { readonly past: readonly Wish[]; readonly future: readonly Wish[] }>();
const none = { past: [], future: [] };

/** A wish while it is being planned: shown at once, saved a moment later, never over a change made elsewhere. */
export function usePlanDraft(work: Work): PlanDraft {
  const [wish, setWish] = useState(work.wish);
  const [state, setState] = useState<SaveState>('saved');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [save] = useChangeWorkMutation();
  const revision = useRef(work.revision);
  const latest = useRef(work.wish);
  const running = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const id = work.id;
  const { past, future } = steps.get(id) ?? none;

  const flush = useCallback(async () => {
    if (running.current) return;
    running.current = true;
    setState('saving');
    const sent = latest.current;
    const answer = await save({ id, revision: revision.current, wish: sent });
    running.current = false;
    if (answer.data) {
      revision.current = answer.data.revision;
      setProblems([]);
      if (latest.current === sent) setState('saved');
      else void flush();
      return;
    }
    const stale = (answer.error as { status?: number } | undefined)?.status === 409;
    setProblems(problemsOf(answer.error));
    setState(stale ? 'stale' : 'unsaved');
  }, [id, save]);

  const show = useCallback(
    (next: Wish) => {
      latest.current = next;
      setWish(next);
      setState((before) => (before === 'stale' ? before : 'unsaved'));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        timer.current = undefined;
        void flush();
      }, wait);
    },
    [flush],
  );

  const change = useCallback(
    (part: Partial<Wish>) => {
      const { past: before } = steps.get(id) ?? none;
      steps.set(id, { past: [...before.slice(1 - remembered), latest.current], future: [] });
      show({ ...latest.current, ...part });
    },
    [id, show],
  );
  const undo = () => {
    const before = past.at(-1);
    if (!before) return;
    steps.set(id, { past: past.slice(0, -1), future: [latest.current, ...future] });
    show(before);
  };
  const redo = () => {
    const [next, ...later] = future;
    if (!next) return;
    steps.set(id, { past: [...past, latest.current], future: later });
    show(next);
  };

  // What was changed a moment ago is sent when the maker leaves this view or closes the page.
  useEffect(() => {
    const sendNow = () => {
      if (timer.current === undefined) return;
      clearTimeout(timer.current);
      timer.current = undefined;
      void flush();
    };
    window.addEventListener('pagehide', sendNow);
    return () => {
      window.removeEventListener('pagehide', sendNow);
      sendNow();
    };
  }, [flush]);

  const takeFresh = useCallback(() => {
    location.reload();
  }, []);

  const handOver = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = undefined;
  }, []);

  const back = { undo: past.length ? undo : undefined, redo: future.length ? redo : undefined };
  return { wish, change, ...back, handOver, state, problems, revision: revision.current, takeFresh };
}
