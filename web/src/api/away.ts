import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { useSyncExternalStore } from 'react';

/** Whether a request found no server, or only what stands in front of one: the one meaning of “away”. */
export function isAway({ status }: FetchBaseQueryError): boolean {
  return status === 'FETCH_ERROR' || status === 502 || status === 503 || status === 504;
}

let away = false;
const listeners = new Set<() => void>();

/** Notes what the last request found. */
export function noteAnswer(error: FetchBaseQueryError | undefined): void {
  const now = error !== undefined && isAway(error);
  if (now === away) return;
  away = now;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether the server is away, as the last request found it. */
export function useAway(): boolean {
  return useSyncExternalStore(subscribe, () => away);
}
