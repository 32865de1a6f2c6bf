import { useSyncExternalStore } from 'react';

/** As wide as a phone, at most. */
const small = window.matchMedia('(max-width: 639px)');

function subscribe(listener: () => void): () => void {
  small.addEventListener('change', listener);
  return () => small.removeEventListener('change', listener);
}

/** Whether the screen is as small as that of a phone. */
export function useSmallScreen(): boolean {
  return useSyncExternalStore(subscribe, () => small.matches);
}
