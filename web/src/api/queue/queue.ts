import type { Problem } from '@puntada/core/craft';
import type { LogEntry } from '@puntada/core/records';
import { type Position, placeOf, type Tick } from '@puntada/core/work';
import type { Ahead } from './earlier.ts';
import type { Shelf } from './shelf.ts';
import { readWaiting, timeOf, type Waiting } from './waiting.ts';

/** What came of something that was sent: taken, to be tried again later, or refused for good. */
export type Outcome =
  | 'taken'
  | { readonly later: Problem }
  | {
      readonly refused: Problem;
      /** Which of what was sent together it is about, counted from 0; all of it where nothing is told. */
      readonly of?: readonly number[];
    };

/** Carries what waits to the server: ticks of one work together, entries one by one. */
export type Courier = (parcel: readonly [Waiting, ...Waiting[]]) => Promise<Outcome>;

/** What one tab tells the others. */
export type News = { readonly kept: readonly Waiting[] } | { readonly dropped: readonly string[] };

export interface QueueState {
  /** Oldest first. */
  readonly waiting: readonly Waiting[];
  /** Why the last try has to be made again; nothing where it got through. */
  readonly later: Problem | undefined;
  /** Whether what earlier visits left is known. Before it is, no step can be counted from the right place. */
  readonly ready: boolean;
  /** This browser keeps nothing: what waits is lost when the page is closed. */
  readonly unsafe: boolean;
  /** This browser has little room left: soon it may keep nothing. */
  readonly tight: boolean;
}

/** What an earlier version kept in another place. */
export interface Earlier {
  readonly waiting: readonly Waiting[];
  /** The place of the last step of each work. */
  readonly places: ReadonlyMap<string, number>;
}

const nothing: Earlier = { waiting: [], places: new Map() };

const nowhere: Ahead = { put: () => false, remove: () => undefined };

/** Ticks that go to the server at once. */
const most = 400;

/**
 * All that waits for the server: steps, entries of the log, photos. It is kept in the browser before it is sent, shown at
 * once, sent from wherever the maker is in the app, and dropped when the server has it. What is refused stays until the
 * maker has decided. Several tabs share one shelf; each tells the others what it keeps and drops.
 */
export class Queue {
  private now: QueueState = { waiting: [], later: undefined, ready: false, unsafe: false, tight: false };
  private readonly listeners = new Set<() => void>();
  private readonly gone = new Set<string>();
  private places = new Map<string, number>();
  private shelf: Shelf | undefined;
  private courier: Courier | undefined;
  private running: Promise<void> | undefined;
  private readonly tell: (news: News) => void;
  private readonly clock: () => number;
  private readonly ahead: Ahead;
  private readonly bench: () => string | undefined;

  /**
   * @param tell the other tabs @param clock ms since 1970 @param ahead what holds a thing until the shelf has it
   * @param bench the bench that the server has, once it has answered
   */
  constructor(
    tell: (news: News) => void,
    clock: () => number,
    ahead: Ahead = nowhere,
    bench: () => string | undefined = () => undefined,
  ) {
    this.tell = tell;
    this.clock = clock;
    this.ahead = ahead;
    this.bench = bench;
  }

  readonly state = (): QueueState => this.now;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private change(part: Partial<QueueState>): void {
    this.now = { ...this.now, ...part };
    for (const listener of this.listeners) listener();
  }

  private hold(fresh: readonly Waiting[]): void {
    const ids = new Set(fresh.map(({ id }) => id));
    const rest = this.now.waiting.filter(({ id }) => !ids.has(id));
    const known = fresh.filter(({ id }) => !this.gone.has(id));
    this.change({ waiting: [...rest, ...known].sort((a, b) => timeOf(a) - timeOf(b)) });
    for (const each of known) if (each.kind === 'tick') this.advance(each.workId, placeOf(each.tick));
  }

  private advance(workId: string, place: number): void {
    this.places.set(workId, Math.max(place, this.places.get(workId) ?? 0));
  }

  /**
   * Takes up what earlier visits left. @param open the shelf; where it cannot be, what waits is only as safe as the page
   * @param earlier what an earlier version kept elsewhere @returns whether all of it is as safe here as it was there
   */
  async open(open: () => Promise<Shelf>, earlier: Earlier = nothing): Promise<boolean> {
    for (const [workId, place] of earlier.places) this.advance(workId, place);
    this.hold(earlier.waiting);
    try {
      const shelf = await open();
      for (const [workId, place] of await shelf.places()) this.advance(workId, place);
      const stored = (await shelf.all()).flatMap((value) => readWaiting(value) ?? []);
      this.hold(stored);
      this.shelf = shelf;
      this.change({ ready: true });
      // What was done while the shelf was being opened is not on it yet.
      const known = new Set(stored.map(({ id }) => id));
      return await this.keepAll(this.now.waiting.filter(({ id }) => !known.has(id)));
    } catch {
      this.change({ ready: true, unsafe: true });
      return false;
    }
  }

  /** How much room this browser has left. @param tight that it is little */
  room(tight: boolean): void {
    if (tight !== this.now.tight) this.change({ tight });
  }

  /** Another tab has told. */
  hear(news: News): void {
    if ('kept' in news) this.hold(news.kept);
    else this.forget(news.dropped);
  }

  private async keepAll(fresh: readonly Waiting[], last?: { workId: string; place: number }): Promise<boolean> {
    // What another tab has dropped meanwhile does not come back.
    const own = fresh.filter(({ id }) => !this.gone.has(id));
    if (!own.length) return true;
    this.hold(own);
    const held = own.filter((each) => this.ahead.put(each));
    this.tell({ kept: own });
    try {
      if (!this.shelf) return false;
      await this.shelf.put(own, last);
      for (const each of held) this.ahead.remove(each);
      return true;
    } catch {
      // Where the shelf takes nothing, what is held ahead of it stays held.
      if (held.length < own.length) this.change({ unsafe: true });
      return false;
    }
  }

  /**
   * A step of the counter: behind every step that this browser has made or seen, whatever its clock says.
   * @param seen the place of the last step that the server has told of; a server of before tells none
   */
  step(workId: string, from: Position, to: Position, id: string, seen?: number): Tick {
    const at = this.clock();
    const known = this.places.get(workId);
    const place = (known === undefined && seen === undefined ? at : Math.max(known ?? 0, seen ?? 0)) + 1;
    const tick: Tick = { id, at, place, from, to };
    void this.keepAll([{ id, workId, kind: 'tick', tick, bench: this.bench() }], { workId, place }).then(() =>
      this.deliver(),
    );
    return tick;
  }

  /** Keeps an entry of the log. @returns when it is safe */
  async keep(workId: string, entry: LogEntry): Promise<void> {
    await this.keepAll([{ id: entry.id, workId, kind: 'entry', entry, bench: this.bench() }]);
  }

  private forget(ids: readonly string[]): void {
    const dropped = new Set(ids);
    for (const id of dropped) this.gone.add(id);
    for (const each of this.now.waiting) if (dropped.has(each.id)) this.ahead.remove(each);
    this.change({ waiting: this.now.waiting.filter(({ id }) => !dropped.has(id)) });
  }

  /** Drops what the server has, or what the maker has given up. */
  async drop(ids: readonly string[]): Promise<void> {
    this.forget(ids);
    this.tell({ dropped: ids });
    await this.shelf?.remove(ids).catch(() => undefined);
  }

  /** What was refused may be sent again. */
  async allow(ids: readonly string[]): Promise<void> {
    const again = this.now.waiting.filter(({ id }) => ids.includes(id));
    await this.keepAll(again.map((each) => ({ ...each, refused: undefined, bench: this.bench() })));
    await this.deliver();
  }

  /** Sends through this from now on. */
  sendBy(courier: Courier): void {
    this.courier = courier;
  }

  private next(): [Waiting, ...Waiting[]] | undefined {
    const open = this.now.waiting.filter(({ refused }) => !refused);
    const [first] = open;
    if (!first || first.kind === 'entry') return first && [first];
    const ticks = open.filter(({ kind, workId }) => kind === 'tick' && workId === first.workId);
    return [first, ...ticks.slice(1, most)];
  }

  /** Sends what waits, until all is sent or has to be tried again later. */
  deliver(): Promise<void> {
    this.running ??= this.run().finally(() => {
      this.running = undefined;
    });
    return this.running;
  }

  /** What was done at another bench is not given to this one unless the maker says so. */
  private foreign(): readonly Waiting[] {
    const here = this.bench();
    return here ? this.now.waiting.filter(({ bench, refused }) => bench && bench !== here && !refused) : [];
  }

  private async run(): Promise<void> {
    const foreign = this.foreign();
    if (foreign.length)
      await this.keepAll(foreign.map((each) => ({ ...each, refused: { code: 'bench-waits', path: '' } })));
    for (let parcel = this.next(); parcel && this.courier; parcel = this.next()) {
      const outcome = await this.courier(parcel);
      if (outcome === 'taken') {
        if (this.now.later) this.change({ later: undefined });
        await this.drop(parcel.map(({ id }) => id));
      } else if ('later' in outcome) {
        this.change({ later: outcome.later });
        return;
      } else {
        this.change({ later: undefined });
        // What is sound goes again without what was refused.
        const { refused, of } = outcome;
        const those = of?.length ? parcel.filter((_, i) => of.includes(i)) : parcel;
        await this.keepAll(those.map((each) => ({ ...each, refused })));
      }
    }
  }

  /** Sends until it is known what becomes of one of them. */
  async settled(id: string): Promise<Outcome> {
    for (;;) {
      await this.deliver();
      const own = this.now.waiting.find((each) => each.id === id);
      if (!own) return 'taken';
      if (own.refused) return { refused: own.refused };
      if (this.now.later) return { later: this.now.later };
      if (!this.courier) return { later: { code: 'away', path: '' } };
    }
  }
}
