import { parentPort } from 'node:worker_threads';
import { expose, proxy } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Answered } from '../db/database.ts';
import { reckoningFrom } from './reckoning.ts';

/** The thread's side: reads through the thread that started it. */
const asked = {
  from(query: (sql: string, values: readonly unknown[]) => Promise<Answered>) {
    return proxy(
      reckoningFrom({
        query: (sql, values = []) => query(sql, values),
        exec: () => Promise.reject(new Error('this thread only reads')),
      }),
    );
  },
};
export type Asked = typeof asked;

if (parentPort) expose(asked, nodeEndpoint(parentPort));
