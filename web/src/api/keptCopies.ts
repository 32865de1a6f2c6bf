import {
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  fetchBaseQuery,
} from '@reduxjs/toolkit/query/react';
import { isAway, noteAnswer } from './away.ts';
import { fetchNoted, ofThisBench } from './bench.ts';

const shelf = 'puntada-kept-copies';
const ask = fetchBaseQuery({ baseUrl: '/api', prepareHeaders: ofThisBench, fetchFn: fetchNoted });

async function keep(path: string, value: unknown): Promise<void> {
  if (!('caches' in globalThis)) return;
  const cache = await caches.open(shelf);
  await cache.put(
    `/api${path}`,
    new Response(JSON.stringify(value), { headers: { 'content-type': 'application/json' } }),
  );
}

async function kept(path: string): Promise<unknown> {
  if (!('caches' in globalThis)) return undefined;
  const found = await (await caches.open(shelf)).match(`/api${path}`);
  return found?.json();
}

const idle = () => new Promise<unknown>((done) => requestIdleCallback(done, { timeout: 300 }));

let before: Promise<unknown> = Promise.resolve();

/** One after the other, each with what the one before has left; none keeps the next from its turn. */
function inTurn<T>(what: () => Promise<T>): Promise<T | undefined> {
  const done = before.then(what).catch(() => undefined);
  before = done;
  return done;
}

/** Changes a kept copy, so that it is as far as the server has acknowledged. Nothing happens where there is none. */
export async function changeKept(path: string, change: (copy: object) => object): Promise<void> {
  await inTurn(async () => {
    const copy = await kept(path);
    if (copy && typeof copy === 'object') await keep(path, change(copy));
  });
}

/**
 * Asks the server; keeps a copy of what it read, and reads the copy when the server is away. Changes are never
 * answered from a copy.
 */
export const askOrKept: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (args, api, extra) => {
  const answer = await ask(args, api, extra);
  noteAnswer(answer.error);
  const path = typeof args === 'string' ? args : undefined;
  if (path === undefined) return answer;
  if (!answer.error) {
    // Nobody waits until the copy of a long answer is on its shelf; it is put there once the page has drawn it.
    void inTurn(() => idle().then(() => keep(path, answer.data)));
    return answer;
  }
  const copy = isAway(answer.error) ? await inTurn(() => kept(path)) : undefined;
  return copy === undefined ? answer : { data: copy };
};
