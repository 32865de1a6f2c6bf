import { useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { WishFormValues } from './wishForm.ts';

/** Typing that pauses no longer than this is one change, ms. */
const pause = 500;
const remembered = 200;

interface Steps {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

/** Every change of the form, to be taken back and up again. */
export function useFormHistory({ watch, getValues, reset }: UseFormReturn<WishFormValues>): Steps {
  const past = useRef<string[]>([]);
  const future = useRef<string[]>([]);
  const now = useRef(JSON.stringify(getValues()));
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [, redraw] = useState(0);

  useEffect(() => {
    const settle = () => {
      timer.current = undefined;
      const values = JSON.stringify(getValues());
      if (values === now.current) return;
      past.current = [...past.current.slice(1 - remembered), now.current];
      future.current = [];
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

  const show = (values: string) => {
    now.current = values;
    reset(JSON.parse(values) as WishFormValues, { keepDefaultValues: true, keepTouched: true });
    redraw((n) => n + 1);
  };
  const undo = () => {
    // What was typed a moment ago is a change of its own.
    const live = JSON.stringify(getValues());
    if (live !== now.current) {
      future.current = [live];
      show(now.current);
      return;
    }
    const before = past.current.at(-1);
    if (before === undefined) return;
    past.current = past.current.slice(0, -1);
    future.current = [now.current, ...future.current];
    show(before);
  };
  const redo = () => {
    const [next, ...later] = future.current;
    if (next === undefined) return;
    future.current = later;
    past.current = [...past.current, now.current];
    show(next);
  };
  return { undo: past.current.length ? undo : undefined, redo: future.current.length ? redo : undefined };
}
