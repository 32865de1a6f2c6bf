import { workCourse } from '@puntada/core/plan';
import { afterRow, afterRun, backRun } from '@puntada/core/work';
import { useCallback, useEffect, useRef } from 'react';
import { switchChannel, switchDriver } from '../../parts/switchDriver.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import type { Counter } from './useCounter.ts';

export interface Steps {
  readonly run: () => void;
  readonly row: () => void;
  readonly back: () => void;
  readonly canGoBack: boolean;
}

/** The steps of the counter, by button and by key. */
export function useSteps(cloth: WorkCloth, counter: Counter): Steps {
  const { fabric, bound, foundation } = cloth;
  const { position, step } = counter;
  const runsIn = useCallback(
    (row: number) => workCourse(fabric, bound, foundation, row).runs.length,
    [fabric, bound, foundation],
  );
  const run = useCallback(
    () => step((at) => (at.rows < fabric.courses ? afterRun(at, runsIn(at.rows), fabric.courses) : undefined)),
    [fabric, runsIn, step],
  );
  const row = useCallback(() => step((at) => afterRow(at, fabric.courses)), [fabric, step]);
  const back = useCallback(() => step((at) => backRun(at, at.rows > 0 ? runsIn(at.rows - 1) : 0)), [runsIn, step]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement | null;
      if (target?.closest('a, input, select, [role="dialog"]')) return;
      // A button reached by keyboard keeps its own keys; one that was clicked has let go of the focus.
      if ((event.key === ' ' || event.key === 'Enter') && target?.closest('button')) return;
      const action = { ' ': run, PageDown: run, Enter: row, Backspace: back, PageUp: back }[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [run, row, back]);
  // The driver lives as long as the view, so that a press told twice is still known after the step it made.
  const latest = useRef({ run, row, back });
  latest.current = { run, row, back };
  useEffect(() => {
    const channel = new BroadcastChannel(switchChannel);
    const take = switchDriver((step) => latest.current[step](), Date.now);
    channel.onmessage = (event) => take(event.data);
    return () => channel.close();
  }, []);
  return { run, row, back, canGoBack: position.rows > 0 || position.runs > 0 };
}
