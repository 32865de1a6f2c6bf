import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { measureParts } from '../../plan/measure/parts.ts';
import { measuringRequest } from '../../plan/piece/piece.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { differenceWords } from '../../words/en/findRow.ts';
import { causeWords } from '../../words/en/slips.ts';
import { findRow, readSeenRow, runsToTap, seenRuns } from './findRow.ts';
import { cellsWorked } from './inHand.ts';
import { oneOff } from './oneOff.ts';
import { costsByCourse, ripBack } from './rip.ts';

const plan = must(
  planWish(
    sampleWish({
      width: { by: 'stitches', count: 36 },
      height: { by: 'rows', count: 44 },
      pattern: { key: 'block-check', numbers: { b: 4, r: 4 } },
    }),
  ),
);
const { fabric, strands } = plan.piece;
const { bound, foundation } = plan.prepared;
const seen = (text: string) => must(readSeenRow(text, 36, ['A', 'B']));
const rowsOf = (last: string, below?: string) =>
  findRow(fabric, bound, seen(last), below ? seen(below) : undefined).map((each) => each.row);

describe('find my row', () => {
  it('a row that begins with A, over one that begins with B, begins a band: rows 9, 17, 25, 33 and 41', () => {
    expect(rowsOf('| 4A 4B | 4A', '| 4B 4A | 4B')).toEqual([9, 17, 25, 33, 41]);
  });

  it('told only how it begins, and of one row only, it may be any of the bands in A', () => {
    // Bands 1, 3, 5 … 11 begin with A: six bands of four rows.
    expect(rowsOf('4A 2B')).toHaveLength(24);
    expect(rowsOf('4C'.replace('C', 'B'))).toHaveLength(20);
  });

  it('tells what is nearest to the counter first: at 24 it is 25, then 17, then 33', () => {
    const near = findRow(fabric, bound, seen('| 4A 4B | 4A'), seen('| 4B 4A | 4B'), 24);
    expect(near.map(({ row }) => row)).toEqual([25, 17, 33, 9, 41]);
  });

  it('says what tells the candidates apart', () => {
    const [first, second] = findRow(fabric, bound, seen('| 4A 4B | 4A'), seen('| 4B 4A | 4B'));
    expect(differenceWords(first?.tells ?? {})).toContain('9 in all');
    expect(differenceWords(second?.tells ?? {})).toContain('17 in all');
    // Told of one row only, its place in its band of four is what a maker can see: row 7 is the third in B.
    const third = findRow(fabric, bound, seen('4B'), undefined).find((each) => each.row === 7);
    expect(differenceWords(third?.tells ?? {})).toBe('row 3 of 4 alike; count the rows: 7 in all');
  });

  it('every row of a figure is found by itself and the row under it, among its own candidates', () => {
    const sail = must(planWish(sampleWish({ pattern: { key: 'lone-sail' }, edges: 'whole', ending: 'whole' })));
    const own = { fabric: sail.piece.fabric, bound: sail.prepared.bound };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: own.fabric.courses - 1 }), (course) => {
        const found = findRow(
          own.fabric,
          own.bound,
          seenRuns(own.fabric, own.bound, course),
          seenRuns(own.fabric, own.bound, course - 1),
        );
        expect(found.map((each) => each.row)).toContain(course + 1);
      }),
    );
  });

  it('offers the runs of the cloth to be tapped: a check of four has two', () => {
    expect(runsToTap(fabric, bound, 8)).toEqual([
      { count: 4, colour: 'A' },
      { count: 4, colour: 'B' },
    ]);
    // Of the many runs of a figure the commonest, told by colour and length.
    const sail = must(planWish(sampleWish({ pattern: { key: 'lone-sail' }, edges: 'whole', ending: 'whole' })));
    const taps = runsToTap(sail.piece.fabric, sail.prepared.bound, 6);
    expect(taps).toHaveLength(6);
    expect(taps.map((each) => each.colour)).toEqual([...taps.map((each) => each.colour)].sort());
  });

  it('refuses a colour that is not in the work, and a row that cannot be read', () => {
    const stray = readSeenRow('4A 4C', 36, ['A', 'B']);
    expect(stray.ok ? '' : told(stray.problems[0]).message).toContain('no colour C');
    expect(readSeenRow('4?', 36, ['A', 'B']).ok).toBe(false);
  });
});

describe('a count that is off by one', () => {
  it('one short at a row end: first the edge, then a change, then a long run', () => {
    const causes = oneOff(fabric, bound, 5, -1).map(causeWords);
    expect(causes[0]?.cause).toContain('last stitch of the row below');
    // Nine blocks: eight changes.
    expect(causes[1]?.look).toContain('8 changes');
    expect(causes.map((each) => each.cure).join(' ')).toContain('Undo');
  });

  it('one too many: the turning chain is suspected first; on a wrong-side row the count itself too', () => {
    expect(oneOff(fabric, bound, 5, 1).map(causeWords)[0]?.cause).toContain('turning chain');
    expect(oneOff(fabric, bound, 6, 1).map(causeWords).at(-1)?.cause).toContain('wrong side');
  });

  it('several at once are no slip but a run', () => {
    expect(oneOff(fabric, bound, 5, -4).map(causeWords)[0]?.cause).toContain('4 stitches');
  });
});

describe('ripping back', () => {
  const request = { ...measuringRequest(plan.prepared, { fabric, strands, foundation }), strands };
  const costs = costsByCourse(request);

  it('from the middle of row 13 to row 8: four whole rows and what is done of the fifth', () => {
    const done = cellsWorked({ fabric, bound, foundation }, { rows: 12, runs: 3 });
    expect(done).toBe(12);
    const cost = ripBack(costs, { rows: 12, runs: 3 }, done, 8);
    expect([cost.rows, cost.cells]).toEqual([4, 4 * 36 + 12]);
    expect(cost.seconds).toBeCloseTo(
      (costs.seconds[8] ?? 0) +
        (costs.seconds[9] ?? 0) +
        (costs.seconds[10] ?? 0) +
        (costs.seconds[11] ?? 0) +
        (costs.seconds[12] ?? 0) / 3,
      6,
    );
  });

  it('a row of 36 sc with eight changes takes 4 + 36 · 3 + 8 · 5 = 152 seconds', () => {
    expect(costs.seconds[4]).toBeCloseTo(152, 9);
  });

  it('all of it comes to all the yarn but the tails', () => {
    const all = ripBack(costs, { rows: 44, runs: 0 }, 0, 0);
    const parts = measureParts(request);
    all.metres.forEach((metres, colour) => {
      const own = parts[colour];
      if (!own) throw new Error('no such colour');
      expect(metres).toBeCloseTo(own.stitches + own.carried + own.bridged + own.chains, 6);
    });
  });
});
