import { type ChildProcess, fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import type { Result } from '@puntada/core/craft';
import { Refusal } from '../http/answers.ts';
import type { Looked, LookThrough, ToLookAt } from './look.ts';
import type { Watch } from './watch.ts';

/** What the process that looks through files says. */
export type Said =
  | { readonly ahead: readonly [done: number, of: number] }
  | { readonly found: Result<Looked> }
  | { readonly broke: string };

const limits = { seconds: 60, megabytes: 1500, idle: 60 };

function tooMuch(seconds: number): Refusal {
  return new Refusal(422, [{ code: 'file-too-much', path: 'contents', facts: { seconds } }]);
}

/** Asks a process for one thing, to its end. */
function ask(child: ChildProcess, given: ToLookAt, seconds: number, { progress, signal }: Watch) {
  return new Promise<Result<Looked>>((done, fail) => {
    let wait: NodeJS.Timeout;
    const end = (how: () => void) => {
      clearTimeout(wait);
      child.removeAllListeners();
      signal?.removeEventListener('abort', stop);
      how();
    };
    const giveUp = (why: unknown) =>
      end(() => {
        child.kill('SIGKILL');
        fail(why);
      });
    const stop = () => giveUp(signal?.reason);
    const waitOn = () => {
      clearTimeout(wait);
      wait = setTimeout(() => giveUp(tooMuch(seconds)), seconds * 1000);
    };
    child.on('message', (said: Said) => {
      if ('found' in said) end(() => done(said.found));
      else if ('broke' in said) end(() => fail(new Error(said.broke)));
      else {
        waitOn();
        progress?.(...said.ahead);
      }
    });
    child.on('error', giveUp);
    // Whatever was too much for it: only this process fell over it.
    child.on('exit', () => giveUp(tooMuch(seconds)));
    signal?.addEventListener('abort', stop);
    waitOn();
    child.send(given);
  });
}

/**
 * Looks through files in a process of its own, one after the other: a file that takes all memory takes it from that process
 * alone, as no thread can promise. It is started when something is asked and ends when nothing is.
 * @param file the built process @param seconds without an end or a word of how far it is; @param idle s that it waits for more
 */
export function lookApart(file: URL, own: Partial<typeof limits> = {}): LookThrough & { close(): void } {
  const { seconds, megabytes, idle } = { ...limits, ...own };
  let free: ChildProcess | undefined;
  let rest: NodeJS.Timeout | undefined;
  const letGo = () => {
    clearTimeout(rest);
    free?.kill();
    free = undefined;
  };
  const look: LookThrough = async (given, watch = {}) => {
    watch.signal?.throwIfAborted();
    clearTimeout(rest);
    const child =
      free?.connected && free.exitCode === null
        ? free
        : fork(fileURLToPath(file), { execArgv: [`--max-old-space-size=${megabytes}`], stdio: 'ignore' });
    free = undefined;
    const found = await ask(child, given, seconds, watch);
    letGo();
    free = child;
    rest = setTimeout(letGo, idle * 1000).unref();
    child.unref();
    child.channel?.unref();
    return found;
  };
  return Object.assign(look, { close: letGo });
}
