import { entryLabel, type LogEntry } from '@puntada/core/records';
import fc from 'fast-check';
import { MemoryShelf } from '../../../test/memoryShelf.ts';
import { aheadIn, leftByEarlier } from './earlier.ts';
import { type Courier, type News, type Outcome, Queue } from './queue.ts';
import { entriesOf, ticksOf, type Waiting, withWaiting } from './waiting.ts';

const [a, b, c] = ['a', 'b', 'c'].map((end) => `00000000-0000-4000-8000-00000000000${end}`) as [string, string, string];
const at = (rows: number) => ({ rows, runs: 0 });
const note = (id: string, when: number, text = 'Kettle.'): LogEntry => ({
  ...entryLabel,
  kind: 'note',
  id,
  at: when,
  row: 3,
  text,
});
const away: Outcome = { later: { code: 'away', path: '' } };
const refused: Outcome = { refused: { code: 'not-found', path: 'id', facts: { what: 'project' } } };

async function opened(shelf = new MemoryShelf(), clock = () => 1000, tell: (news: News) => void = () => undefined) {
  const queue = new Queue(tell, clock);
  await queue.open(async () => shelf);
  return { queue, shelf };
}

/** A courier that answers in turn, and remembers what it was given. */
function courier(...outcomes: Outcome[]): { carry: Courier; given: string[][] } {
  const given: string[][] = [];
  return {
    given,
    carry: async (parcel) => {
      given.push(parcel.map(({ id }) => id));
      return outcomes.shift() ?? 'taken';
    },
  };
}

const idsIn = (queue: Queue) => queue.state().waiting.map(({ id }) => id);

describe('what waits for the server', () => {
  it('keeps the order of steps even when the clock stands still or is set back', async () => {
    let now = 1000;
    const { queue } = await opened(undefined, () => now);
    queue.step('w', at(0), at(1), c);
    queue.step('w', at(1), at(2), b);
    now = 400;
    queue.step('w', at(2), at(3), a);
    expect(ticksOf(queue.state().waiting, 'w').map((tick) => tick.to.rows)).toEqual([1, 2, 3]);
  });

  it('is there again in the next visit, and later steps come after what the last one gave', async () => {
    const { queue, shelf } = await opened(undefined, () => 5000);
    queue.step('w', at(0), at(1), a);
    await queue.keep('w', note(b, 5001));
    queue.sendBy(courier().carry);
    await queue.deliver();
    // All is sent; the clock of the machine is set back before the next visit.
    const again = (await opened(shelf, () => 10)).queue;
    expect(idsIn(again)).toEqual([]);
    expect(again.step('w', at(1), at(2), c).place).toBe(5002);
  });

  it('counts on from the last step that the server has told of, whatever the clock says', async () => {
    const { queue } = await opened(undefined, () => 9_999_999);
    expect(queue.step('new', at(0), at(1), a, 0).place).toBe(1);
    expect(queue.step('new', at(1), at(2), b, 1).place).toBe(2);
    // Another device has made three more meanwhile.
    expect(queue.step('new', at(5), at(6), c, 5).place).toBe(6);
  });

  it('is not mixed up between works', async () => {
    const { queue } = await opened();
    queue.step('w', at(0), at(1), a);
    expect(ticksOf(queue.state().waiting, 'w1')).toEqual([]);
    await queue.keep('w1', note(b, 7));
    expect([entriesOf(queue.state().waiting, 'w'), entriesOf(queue.state().waiting, 'w1').length]).toEqual([[], 1]);
  });

  it('goes out oldest first, the steps of one work together', async () => {
    const { queue } = await opened();
    await queue.keep('w', note(c, 10));
    queue.step('w', at(0), at(1), a);
    queue.step('w', at(1), at(2), b);
    const { carry, given } = courier();
    queue.sendBy(carry);
    await queue.deliver();
    expect(given).toEqual([[c], [a, b]]);
    expect(idsIn(queue)).toEqual([]);
  });

  it('stays while the server is away, and nothing behind it is tried', async () => {
    const { queue, shelf } = await opened();
    await queue.keep('w', note(a, 1));
    await queue.keep('w', note(b, 2));
    const { carry, given } = courier('taken', away);
    queue.sendBy(carry);
    await queue.deliver();
    expect([given, idsIn(queue), [...shelf.kept.keys()]]).toEqual([[[a], [b]], [b], [b]]);
    expect(queue.state().later).toEqual({ code: 'away', path: '' });
    await queue.deliver();
    expect([idsIn(queue), queue.state().later]).toEqual([[], undefined]);
  });

  it('that is refused stays with its reason over visits, holds up nothing, and goes out once it may', async () => {
    const { queue, shelf } = await opened();
    for (const each of [note(a, 1), note(b, 2)]) await queue.keep('w', each);
    queue.sendBy(courier(refused, 'taken').carry);
    await queue.deliver();
    const { queue: later } = await opened(shelf);
    expect(later.state().waiting).toMatchObject([{ id: a, refused: { code: 'not-found' } }]);
    const { carry, given } = courier();
    later.sendBy(carry);
    await later.deliver();
    expect(given).toEqual([]);
    await later.allow([a]);
    expect([given, shelf.kept.size]).toEqual([[[a]], 0]);
  });

  it('tells whoever waits for it what became of it', async () => {
    const { queue } = await opened();
    queue.sendBy(courier('taken', refused, away).carry);
    const settle = async (entry: LogEntry) => {
      await queue.keep('w', entry);
      return queue.settled(entry.id);
    };
    expect([await settle(note(a, 1)), await settle(note(b, 2)), await settle(note(c, 3))]).toEqual([
      'taken',
      refused,
      away,
    ]);
  });

  it('that was damaged is left on the shelf and not sent', async () => {
    const shelf = new MemoryShelf();
    const torn = { id: 'x', workId: 'w', kind: 'tick', tick: { id: 'x' } };
    shelf.kept.set('x', torn);
    const { queue } = await opened(shelf);
    queue.sendBy(courier().carry);
    await queue.deliver();
    expect([idsIn(queue), shelf.kept.get('x')]).toEqual([[], torn]);
  });

  it('that a newer version left is kept as it is', async () => {
    const shelf = new MemoryShelf();
    const newer = {
      id: a,
      workId: 'w',
      kind: 'entry',
      entry: { format: 'puntada-entry', version: 9, id: a, song: 'La' },
    };
    shelf.kept.set(a, newer);
    const { queue } = await opened(shelf);
    expect([idsIn(queue), shelf.kept.get(a)]).toEqual([[], newer]);
  });

  it('is still sent where the browser keeps nothing, and that is told', async () => {
    const queue = new Queue(
      () => undefined,
      () => 1,
    );
    await queue.open(() => Promise.reject(new Error('no database in this window')));
    await queue.keep('w', note(a, 1));
    expect([queue.state().unsafe, idsIn(queue)]).toEqual([true, [a]]);
    queue.sendBy(courier().carry);
    expect(await queue.settled(a)).toBe('taken');
    const { queue: other, shelf } = await opened();
    shelf.full = true;
    await other.keep('w', note(b, 2));
    expect([other.state().unsafe, idsIn(other)]).toEqual([true, [b]]);
  });

  it('goes on without what was refused: the sound steps behind it are taken', async () => {
    const { queue } = await opened();
    const { carry, given } = courier({ refused: { code: 'tick-outside', path: 'ticks.1.to' }, of: [1] });
    queue.step('w', at(0), at(1), a);
    queue.step('w', at(1), at(99), b);
    queue.step('w', at(1), at(2), c);
    queue.sendBy(carry);
    await queue.deliver();
    expect(given).toEqual([
      [a, b, c],
      [a, c],
    ]);
    expect(queue.state().waiting.map(({ id, refused: why }) => [id, why?.code])).toEqual([[b, 'tick-outside']]);
  });

  it('tells that there is little room as soon as it is known', async () => {
    const { queue } = await opened();
    let told = 0;
    queue.subscribe(() => told++);
    queue.room(true);
    queue.room(true);
    expect([queue.state().tight, told]).toEqual([true, 1]);
    queue.room(false);
    expect(queue.state().tight).toBe(false);
  });

  it('counts a step made before the shelf was open among the others', async () => {
    const shelf = new MemoryShelf();
    const first = await opened(shelf);
    first.queue.step('w', at(0), at(1), a);
    const queue = new Queue(
      () => undefined,
      () => 2000,
    );
    queue.step('w', at(1), at(2), b);
    await queue.open(async () => shelf);
    expect(idsIn(queue)).toEqual([a, b]);
    expect([...shelf.kept.keys()].sort()).toEqual([a, b]);
  });
});

describe('a shelf that takes its time to open', () => {
  it('keeps what is done meanwhile, and what an earlier version left, before any step is counted', async () => {
    const shelf = new MemoryShelf();
    const queue = new Queue(
      () => undefined,
      () => 10,
    );
    let open = (_shelf: MemoryShelf) => {};
    const opening = new Promise<MemoryShelf>((done) => {
      open = done;
    });
    const left: Waiting = { id: a, workId: 'w', kind: 'tick', tick: { id: a, at: 700, from: at(0), to: at(1) } };
    const taken = queue.open(() => opening, { waiting: [left], places: new Map([['w', 900]]) });
    await queue.keep('w', note(b, 20));
    expect(queue.state().ready).toBe(false);
    open(shelf);
    expect(await taken).toBe(true);
    expect([queue.state().ready, [...shelf.kept.keys()].sort()]).toEqual([true, [a, b]]);
    expect(queue.step('w', at(1), at(2), c).place).toBe(901);
  });

  it('says where what was left is not safe on it', async () => {
    const shelf = new MemoryShelf();
    shelf.full = true;
    const queue = new Queue(
      () => undefined,
      () => 10,
    );
    const left: Waiting = { id: a, workId: 'w', kind: 'entry', entry: note(a, 1) };
    expect(await queue.open(async () => shelf, { waiting: [left], places: new Map() })).toBe(false);
  });
});

describe('a page that is left before the shelf has what was done', () => {
  /** A browser's storage that is written at once. */
  function written() {
    const kept = new Map<string, string>();
    const storage = {
      get length() {
        return kept.size;
      },
      key: (i: number) => [...kept.keys()][i] ?? null,
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => void kept.set(key, text),
      removeItem: (key: string) => void kept.delete(key),
    };
    return { kept, storage, ahead: aheadIn(storage) };
  }

  it('leaves its step and its note for the next page, which has them once', async () => {
    const { kept, storage, ahead } = written();
    const shelf = new MemoryShelf();
    const left = new Queue(
      () => undefined,
      () => 1000,
      ahead,
    );
    await left.open(async () => ({ ...shelf, put: () => new Promise<void>(() => {}) }));
    left.step('w', at(0), at(1), a);
    void left.keep('w', note(b, 1001));
    // Here the page is gone: its shelf never took them.
    expect(shelf.kept.size).toBe(0);
    const queue = new Queue(
      () => undefined,
      () => 1000,
      ahead,
    );
    const { waiting, keys } = leftByEarlier(storage);
    expect(await queue.open(async () => shelf, { waiting, places: new Map() })).toBe(true);
    expect([idsIn(queue), [...shelf.kept.keys()].sort(), kept.size]).toEqual([[a, b], [a, b], 0]);
    expect(keys).toHaveLength(2);
    expect(queue.step('w', at(1), at(2), c).place).toBe(1002);
  });

  it('holds nothing twice: what the shelf has, or the server, is held there no more', async () => {
    const { kept, ahead } = written();
    const shelf = new MemoryShelf();
    const queue = new Queue(
      () => undefined,
      () => 1000,
      ahead,
    );
    await queue.open(async () => shelf);
    await queue.keep('w', note(a, 1));
    expect(kept.size).toBe(0);
    shelf.full = true;
    await queue.keep('w', note(b, 2));
    // The shelf is full, and yet it is safe.
    expect([kept.size, queue.state().unsafe]).toEqual([1, false]);
    queue.sendBy(courier().carry);
    await queue.deliver();
    expect(kept.size).toBe(0);
  });

  it('says so where neither takes it', async () => {
    const full = {
      setItem: () => {
        throw new Error('full');
      },
      removeItem: () => undefined,
    };
    const shelf = new MemoryShelf();
    shelf.full = true;
    const queue = new Queue(
      () => undefined,
      () => 1000,
      aheadIn(full),
    );
    await queue.open(async () => shelf);
    await queue.keep('w', note(a, 1));
    expect(queue.state().unsafe).toBe(true);
  });
});

describe('another bench', () => {
  it('is not given what was done at this one, until the maker says so', async () => {
    const shelf = new MemoryShelf();
    const at1 = async (bench: string) => {
      const queue = new Queue(
        () => undefined,
        () => 1000,
        undefined,
        () => bench,
      );
      await queue.open(async () => shelf);
      return queue;
    };
    const here = await at1('one');
    here.step('w', at(0), at(1), a);
    await here.keep('w', note(b, 1001));
    const there = await at1('two');
    const { carry, given } = courier();
    there.sendBy(carry);
    await there.deliver();
    expect([given, there.state().waiting.map(({ refused }) => refused?.code)]).toEqual([
      [],
      ['bench-waits', 'bench-waits'],
    ]);
    await there.allow([a]);
    expect([given, idsIn(there)]).toEqual([[[a]], [b]]);
  });
});

describe('two tabs on one shelf', () => {
  async function tabs(outcomes: Outcome[] = []) {
    const shelf = new MemoryShelf();
    const all: Queue[] = [];
    const { carry, given } = courier(...outcomes);
    for (const i of [0, 1]) {
      const { queue } = await opened(
        shelf,
        () => 1000,
        (news) => all[1 - i]?.hear(news),
      );
      all.push(queue);
    }
    return { one: all[0] as Queue, two: all[1] as Queue, shelf, carry, given };
  }

  it('see one another’s steps, and count on from them', async () => {
    const { one, two } = await tabs();
    one.step('w', at(0), at(1), a);
    const second = two.step('w', at(1), at(2), b);
    expect(second.place).toBe(1002);
    expect([idsIn(one), idsIn(two)]).toEqual([
      [a, b],
      [a, b],
    ]);
  });

  it('drop what either of them has sent', async () => {
    const { one, two, shelf, carry } = await tabs();
    one.step('w', at(0), at(1), a);
    two.sendBy(carry);
    await two.deliver();
    expect([idsIn(one), idsIn(two), shelf.kept.size]).toEqual([[], [], 0]);
  });

  it('never bring back what was dropped, in whatever order the news comes', () => {
    const kept: Waiting = { id: a, workId: 'w', kind: 'entry', entry: note(a, 1) };
    const queue = new Queue(
      () => undefined,
      () => 1,
    );
    queue.hear({ dropped: [a] });
    queue.hear({ kept: [kept] });
    expect(idsIn(queue)).toEqual([]);
  });
});

describe('whatever the server does', () => {
  it('everything is taken once it answers, and nothing before is lost', async () => {
    const outcomes = fc.array(fc.constantFrom<Outcome>('taken', away), { maxLength: 30 });
    await fc.assert(
      fc.asyncProperty(outcomes, fc.integer({ min: 1, max: 12 }), async (script, steps) => {
        const { queue, shelf } = await opened();
        const had = new Set<string>();
        const answers = [...script];
        queue.sendBy(async (parcel) => {
          const outcome = answers.shift() ?? 'taken';
          if (outcome === 'taken') for (const { id } of parcel) had.add(id);
          return outcome;
        });
        const ids = Array.from({ length: steps }, (_, i) => `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`);
        for (const [i, id] of ids.entries()) {
          queue.step('w', at(i), at(i + 1), id);
          await queue.deliver();
          // At every moment each step is either with the server or on the shelf.
          for (const each of ids.slice(0, i + 1)) expect(had.has(each) || shelf.kept.has(each)).toBe(true);
        }
        while (queue.state().waiting.length) await queue.deliver();
        expect([...had].sort()).toEqual(ids);
      }),
      { numRuns: 60 },
    );
  });
});

describe('what waits among what the server told', () => {
  it('is told by time, and not twice', () => {
    const told = [note(c, 1500), note(a, 1000)];
    expect(withWaiting(told, [note(a, 1000), note(b, 2000)]).map(({ id }) => id)).toEqual([a, c, b]);
  });
});
