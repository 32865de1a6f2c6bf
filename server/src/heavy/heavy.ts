import type { DecimalMark } from '@puntada/core/craft';
import { Piscina } from 'piscina';
import { Refusal } from '../http/answers.ts';
import answer, { type Given, type TaskName, type Tasks } from './tasks.ts';

/** Does what takes long. */
export interface Heavy {
  /**
   * @param decimals how numbers are told in what comes of it; a point where nobody is to read it
   * @throws Refusal 422 where it takes longer, or more memory, than anything a maker wants
   */
  run<Name extends TaskName>(
    name: Name,
    given: Given<Name>,
    decimals?: DecimalMark,
  ): Promise<Awaited<ReturnType<Tasks[Name]>>>;
  close(): Promise<void>;
}

/** In the thread that asks: for tests, and where the program runs from its sources. */
export const inThisThread: Heavy = {
  run: async (name, given, decimals = '.') => (await answer({ name, given, decimals })) as never,
  close: async () => undefined,
};

const limits = { seconds: 60, megabytes: 1500 };

/**
 * In threads of their own, so that everybody else is answered meanwhile. They are started when something is asked, and
 * end when nothing is. @param file the built tasks
 */
export function inThreads(file: URL, seconds = limits.seconds): Heavy {
  const pool = new Piscina({
    filename: file.href,
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: limits.megabytes },
  });
  return {
    async run(name, given, decimals = '.') {
      const signal = AbortSignal.timeout(seconds * 1000);
      try {
        return await pool.run({ name, given, decimals }, { signal });
      } catch (error) {
        const { code } = error as { readonly code?: unknown };
        if (!signal.aborted && code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error;
        throw new Refusal(422, [{ code: 'plan-too-long', path: 'width', facts: { seconds } }]);
      }
    },
    close: () => pool.close({ force: true }),
  };
}
