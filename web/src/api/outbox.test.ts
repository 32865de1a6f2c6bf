import { MemoryShelf } from '../../test/memoryShelf.ts';
import { dropTicks, keepTick, waitingTicks } from './outbox.ts';

const [a, b, c] = ['a', 'b', 'c'].map((end) => `00000000-0000-4000-8000-00000000000${end}`) as [string, string, string];
const at = (rows: number) => ({ rows, runs: 0 });

describe('ticks that wait for the server', () => {
  it('keep their order even when the clock stands still or is set back', () => {
    const shelf = new MemoryShelf();
    keepTick(shelf, 'w', at(0), at(1), 1000, c);
    keepTick(shelf, 'w', at(1), at(2), 1000, b);
    keepTick(shelf, 'w', at(2), at(3), 400, a);
    expect(waitingTicks(shelf, 'w').map((tick) => tick.to.rows)).toEqual([1, 2, 3]);
  });

  it('are dropped when acknowledged, and only those', () => {
    const shelf = new MemoryShelf();
    const first = keepTick(shelf, 'w', at(0), at(1), 1, a);
    keepTick(shelf, 'w', at(1), at(2), 2, b);
    keepTick(shelf, 'other', at(0), at(1), 3, c);
    dropTicks(shelf, 'w', [first]);
    expect(waitingTicks(shelf, 'w').map((tick) => tick.id)).toEqual([b]);
    expect(waitingTicks(shelf, 'other')).toHaveLength(1);
  });

  it('that were damaged are left alone and not sent', () => {
    const shelf = new MemoryShelf();
    keepTick(shelf, 'w', at(0), at(1), 1, a);
    shelf.setItem('puntada.tick.w.0000000000000002.x', '{"id":"x"');
    expect(waitingTicks(shelf, 'w').map((tick) => tick.id)).toEqual([a]);
    expect(shelf.getItem('puntada.tick.w.0000000000000002.x')).not.toBeNull();
  });

  it('of a work whose name begins alike are not mixed up', () => {
    const shelf = new MemoryShelf();
    keepTick(shelf, 'w', at(0), at(1), 1, a);
    expect(waitingTicks(shelf, 'w1')).toEqual([]);
  });
});
