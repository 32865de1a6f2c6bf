import type { Problem } from '@puntada/core/craft';
import type { Wish, Work } from '@puntada/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import { problemsOf, useChangeWorkMutation } from '../api/api.ts';
import { type History, type Move, noHistory, stepped, takenBack, takenUp } from './history.ts';

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
/** What can be taken back of each work, and up again, as long as the page is open: from whichever view. */
const steps = new Map<string, History<Wish>>();

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
  const history: History<Wish> = steps.get(id) ?? noHistory;

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
      steps.set(id, stepped(steps.get(id) ?? noHistory, latest.current));
      show({ ...latest.current, ...part });
    },
    [id, show],
  );
  const move = (to: Move<Wish>) => {
    if (!to) return;
    steps.set(id, to.history);
    show(to.shown);
  };
  const undo = () => move(takenBack(history, latest.current));
  const redo = () => move(takenUp(history, latest.current));

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

  const back = { undo: history.past.length ? undo : undefined, redo: history.future.length ? redo : undefined };
  return { wish, change, ...back, handOver, state, problems, revision: revision.current, takeFresh };
}
