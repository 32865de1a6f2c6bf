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

/** The thread has ended while it was asked: by itself, or since another bench is here. */
class ThreadGone extends Error {}

/** A thread, what it answers, and that it has ended. */
interface Started {
  readonly there: Promise<Remote<Reckoning>>;
  /** Never kept; broken once the thread is gone. */
  readonly gone: Promise<never>;
}

const megabytes = 1500;

/**
 * Reckons in a thread of its own, which is started when something is asked and remembers what it has found; it asks the
 * database through this one, so that everybody else is answered between two of its questions. Where it ends in the middle,
 * another is asked once more. @param file the built thread
 */
export function inOwnThread(file: URL): Reckoner {
  let worker: Worker | undefined;
  let started: Started | undefined;
  const end = async () => {
    const old = worker;
    worker = undefined;
    started = undefined;
    await old?.terminate();
  };
  const start = (db: Db): Started => {
    const own = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: megabytes } });
    worker = own;
    own.unref();
    const gone = new Promise<never>((_, broken) => {
      // What it breaks on is told by whoever asked; nobody else is to fall over it.
      own.on('error', () => undefined);
      own.once('exit', () => {
        if (worker === own) started = undefined;
        broken(new ThreadGone('reckoning thread ended'));
      });
    });
    gone.catch(() => undefined);
    const query = proxy((sql: string, values: readonly unknown[]) => db.query(sql, values));
    const there = wrap<Asked>(nodeEndpoint(own)).from(query) as Promise<Remote<Reckoning>>;
    return { there, gone };
  };
  return {
    from(db) {
      // What it remembers is of another bench.
      onForget(() => void end());
      const ask = async <T>(what: (there: Remote<Reckoning>) => Promise<T>): Promise<T> => {
        for (let tries = 0; ; tries++) {
          started ??= start(db);
          const { there, gone } = started;
          try {
            return await Promise.race([there.then(what), gone]);
          } catch (error) {
            if (!(error instanceof ThreadGone) || tries > 0) throw error;
          }
        }
      };
      return {
        pending: () => ask((there) => there.pending()),
        pace: () => ask((there) => there.pace()),
        calendar: (week, today) => ask((there) => there.calendar(week, today)),
      };
    },
    close: end,
  };
}
