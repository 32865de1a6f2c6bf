import { randomUUID } from 'node:crypto';
import type { Problem } from '@puntada/core/craft';
import type { Watch } from '../archive/watch.ts';
import { Refusal } from '../http/answers.ts';
import { faultCodeOf } from '../http/faultCode.ts';

/** Something that takes a while, as it is told while it goes on. */
export interface Job {
  readonly id: string;
  readonly state: 'running' | 'done' | 'failed' | 'stopped';
  readonly done: number;
  /** 0 where it is not known beforehand. */
  readonly of: number;
  readonly result?: unknown;
  readonly problems?: readonly Problem[];
}

const remembered = 50;

/** What is going on with copies: one thing at a time, told to whoever asks, and stopped where it is asked for. */
export class Jobs {
  private readonly all = new Map<string, Job>();
  private running: { readonly id: string; readonly stop: AbortController } | undefined;
  private readonly broke: (error: unknown) => void;

  /** @param broke is told of errors that are none of the maker's */
  constructor(broke: (error: unknown) => void) {
    this.broke = broke;
  }

  find(id: string): Job | undefined {
    return this.all.get(id);
  }

  stop(id: string): void {
    if (this.running?.id === id) this.running.stop.abort(new Error('stopped'));
  }

  /** @throws Refusal 409 while another goes on */
  start(work: (watch: Watch) => Promise<unknown>): Job {
    if (this.running) throw new Refusal(409, [{ code: 'busy', path: '' }]);
    const id = randomUUID();
    const stop = new AbortController();
    this.running = { id, stop };
    const change = (part: Partial<Job>) => {
      const before = this.all.get(id) ?? { id, state: 'running', done: 0, of: 0 };
      this.all.set(id, { ...before, ...part });
    };
    change({});
    void work({ signal: stop.signal, progress: (done, of) => change({ done, of }) })
      .then(
        (result) => change({ state: 'done', result }),
        (error: unknown) => {
          if (stop.signal.aborted) change({ state: 'stopped' });
          else if (error instanceof Refusal) change({ state: 'failed', problems: error.problems });
          else {
            this.broke(error);
            change({ state: 'failed', problems: [{ code: faultCodeOf(error) ?? 'server-broke', path: '' }] });
          }
        },
      )
      .finally(() => {
        this.running = undefined;
        for (const old of [...this.all.keys()].slice(0, -remembered)) this.all.delete(old);
      });
    return this.all.get(id) as Job;
  }
}
