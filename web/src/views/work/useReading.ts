import { type Tug, tugs } from '@puntada/core/words';
import { useCallback, useEffect, useState } from 'react';

/** How the row in hand is read on this device. */
export interface Reading {
  readonly dark: boolean;
  readonly big: boolean;
  readonly aloud: boolean;
  readonly awake: boolean;
  /** The rows to come are in sight and the worked ones covered, not the other way about. */
  readonly ahead: boolean;
  readonly tug: Tug;
}
export type Flag = { [Name in keyof Reading]: Reading[Name] extends boolean ? Name : never }[keyof Reading];

const key = 'puntada.reading';
const usual: Reading = { dark: false, big: false, aloud: false, awake: true, ahead: false, tug: 'never' };

function kept(): Reading {
  try {
    const found = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Record<keyof Reading, unknown>>;
    const flag = (name: Flag) => (typeof found[name] === 'boolean' ? found[name] : usual[name]);
    const tug = tugs.find((each) => each === found.tug) ?? usual.tug;
    return {
      dark: flag('dark'),
      big: flag('big'),
      aloud: flag('aloud'),
      awake: flag('awake'),
      ahead: flag('ahead'),
      tug,
    };
  } catch {
    return usual;
  }
}

/** The reading of this device, kept in its browser. */
export function useReading(): readonly [Reading, (part: Partial<Reading>) => void] {
  const [reading, setReading] = useState(kept);
  const change = useCallback((part: Partial<Reading>) => {
    setReading((before) => {
      const next = { ...before, ...part };
      localStorage.setItem(key, JSON.stringify(next));
      return next;
    });
  }, []);
  return [reading, change];
}

/** Turns the whole page dark while this view is open: what opens over it as well. */
export function useRoom(dark: boolean): void {
  useEffect(() => {
    if (!dark) return;
    document.documentElement.dataset.room = 'dark';
    return () => {
      delete document.documentElement.dataset.room;
    };
  }, [dark]);
}

/** Keeps the screen awake while it is wished, as far as the browser can. */
export function useAwake(wished: boolean): void {
  useEffect(() => {
    if (!wished || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const take = async () => {
      if (document.visibilityState !== 'visible' || (lock && !lock.released)) return;
      const taken = await navigator.wakeLock.request('screen').catch(() => undefined);
      if (over) void taken?.release();
      else lock = taken;
    };
    void take();
    // The browser lets go of it when the page is hidden.
    document.addEventListener('visibilitychange', take);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [wished]);
}
