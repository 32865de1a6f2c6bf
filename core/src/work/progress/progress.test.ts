import fc from 'fast-check';
import { afterRow, afterRun, backRun, type Position, reached, type Tick } from './progress.ts';

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
