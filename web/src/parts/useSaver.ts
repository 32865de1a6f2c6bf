import { useEffect, useState, useSyncExternalStore } from 'react';
import { problemsOf } from '../api/api.ts';
import { outcomeOf } from '../api/queue/courier.ts';
import type { Saved, Saver, Sent } from './saver.ts';

/** What is being saved, by its name: it goes on being saved, and stays as it was typed, when its view is left. */
const savers = new Map<string, Saver<unknown>>();

/** What is saved by another request from now on: the next view begins with what the server has. */
export function forgetSaver(name: string): void {
  savers.delete(name);
}

/** What became of a change, by the answer of its endpoint. */
export function sentOf(answer: { data?: { readonly revision: number } | undefined; error?: unknown }): Sent {
  if (answer.data) return { revision: answer.data.revision };
  const problems = problemsOf(answer.error);
  const { status, data } = (answer.error ?? {}) as { status?: unknown; data?: { fresh?: { revision?: number } } };
  const fresh = data?.fresh?.revision;
  if (status === 409) return { problems, fails: 'stale', ...(fresh === undefined ? {} : { fresh }) };
  const outcome = outcomeOf(answer.error);
  return { problems, fails: typeof outcome === 'object' && 'later' in outcome ? 'later' : 'refused' };
}

/** The saver of a name: the one that still works on it, or a new one. A page that is closed on unsaved work asks first. */
export function useSaver<T>(name: string, make: () => Saver<T>): readonly [Saved<T>, Saver<T>] {
  const [saver] = useState(() => {
    const known = savers.get(name) as Saver<T> | undefined;
    const own = known && !known.idle ? known : make();
    savers.set(name, own as Saver<unknown>);
    return own;
  });
  const saved = useSyncExternalStore(saver.subscribe, saver.state);
  const open = saved.state !== 'saved';
  useEffect(() => {
    window.addEventListener('pagehide', saver.flush);
    return () => {
      window.removeEventListener('pagehide', saver.flush);
      // What was changed a moment ago is sent when the maker leaves this view.
      saver.flush();
    };
  }, [saver]);
  useEffect(() => {
    if (!open) return;
    // Kept alive, it is sent while the page closes; where that cannot be, the maker is asked.
    const ask = (event: BeforeUnloadEvent) => {
      if (saver.state().problems.length) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [open, saver]);
  return [saved, saver];
}
