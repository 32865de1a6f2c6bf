import type { LogEntry } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { MemoryShelf } from '../../test/memoryShelf.ts';
import {
  deliverEntries,
  keepEntry,
  type Taken,
  type WaitingEntry,
  waitingEntries,
  waitingEntriesOf,
  withWaiting,
} from './logOutbox.ts';

const [a, b, c] = ['a', 'b', 'c'].map((end) => `00000000-0000-4000-8000-00000000000${end}`) as [string, string, string];
const pause = (id: string, at: number): LogEntry => ({ ...entryLabel, kind: 'pause', id, at });

function filled(): MemoryShelf {
  const shelf = new MemoryShelf();
  keepEntry(shelf, { workId: 'w', entry: pause(b, 2000) });
  keepEntry(shelf, { workId: 'w', entry: pause(a, 1000) });
  keepEntry(shelf, { workId: 'x', entry: { ...entryLabel, kind: 'note', id: c, at: 500, row: 3, text: 'Kettle.' } });
  return shelf;
}

const idsIn = (shelf: MemoryShelf) => waitingEntries(shelf).map(({ entry }) => entry.id);

describe('entries of the log that wait for the server', () => {
  it('wait in the order they were made, each once, what is damaged left where it is', () => {
    const shelf = filled();
    keepEntry(shelf, { workId: 'w', entry: pause(a, 1000) });
    shelf.setItem('puntada.entry.w.0000000000000001.torn', '{"kind":"pa');
    expect(idsIn(shelf)).toEqual([a, b, c]);
    expect(shelf.getItem('puntada.entry.w.0000000000000001.torn')).toBe('{"kind":"pa');
  });

  it('are told among those of the server, by time, and not twice', () => {
    const told = [pause(c, 1500), pause(a, 1000)];
    expect(withWaiting(told, waitingEntriesOf(filled(), 'w')).map(({ id }) => id)).toEqual([a, c, b]);
  });

  const deliver = async (shelf: MemoryShelf, answers: readonly Taken[]) => {
    const sent: WaitingEntry[] = [];
    const refused = await deliverEntries(shelf, async (each) => {
      sent.push(each);
      return answers[sent.length - 1] as Taken;
    });
    return { sent: sent.map(({ entry }) => entry.id), refused: refused.map(({ entry, why }) => [entry.id, why]) };
  };

  it('are dropped only when they are taken', async () => {
    const shelf = filled();
    expect(await deliver(shelf, ['taken', 'away'])).toEqual({ sent: [a, b], refused: [] });
    expect(idsIn(shelf)).toEqual([b, c]);
  });

  it('that are refused stay, are told, and hold up nothing behind them', async () => {
    const shelf = filled();
    const came = await deliver(shelf, [{ refused: 'No such work.' }, 'taken', 'taken']);
    expect(came).toEqual({ sent: [a, b, c], refused: [[a, 'No such work.']] });
    expect(idsIn(shelf)).toEqual([a]);
  });
});
