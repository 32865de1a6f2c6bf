import { Worker } from 'node:worker_threads';
import { proxy, type Remote, wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Db } from '../db/database.ts';
import { onForget } from '../memory.ts';
import type { Reckoning } from './reckoning.ts';
import type { Asked } from './reckoning.worker.ts';

/** How reckoning is done, and an end to it. */
export interface Reckoner {
  /** @param db the database that it asks */
  from(db: Db): Reckoning;
  close(): Promise<void>;
}

/**
 * Reckons in a thread of its own, which is started when something is asked and remembers what it has found; it asks the
 * database through this one, so that everybody else is answered between two of its questions. @param file the built thread
 */
export function inOwnThread(file: URL): Reckoner {
  let worker: Worker | undefined;
  const end = async () => {
    const old = worker;
    worker = undefined;
    await old?.terminate();
  };
  return {
    from(db) {
      let there: Promise<Remote<Reckoning>> | undefined;
      onForget(() => {
        // What it remembers is of another bench.
        there = undefined;
        void end();
      });
      const started = (): Promise<Remote<Reckoning>> => {
        there ??= (async () => {
          worker = new Worker(file);
          worker.unref();
          const own = worker;
          own.once('exit', () => {
            if (worker === own) there = undefined;
          });
          const asked = wrap<Asked>(nodeEndpoint(own));
          return asked.from(proxy((sql: string, values: readonly unknown[]) => db.query(sql, values))) as Promise<
            Remote<Reckoning>
          >;
        })();
        return there;
      };
      return {
        pending: async () => (await started()).pending(),
        pace: async () => (await started()).pace(),
        calendar: async (week, today) => (await started()).calendar(week, today),
      };
    },
    close: end,
  };
}
