import type { Problem } from '@puntada/core/craft';

/** Where what is shown stands: with the server, on its way, to be tried again, refused, or overtaken from elsewhere. */
export type SaveState = 'saved' | 'saving' | 'unsaved' | 'refused' | 'stale';

/** What became of something that was sent. */
export type Sent =
  | { readonly revision: number }
  | { readonly problems: readonly Problem[]; readonly fails: 'later' | 'refused' | 'stale'; readonly fresh?: number };

export interface Saved<T> {
  readonly value: T;
  readonly state: SaveState;
  readonly problems: readonly Problem[];
  /** The revision that the next change is made on. */
  readonly revision: number;
}

interface Start<T> {
  readonly value: T;
  readonly revision: number;
  readonly send: (value: T, revision: number) => Promise<Sent>;
  /** ms without a change before it is sent, and between tries. */
  readonly wait?: number;
  readonly again?: number;
}

/**
 * Something that is changed by hand: shown at once, sent a moment later, one change after the other, tried again while
 * the server is away, never over a change made elsewhere. What could not be sent stays what is shown.
 */
export class Saver<T> {
  private now: Saved<T>;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running = false;
  /** What is on its way. */
  private going: Promise<void> = Promise.resolve();
  private readonly listeners = new Set<() => void>();
  private readonly send: Start<T>['send'];
  private readonly wait: number;
  private readonly again: number;
  /** The revision elsewhere, where this one was overtaken. */
  private fresh: number | undefined;

  constructor({ value, revision, send, wait = 400, again = 3000 }: Start<T>) {
    this.now = { value, revision, state: 'saved', problems: [] };
    this.send = send;
    this.wait = wait;
    this.again = again;
  }

  readonly state = (): Saved<T> => this.now;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Whether nobody looks at it any more and nothing of it waits. */
  get idle(): boolean {
    return this.now.state === 'saved' && !this.running && this.timer === undefined && this.listeners.size === 0;
  }

  private set(part: Partial<Saved<T>>): void {
    this.now = { ...this.now, ...part };
    for (const listener of this.listeners) listener();
  }

  readonly change = (value: T): void => {
    const held = this.now.state === 'stale' || this.now.state === 'saving';
    this.set({ value, ...(held ? {} : { state: 'unsaved', problems: [] }) });
    if (this.now.state !== 'stale') this.sendIn(this.wait);
  };

  private sendIn(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.timer = undefined;
      void this.run();
    }, ms);
  }

  /** Sends what waits at once, as before a page is closed. */
  readonly flush = (): void => {
    if (this.timer === undefined) return;
    this.leave();
    void this.run();
  };

  /** Leaves what is not yet sent to a request that carries all of it itself. */
  readonly leave = (): void => {
    clearTimeout(this.timer);
    this.timer = undefined;
  };

  /** Sends after all what was left to another request, which has failed. */
  readonly resume = (): void => {
    if (this.now.state === 'unsaved' && this.timer === undefined) this.sendIn(0);
  };

  /** Sends what is shown over what was changed elsewhere. */
  readonly keepMine = (): void => {
    if (this.now.state !== 'stale' || this.fresh === undefined) return;
    this.set({ revision: this.fresh, state: 'unsaved', problems: [] });
    void this.run();
  };

  /** Leaves what is not yet sent, once what is on its way has arrived. @returns the revision to go on from */
  readonly rest = async (): Promise<number> => {
    this.leave();
    while (this.running) {
      await this.going;
      this.leave();
    }
    return this.now.revision;
  };

  private run(): Promise<void> {
    if (!this.running) this.going = this.sendNow();
    return this.going;
  }

  private async sendNow(): Promise<void> {
    this.running = true;
    this.set({ state: 'saving' });
    const { value, revision } = this.now;
    const sent = await this.send(value, revision);
    this.running = false;
    if ('revision' in sent) {
      const more = this.now.value !== value;
      this.set({ revision: sent.revision, problems: [], state: more ? 'unsaved' : 'saved' });
      if (more) this.sendIn(0);
      return;
    }
    const { problems, fails } = sent;
    this.fresh = sent.fresh;
    this.set({ problems, state: fails === 'later' ? 'unsaved' : fails });
    if (fails === 'later') this.sendIn(this.again);
    else if (fails === 'refused' && this.now.value !== value) this.sendIn(0);
  }
}
