import type { Problem } from '@puntada/core/craft';
import { type Job, jobSchema, readShape } from '@puntada/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { fetchNoted, ofThisBench } from './bench.ts';

/** What goes on: nothing, or how far it is. */
export interface Going {
  readonly words: string;
  readonly done: number;
  /** 0 where it is not known. */
  readonly of: number;
}

const pause = 250;
/** Bytes that are sent at once. */
const piece = 4_000_000;

const refusedSchema = z.object({ problems: jobSchema.shape.problems.unwrap() });

/** The server has refused something, or cannot be reached. */
class Refused extends Error {
  readonly problems: readonly Problem[];

  constructor(problems: readonly Problem[]) {
    super(problems[0]?.code);
    this.problems = problems;
  }
}

async function ask<S extends z.ZodType>(path: string, schema: S, init: RequestInit = {}): Promise<z.output<S>> {
  const headers = ofThisBench(new Headers(init.headers));
  let answer: unknown;
  let good = false;
  try {
    const response = await fetchNoted(`/api${path}`, { ...init, headers });
    good = response.ok;
    answer = await response.json();
  } catch {
    if (init.signal?.aborted) throw new Refused([]);
    throw new Refused([{ code: 'away', path: '' }]);
  }
  if (good) {
    const read = readShape(schema, answer);
    if (read.ok) return read.value;
    throw new Refused([{ code: 'answer-unread', path: '' }]);
  }
  const refused = refusedSchema.safeParse(answer);
  throw new Refused(refused.success ? refused.data.problems : [{ code: 'server-failed', path: '' }]);
}

const begunSchema = z.object({ id: z.string(), at: z.number() });
const atSchema = z.object({ at: z.number() });

/** Things that take a while, with how far they are and a way to stop. */
export interface Jobs {
  readonly going: Going | undefined;
  readonly problems: readonly Problem[];
  readonly stop: () => void;
  /** Starts something on the server and waits for its end. @returns nothing where it failed or was stopped */
  readonly run: <S extends z.ZodType>(words: string, path: string, result: S) => Promise<z.output<S> | undefined>;
  /** Sends a file in pieces; one that breaks off goes on where it stood. @returns its id at the server */
  readonly send: (words: string, file: Blob) => Promise<string | undefined>;
  /** A file that was sent is not wanted after all. @param id of it at the server */
  readonly forget: (id: string) => void;
}

const tries = 5;

export function useJobs(): Jobs {
  const [going, setGoing] = useState<Going>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const stopper = useRef<AbortController>(undefined);
  useEffect(() => () => stopper.current?.abort(), []);

  const within = useCallback(async <T>(words: string, work: (signal: AbortSignal) => Promise<T>) => {
    stopper.current = new AbortController();
    setProblems([]);
    setGoing({ words, done: 0, of: 0 });
    try {
      return await work(stopper.current.signal);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      setProblems(error.problems);
      return undefined;
    } finally {
      setGoing(undefined);
    }
  }, []);

  const run = useCallback(
    <S extends z.ZodType>(words: string, path: string, result: S) =>
      within(words, async (signal): Promise<z.output<S> | undefined> => {
        let job: Job = await ask(path, jobSchema, { method: 'POST' });
        while (job.state === 'running') {
          await new Promise((done) => setTimeout(done, pause));
          if (signal.aborted) await ask(`/copies/jobs/${job.id}`, z.unknown(), { method: 'DELETE' });
          job = await ask(`/copies/jobs/${job.id}`, jobSchema);
          setGoing({ words, done: job.done, of: job.of });
        }
        if (job.state !== 'done') throw new Refused(job.problems ?? []);
        const read = readShape(result, job.result);
        return read.ok ? read.value : undefined;
      }),
    [within],
  );

  const send = useCallback(
    (words: string, file: Blob) =>
      within(words, async (signal) => {
        const { id } = await ask('/incoming', begunSchema, { method: 'POST' });
        let [at, failed] = [0, 0];
        while (at < file.size) {
          setGoing({ words, done: at, of: file.size });
          try {
            const body = file.slice(at, at + piece);
            const headers = { 'content-type': 'application/octet-stream' };
            ({ at } = await ask(`/incoming/${id}?at=${at}`, atSchema, { method: 'PUT', body, headers, signal }));
            failed = 0;
          } catch (error) {
            if (signal.aborted || ++failed > tries) throw error;
            await new Promise((done) => setTimeout(done, pause * 2 ** failed));
            ({ at } = await ask(`/incoming/${id}`, atSchema).catch(() => ({ at })));
          }
        }
        return id;
      }),
    [within],
  );

  return {
    going,
    problems,
    run,
    send,
    stop: useCallback(() => stopper.current?.abort(), []),
    forget: useCallback(
      (id) => void ask(`/incoming/${id}`, z.unknown(), { method: 'DELETE' }).catch(() => undefined),
      [],
    ),
  };
}
