import fc from 'fast-check';
import { afterRow, afterRun, backRun, type Position, placeOf, reached, type Tick } from './progress.ts';

let made = 0;
function tick(at: number, from: Position, to: Position): Tick {
  return { id: `t${made++}`, at, from, to };
}
const p = (rows: number, runs = 0): Position => ({ rows, runs });

describe('the counter', () => {
  it('goes run by run and row by row, and no further than the piece', () => {
    expect(afterRun(p(0, 0), 9, 44)).toEqual(p(0, 1));
    expect(afterRun(p(0, 8), 9, 44)).toEqual(p(1));
    expect(afterRow(p(3, 4), 44)).toEqual(p(4));
    expect(afterRun(p(44), 9, 44)).toBeUndefined();
    expect(afterRow(p(44), 44)).toBeUndefined();
  });

  it('goes back over a row’s end', () => {
    expect(backRun(p(2, 3), 9)).toEqual(p(2, 2));
    expect(backRun(p(2, 0), 9)).toEqual(p(1, 8));
    expect(backRun(p(0, 0), 9)).toBeUndefined();
  });
});

describe('merging ticks', () => {
  const row = (at: number, n: number) => tick(at, p(n), p(n + 1));

  it('two devices that tick the same row count it once', () => {
    expect(reached([row(1, 0), row(2, 0), row(3, 1)])).toEqual(p(2));
  });

  it('a step back is taken, and what follows counts from there', () => {
    expect(reached([row(1, 0), row(2, 1), tick(3, p(2), p(1)), row(4, 1)])).toEqual(p(2));
    expect(reached([row(1, 0), row(2, 1), tick(3, p(2), p(1))])).toEqual(p(1));
  });

  it('a step back made without knowing that another device went on does not undo its rows', () => {
    expect(reached([row(1, 0), row(2, 1), row(3, 2), tick(4, p(1), p(0, 3))])).toEqual(p(3));
  });

  it('does not depend on the order in which ticks come in, nor on how often', () => {
    const position = fc.record({ rows: fc.nat(20), runs: fc.nat(9) });
    const ticks = fc.uniqueArray(fc.record({ id: fc.uuid(), at: fc.nat(50), from: position, to: position }), {
      selector: (each) => each.id,
      maxLength: 30,
    });
    fc.assert(
      fc.property(ticks, fc.infiniteStream(fc.nat()), (all, noise) => {
        const shuffled = [...all, ...all.slice(0, 5)]
          .map((each) => ({ each, key: noise.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ each }) => each);
        expect(reached(shuffled)).toEqual(reached(all));
      }),
    );
  });

  it('loses no row: forward ticks alone end at the furthest', () => {
    const forward = fc.record({ id: fc.uuid(), at: fc.nat(50), rows: fc.nat(40) });
    fc.assert(
      fc.property(fc.uniqueArray(forward, { selector: (each) => each.id, minLength: 1 }), (all) => {
        const ticks = all.map(({ id, at, rows }) => ({ id, at, from: p(rows), to: p(rows + 1) }));
        expect(reached(ticks).rows).toBe(Math.max(...all.map((each) => each.rows)) + 1);
      }),
    );
  });
});

describe('devices whose clocks differ', () => {
  const day = 86_400_000;
  const now = 1_790_000_000_000;
  /** How far each of three clocks is off, ms: up to a day, or in another age. */
  const skew = fc.oneof(fc.integer({ min: -day, max: day }), fc.constantFrom(-now, 253_000_000_000_000));
  const skews = fc.tuple(skew, skew, skew);
  const turn = fc.record({ device: fc.nat(2), by: fc.constantFrom(1, 1, 1, -1, -3) });

  it('go on from one another: the work stands where the last step led, and back means back', () => {
    fc.assert(
      fc.property(skews, fc.array(turn, { maxLength: 40 }), (clocks, turns) => {
        const all: Tick[] = [];
        turns.forEach(({ device, by }, i) => {
          // It has seen all that the others did.
          const from = reached(all);
          const to = p(Math.max(0, from.rows + by));
          const place = Math.max(0, ...all.map(placeOf)) + 1;
          all.push({ id: `t${(i * 7919) % 1000}`, at: now + i * 60_000 + (clocks[device] as number), place, from, to });
          expect(reached(all)).toEqual(to);
        });
      }),
    );
  });

  it('lose no row of any of them where they worked apart and went only on', () => {
    fc.assert(
      fc.property(skews, fc.array(fc.nat(2), { minLength: 1, maxLength: 30 }), (clocks, turns) => {
        const own: Tick[][] = [[], [], []];
        turns.forEach((device, i) => {
          const made = own[device] as Tick[];
          const from = reached(made);
          const at = now + i * 60_000 + (clocks[device] as number);
          made.push({ id: `t${i}`, at, place: made.length + 1, from, to: p(from.rows + 1) });
        });
        expect(reached(own.flat()).rows).toBe(Math.max(...own.map((made) => made.length)));
      }),
    );
  });

  it('keep the meaning of steps made before there were places, even of one dated in a far year', () => {
    const old = [tick(1000, p(0), p(1)), tick(8.64e15, p(1), p(2))];
    const back = { ...tick(now, p(2), p(1)), place: Math.max(...old.map(placeOf)) + 1 };
    expect(reached([...old, back])).toEqual(p(1));
  });
});
