import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { untwistWords } from '../../words/en/advice.ts';
import { planWish } from '../piece/plan.ts';
import { StrandBook } from '../steps/strandBook.ts';
import type { Chart, Construction } from './chart.ts';
import { usualCosts } from './costs.ts';
import { MoveList } from './moves.ts';
import { route } from './route.ts';
import { ballOrder, halfTwists, turnAfter } from './twists.ts';

/** Rows of six stitches, one strand for each, that all hang from the first row to the last. */
function chart(construction: Construction, rows: number, row: readonly number[] = [0, 0, 0, 1, 1, 1]): Chart {
  const colours = new Uint8Array(rows * row.length);
  for (let i = 0; i < colours.length; i++) colours[i] = row[i % row.length] as number;
  return { rows, columns: row.length, colours, colourCount: Math.max(...row) + 1, construction };
}

const twistsOf = (construction: Construction) => {
  const made = chart(construction, 7);
  return halfTwists({ chart: made, moves: new MoveList() });
};
const turns = (construction: Construction) => [0, 1, 2, 3, 4].map((row) => turnAfter(twistsOf(construction), row));

describe('half-twists of the balls', () => {
  it('one at each turn while two colours are attached, none in rounds', () => {
    const plan = must(planWish(sampleWish({ height: { by: 'rows', count: 12 } })));
    const twists = halfTwists(plan.piece.strands);
    // 11 turns in 12 rows, both colours always at hand.
    expect([twists[0], twists[10], twists[11]]).toEqual([1, 11, 11]);
    const cosy = must(planWish(sampleWish({ pattern: { key: 'coil-linen' }, edges: 'whole', ending: 'whole' })));
    expect(Array.from(halfTwists(cosy.piece.strands)).every((count) => count === 0)).toBe(true);
  });

  it('tells how to undo them', () => {
    expect(untwistWords(0)).toContain('not twisted');
    expect(untwistWords(1)).toContain('1 half-twist: turn the work 1 time the other way');
  });

  it('are none where every colour is cut off before the turn', () => {
    const stripes = must(planWish(sampleWish({ pattern: { key: 'tide-marks' }, policy: 'cut-always' })));
    const book = new StrandBook(stripes.piece.strands, stripes.prepared.bound);
    const alone = Array.from({ length: stripes.piece.fabric.courses - 1 }, (_, row) => row).filter(
      (row) => book.hanging(row).length < 2,
    );
    expect(alone.length).toBeGreaterThan(0);
    for (const row of alone) expect([book.twists[row], turnAfter(book.twists, row)]).toEqual([0, undefined]);
  });
});

describe('turning without a twist', () => {
  it('goes one way and the other by turns, so that what one turn twists the next undoes', () => {
    expect(turns('flat')).toEqual(['clockwise', 'anticlockwise', 'clockwise', 'anticlockwise', 'clockwise']);
    expect(turns('turned-rounds')).toEqual(turns('flat'));
  });

  it('counts only where the work is turned: every second row of a pair of meshes, never in rounds of the right side', () => {
    expect(turns('paired')).toEqual([undefined, 'clockwise', undefined, 'anticlockwise', undefined]);
    expect(turns('rounds')).toEqual(new Array(5).fill(undefined));
    expect(turns('right-side')).toEqual(new Array(5).fill(undefined));
  });

  it('does not matter after the last row', () => {
    expect(turnAfter(twistsOf('flat'), 6)).toBeUndefined();
  });
});

describe('where the balls lie', () => {
  it('each on the side of the cloth where its strand is worked; the right hand begins row 1 at its right', () => {
    const made = chart('flat', 4, [0, 0, 1, 1, 2, 2]);
    expect(ballOrder(made, 'right', false)).toEqual([2, 1, 0]);
    expect(ballOrder(made, 'left', false)).toEqual([0, 1, 2]);
  });

  it('in the order of their letters where they are worked all over', () => {
    const made = chart('flat', 4, [1, 0, 1, 0, 1, 0]);
    expect(ballOrder(made, 'right', false)).toEqual([0, 1]);
    expect(ballOrder(made, 'left', false)).toEqual([0, 1]);
  });

  it('are told of those in use, by their letters, and stay where they lie', () => {
    const plan = must(planWish(sampleWish()));
    const book = new StrandBook(plan.piece.strands, plan.prepared.bound);
    expect([0, 1, 6, 7].map((row) => book.balls(row, 'right'))).toEqual(new Array(4).fill(['A', 'B']));
    // Two towers of B in a wide cloth of A, each with a bobbin of its own.
    const row = Array.from({ length: 60 }, (_, column) =>
      (column >= 4 && column < 9) || (column >= 50 && column < 55) ? 1 : 0,
    );
    const towers = new StrandBook(route(chart('flat', 20, row), usualCosts, 'bobbins'), plan.prepared.bound);
    const [right, left] = [towers.balls(4, 'right'), towers.balls(4, 'left')];
    expect(right.filter((letter) => letter.startsWith('B'))).toEqual(['B2', 'B1']);
    expect([...right].reverse()).toEqual(left);
  });
});
