import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { entryLabel, type LogEntry } from '../../records/logEntry.ts';
import { sequenceOfWork } from '../underway/inHand.ts';
import { itemsAt, setAt, toldOfItems } from './items.ts';

/** Three cloths of 44 rows, each with a border of two rounds, washed when all are done. */
const plan = must(
  planWish(
    sampleWish({
      width: { by: 'repeats', count: 9 },
      height: { by: 'repeats', count: 11 },
      pieces: 3,
      border: { rounds: 2, colour: 'B' },
      wash: 'cotton-hot',
    }),
  ),
);
const sequence = sequenceOfWork(plan.prepared, must(thaw(freeze(plan))));
/** Of one: its chain, rows, rounds and ends. */
const one = 1 + 44 + 2 + 1;

const at = (rows: number, runs = 0) => ({ rows, runs });

describe('the items of a set', () => {
  it('stand each for itself: the first is done, the second at row 12, the third to come', () => {
    // The chain of the second, and twelve rows of it.
    const stands = itemsAt(sequence, at(one + 1 + 12));
    expect(stands).toEqual([
      { item: 1, state: 'done', done: one, of: one, rows: 0, rowsOf: 44 },
      { item: 2, state: 'in hand', done: 13, of: one, rows: 12, rowsOf: 44 },
      { item: 3, state: 'to come', done: 0, of: one, rows: 0, rowsOf: 44 },
    ]);
    // A few chains of the first are enough.
    expect(setAt([itemsAt(sequence, at(0, 1))]).inHand).toEqual({ item: 1, rows: 0, rowsOf: 44 });
    expect(setAt([stands, itemsAt(sequence, at(0))])).toEqual({
      items: 6,
      done: 1,
      inHand: { item: 2, rows: 12, rowsOf: 44 },
    });
    expect(setAt([itemsAt(sequence, at(sequence.units.length))])).toEqual({ items: 3, done: 3, inHand: undefined });
  });

  it('come to the whole, wherever it stands: what is for all of them together is of none', () => {
    fc.assert(
      fc.property(fc.nat(sequence.units.length), (units) => {
        const stands = itemsAt(sequence, at(units));
        expect(stands.reduce((sum, { of }) => sum + of, 0)).toBe(sequence.units.length - 1);
        expect(stands.reduce((sum, { done }) => sum + done, 0)).toBe(Math.min(units, sequence.units.length - 1));
        expect(stands.filter(({ state }) => state === 'in hand').length).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('are told of by the log, the last word holding', () => {
    const told = (item: number, at: number, more: object): LogEntry => ({
      ...{ ...entryLabel, kind: 'item', id: crypto.randomUUID(), at, item, whom: '' },
      ...more,
    });
    const found = toldOfItems([told(1, 1, { whom: 'Ada' }), told(2, 2, {}), told(1, 3, { whom: 'Bo', fate: 'given' })]);
    expect([found.get(1)?.whom, found.get(1)?.fate, found.has(2), found.has(3)]).toEqual(['Bo', 'given', true, false]);
  });
});
