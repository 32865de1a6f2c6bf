import { useSyncExternalStore } from 'react';
import { clocksOfEarlier, leftByEarlier } from './earlier.ts';
import { type News, Queue, type QueueState } from './queue.ts';
import { openShelf } from './shelf.ts';
import { readWaiting } from './waiting.ts';

const channel = new BroadcastChannel('puntada-queue');

/** The queue of this browser, one for all its tabs. */
export const queue = new Queue((news) => channel.postMessage(news), Date.now);

channel.onmessage = ({ data }: MessageEvent<News>) => {
  // A tab of another version may keep what this one cannot read.
  queue.hear('kept' in data ? { kept: data.kept.flatMap((each) => readWaiting(each) ?? []) } : data);
};

/** Takes up what waits in this browser, with what an earlier version left in its other storage. */
export async function openQueue(): Promise<void> {
  const { waiting, keys } = leftByEarlier(localStorage);
  const safe = await queue.open(openShelf, { waiting, clocks: clocksOfEarlier(localStorage) });
  if (safe) for (const key of keys) localStorage.removeItem(key);
}

/** What waits for the server, as it changes. */
export function useQueue(): QueueState {
  return useSyncExternalStore(queue.subscribe, queue.state);
}
