import { useCallback, useEffect, useState } from 'react';

/** How the row in hand is read on this device. */
export interface Reading {
  readonly dark: boolean;
  readonly big: boolean;
  readonly aloud: boolean;
  readonly awake: boolean;
}

const key = 'puntada.reading';
const usual: Reading = { dark: false, big: false, aloud: false, awake: true };

function kept(): Reading {
  try {
    const found = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Record<keyof Reading, unknown>>;
    const flag = (name: keyof Reading) => (typeof found[name] === 'boolean' ? found[name] : usual[name]);
    return { dark: flag('dark'), big: flag('big'), aloud: flag('aloud'), awake: flag('awake') };
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

/** Keeps the screen awake while it is wished, as far as the browser can. */
export function useAwake(wished: boolean): void {
  useEffect(() => {
    if (!wished || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const take = async () => {
      if (document.visibilityState !== 'visible') return;
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
