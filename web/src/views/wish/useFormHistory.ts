import { useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { type History, type Move, noHistory, stepped, takenBack, takenUp } from '../../parts/history.ts';
import type { WishFormValues } from './wishForm.ts';

/** Typing that pauses no longer than this is one change, ms. */
const pause = 500;

interface Steps {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

/** Every change of the form, to be taken back and up again. */
export function useFormHistory({ watch, getValues, reset }: UseFormReturn<WishFormValues>): Steps {
  const history = useRef<History<string>>(noHistory);
  const now = useRef(JSON.stringify(getValues()));
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [, redraw] = useState(0);

  useEffect(() => {
    const settle = () => {
      timer.current = undefined;
      const values = JSON.stringify(getValues());
      if (values === now.current) return;
      history.current = stepped(history.current, now.current);
      now.current = values;
      redraw((n) => n + 1);
    };
    const { unsubscribe } = watch(() => {
      clearTimeout(timer.current);
      timer.current = setTimeout(settle, pause);
    });
    return () => {
      clearTimeout(timer.current);
      unsubscribe();
    };
  }, [watch, getValues]);

  const move = (to: Move<string>) => {
    if (!to) return;
    history.current = to.history;
    now.current = to.shown;
    reset(JSON.parse(to.shown) as WishFormValues, { keepDefaultValues: true, keepTouched: true });
    redraw((n) => n + 1);
  };
  const undo = () => {
    // What was typed a moment ago is a change of its own.
    const live = JSON.stringify(getValues());
    if (live !== now.current) move(takenBack(stepped(history.current, now.current), live));
    else move(takenBack(history.current, live));
  };
  const redo = () => move(takenUp(history.current, now.current));
  const { past, future } = history.current;
  return { undo: past.length ? undo : undefined, redo: future.length ? redo : undefined };
}
