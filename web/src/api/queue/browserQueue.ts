import { useSyncExternalStore } from 'react';
import { benchNow } from '../bench.ts';
import { type Arrived, readArrived } from './arrived.ts';
import { aheadIn, leftByEarlier, placesOfEarlier } from './earlier.ts';
import { type News, Queue, type QueueState } from './queue.ts';
import { openShelf } from './shelf.ts';
import { readWaiting, type Waiting } from './waiting.ts';

const channel = new BroadcastChannel('puntada-queue');

/** What this browser writes at once, unless it writes nothing. */
function storage(): Storage | undefined {
  try {
    return localStorage;
  } catch {
    return undefined;
  }
}

const own = storage();

/** The queue of this browser, one for all its tabs. */
export const queue = new Queue((news) => channel.postMessage(news), Date.now, own && aheadIn(own), benchNow);

let show: (arrived: Arrived, waiting: readonly Waiting[]) => void = () => undefined;

/** @param shown shows what another tab has brought to the server */
export function onArrived(shown: typeof show): void {
  show = shown;
}

/** Tells the other tabs what this one has brought to the server. */
export function tellArrived(arrived: Arrived): void {
  channel.postMessage({ arrived });
}

channel.onmessage = ({ data }: MessageEvent<News | { readonly arrived: unknown }>) => {
  if ('arrived' in data) {
    const arrived = readArrived(data.arrived);
    if (arrived) show(arrived, queue.state().waiting);
    return;
  }
  // A tab of another version may keep what this one cannot read.
  queue.hear('kept' in data ? { kept: data.kept.flatMap((each) => readWaiting(each) ?? []) } : data);
};

/** Bytes that a browser should have left: some ten photos. */
const enough = 20_000_000;

/** Looks how much room there is. A browser that does not say has enough. */
async function lookForRoom(): Promise<void> {
  const { quota, usage } = (await navigator.storage?.estimate?.().catch(() => undefined)) ?? {};
  queue.room(quota !== undefined && usage !== undefined && quota - usage < enough);
}

/** Looks again once something waits. */
function watchRoom(): void {
  const stop = queue.subscribe(() => {
    if (!queue.state().waiting.length) return;
    stop();
    void lookForRoom();
  });
}

/** Takes up what waits in this browser, with what an earlier version, or a page that was left, has in its other storage. */
export async function openQueue(): Promise<void> {
  watchRoom();
  void lookForRoom();
  if (!own) {
    await queue.open(openShelf);
    return;
  }
  const { waiting, keys } = leftByEarlier(own);
  const safe = await queue.open(openShelf, { waiting, places: placesOfEarlier(own) });
  if (safe) for (const key of keys) own.removeItem(key);
}

/** What waits for the server, as it changes. */
export function useQueue(): QueueState {
  return useSyncExternalStore(queue.subscribe, queue.state);
}
