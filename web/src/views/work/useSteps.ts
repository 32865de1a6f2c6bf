import { type Sequence, workCourse } from '@puntada/core/plan';
import { afterRow, afterRun, backRun, comparePositions, type Position } from '@puntada/core/work';
import { useCallback, useEffect, useRef, useState } from 'react';
import { switchChannel, switchDriver } from '../../parts/switchDriver.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { clothOfPiece } from '../../parts/workCloth.ts';
import { ownKeys } from './ownKeys.ts';
import type { Counter } from './useCounter.ts';

export interface Steps {
  readonly run: () => void;
  readonly row: () => void;
  readonly back: () => void;
  /** Straight to another place: one act, which one step back takes back. */
  readonly go: (to: Position) => void;
  readonly canGoBack: boolean;
  /** Where one step back leads, if it takes back a whole jump. */
  readonly jumpedFrom: Position | undefined;
}

/** Something that was done at a stroke. */
interface Act {
  /** Straight to another place, by no step. */
  readonly jump: boolean;
  readonly from: Position;
  readonly to: Position;
}

const steppingKeys: Readonly<Record<string, 'run' | 'row' | 'back'>> = {
  ' ': 'run',
  PageDown: 'run',
  Enter: 'row',
  Backspace: 'back',
  PageUp: 'back',
};

/** The steps of the counter, by button and by key. */
export function useSteps(cloth: WorkCloth, counter: Counter, sequence: Sequence): Steps {
  const { position, step } = counter;
  const total = sequence.units.length;
  const runsIn = useCallback(
    (at: number) => {
      const unit = sequence.units[at];
      if (unit?.kind !== 'row') return unit?.step.runs.length ?? 1;
      const { fabric, bound, foundation } = clothOfPiece(cloth, unit.piece);
      return unit.row < fabric.courses ? workCourse(fabric, bound, foundation, unit.row).runs.length : 1;
    },
    [cloth, sequence],
  );
  // What was done in one act since this page was opened, to be taken back in one; by the step and where it led.
  const acts = useRef<Act[]>([]);
  const [last, setLast] = useState<Act>();
  const act = useCallback(
    (next: (at: Position) => Position | undefined, jump = false) =>
      step((from) => {
        const to = next(from);
        if (to) acts.current.push({ jump, from, to });
        setLast(acts.current.at(-1));
        return to;
      }),
    [step],
  );
  const run = useCallback(
    () => act((at) => (at.rows < total ? afterRun(at, runsIn(at.rows), total) : undefined)),
    [total, runsIn, act],
  );
  const row = useCallback(() => act((at) => afterRow(at, total)), [total, act]);
  const go = useCallback((to: Position) => act(() => to, true), [act]);
  const back = useCallback(() => {
    const one = acts.current.pop();
    setLast(acts.current.at(-1));
    step((at) => {
      if (one && comparePositions(one.to, at) === 0) return one.from;
      acts.current = [];
      setLast(undefined);
      return backRun(at, at.rows > 0 ? runsIn(at.rows - 1) : 0);
    });
  }, [runsIn, step]);
  const [keys] = useState(ownKeys);
  const worked = position.rows > 0 || position.runs > 0;
  // Keys and the driver live as long as the view, so that a press told twice is still known after the step it made.
  const latest = useRef({ run, row, back, more: true, worked });
  latest.current = { run, row, back, more: position.rows < total, worked };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      // A key held down is one press.
      const name = steppingKeys[event.key];
      if (!name || keys.keep(event)) return;
      const { more, worked, [name]: step } = latest.current;
      // Where the counter cannot step, a key does what it does elsewhere: a page key moves the page.
      if (name === 'back' ? event.key === 'PageUp' && !worked : !more) return;
      event.preventDefault();
      if (!event.repeat) step();
    };
    // When the key is let go, the focus is where it went to.
    const onMoved = (event: KeyboardEvent) => {
      if (event.key === 'Tab') keys.moved(document.activeElement);
    };
    const onPress = (event: PointerEvent) => keys.pressed(event.target as Element | null);
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onMoved);
    window.addEventListener('pointerdown', onPress);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onMoved);
      window.removeEventListener('pointerdown', onPress);
    };
  }, [keys]);
  useEffect(() => {
    const channel = new BroadcastChannel(switchChannel);
    const take = switchDriver((step) => latest.current[step](), Date.now);
    channel.onmessage = (event) => take(event.data);
    return () => channel.close();
  }, []);
  const jumpedFrom = last?.jump && comparePositions(last.to, position) === 0 ? last.from : undefined;
  return {
    run,
    row,
    back,
    go,
    canGoBack: worked || jumpedFrom !== undefined,
    jumpedFrom,
  };
}
