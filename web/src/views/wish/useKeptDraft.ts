import { draftLabel } from '@puntada/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useKeepDraftMutation, useRemoveDraftMutation } from '../../api/records.ts';
import type { WishFormValues } from './wishForm.ts';

export type KeptState = 'untouched' | 'waiting' | 'kept' | 'away';

/** ms without a change before it is kept, and between tries while the server is away. */
const pause = 700;
const again = 4000;

interface Kept {
  readonly state: KeptState;
  /** Takes the half-typed wish away: it has become a work, or is given up. */
  readonly drop: (became?: boolean) => Promise<void>;
}

/**
 * Keeps a half-typed wish on the server, whether it can be planned yet or not. The address of a new wish takes the
 * draft's id with the first change, so that it can be opened again.
 * @param id of the draft, or of the work whose wish is changed; nothing for a wish not yet touched
 */
export function useKeptDraft({ watch, getValues }: UseFormReturn<WishFormValues>, id: string | undefined): Kept {
  const [state, setState] = useState<KeptState>('untouched');
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
    const answer = await keep({ id: own.current, title: form.title.slice(0, 80), form: { ...draftLabel, ...form } });
    if (timer.current !== undefined) return;
    if (answer.error) {
      setState('away');
      timer.current = setTimeout(() => void send(), again);
    } else setState('kept');
  }, [getValues, keep]);

  useEffect(() => {
    const { unsubscribe } = watch((_values, { type, name }) => {
      // Fields that fill themselves in as the form opens are no change of the maker's.
      if (!type && !name) return;
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
  return { state, drop };
}
