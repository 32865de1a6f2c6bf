import type { Problem } from '@puntada/core/craft';
import { draftLabel } from '@puntada/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { problemsOf } from '../../api/api.ts';
import { useKeepDraftMutation, useRemoveDraftMutation } from '../../api/records.ts';
import type { WishFormValues } from './wishForm.ts';

export type KeptState = 'untouched' | 'waiting' | 'kept' | 'away' | 'stale';

/** ms without a change before it is kept, and between tries while the server is away. */
const pause = 700;
const again = 4000;

/** One name for all that this tab writes, also after it was loaded anew: it does not overtake itself. */
function thisTab(): string {
  const name = 'puntada-tab';
  try {
    const known = sessionStorage.getItem(name) ?? crypto.randomUUID();
    sessionStorage.setItem(name, known);
    return known;
  } catch {
    return thisPage;
  }
}
const thisPage = crypto.randomUUID();

interface Kept {
  readonly state: KeptState;
  /** Why it is not kept, where another page has changed it meanwhile. */
  readonly problems: readonly Problem[];
  /** Puts what is typed here over what was changed elsewhere. */
  readonly keepMine: () => void;
  /** Takes the half-typed wish away: it has become a work, or is given up. */
  readonly drop: (became?: boolean) => Promise<void>;
}

/**
 * Keeps a half-typed wish on the server, whether it can be planned yet or not. The address of a new wish takes the
 * draft's id with the first change, so that it can be opened again.
 * @param id of the draft, or of the work whose wish is changed; nothing for a wish not yet touched
 * @param begunOn the revision of the draft that the form was filled from, 0 for a new one
 */
export function useKeptDraft(
  { watch, getValues }: UseFormReturn<WishFormValues>,
  id: string | undefined,
  begunOn: number,
): Kept {
  const [state, setState] = useState<KeptState>('untouched');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const revision = useRef(begunOn);
  /** The revision elsewhere, once this page was overtaken. */
  const fresh = useRef<number>(undefined);
  const [keep] = useKeepDraftMutation();
  const [remove] = useRemoveDraftMutation();
  const own = useRef(id);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const send = useCallback(async () => {
    timer.current = undefined;
    if (!own.current) {
      own.current = crypto.randomUUID();
      window.history.replaceState(window.history.state, '', `/wish?draft=${own.current}`);
    }
    const form = getValues();
    const answer = await keep({
      id: own.current,
      title: form.title.slice(0, 80),
      form: { ...draftLabel, ...form },
      revision: revision.current,
      by: thisTab(),
    });
    if (answer.data) revision.current = answer.data.revision ?? revision.current;
    if (timer.current !== undefined) return;
    const { status, data } = (answer.error ?? {}) as { status?: unknown; data?: { fresh?: { revision?: number } } };
    if (status === 409 && data?.fresh) {
      fresh.current = data.fresh.revision;
      setProblems(problemsOf(answer.error));
      setState('stale');
    } else if (answer.error) {
      setState('away');
      timer.current = setTimeout(() => void send(), again);
    } else setState('kept');
  }, [getValues, keep]);

  useEffect(() => {
    const { unsubscribe } = watch((_values, { type, name }) => {
      // Fields that fill themselves in as the form opens are no change of the maker's.
      if (!type && !name) return;
      // Until the maker has decided, nothing is written over what another page has made of it.
      if (fresh.current !== undefined) return;
      setState('waiting');
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void send(), pause);
    });
    const sendNow = () => {
      if (timer.current === undefined) return;
      clearTimeout(timer.current);
      void send();
    };
    window.addEventListener('pagehide', sendNow);
    return () => {
      unsubscribe();
      window.removeEventListener('pagehide', sendNow);
      sendNow();
    };
  }, [watch, send]);

  const keepMine = useCallback(() => {
    if (fresh.current === undefined) return;
    revision.current = fresh.current;
    fresh.current = undefined;
    setProblems([]);
    setState('waiting');
    void send();
  }, [send]);

  const drop = useCallback(
    async (became = false) => {
      clearTimeout(timer.current);
      timer.current = undefined;
      if (own.current) await remove({ id: own.current, done: became });
      own.current = undefined;
      setState('untouched');
    },
    [remove],
  );
  return { state, problems, keepMine, drop };
}
