import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { secondsIn } from '../../plan/pace/hours.ts';
import { unknownPace } from '../../plan/pace/ownPace.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { endsAtText } from '../../words/en/lasting.ts';
import {
  cellsWorked,
  costsOfWork,
  foretoldHours,
  handworkOfRows,
  metresToEnd,
  partWorked,
  sessionsOfWork,
} from './inHand.ts';
import { logTimes } from './logTimes.ts';

/** 36 stitches and 44 rows of nine runs, with a border of two rounds in B. */
const plan = must(
  planWish(
    sampleWish({
      width: { by: 'repeats', count: 9 },
      height: { by: 'repeats', count: 11 },
      border: { rounds: 2, colour: 'B' },
    }),
  ),
);
const cloth = must(thaw(freeze(plan)));
const costs = costsOfWork(plan.prepared, cloth);
const at = (rows: number, runs = 0) => ({ rows, runs });

describe('a work in hand', () => {
  it('has the cells of the runs that are done, in either direction of the row', () => {
    expect([at(0), at(0, 1), at(0, 8), at(1, 3), at(44)].map((each) => cellsWorked(cloth, each))).toEqual([
      0, 4, 32, 12, 0,
    ]);
    expect(partWorked(costs, at(1, 3), 12)).toBeCloseTo(1 / 3, 12);
    expect(partWorked(costs, at(44), 0)).toBe(0);
  });

  it('still takes the rest of its row and all rows after it: 152 s each', () => {
    // Row 1 turns and changes like any other.
    expect(secondsIn(handworkOfRows(costs, at(40), 0))).toBeCloseTo(4 * 152, 6);
    expect(secondsIn(handworkOfRows(costs, at(40, 3), 12))).toBeCloseTo(4 * 152 - 152 / 3, 6);
    expect(secondsIn(handworkOfRows(costs, at(44), 0))).toBe(0);
    // 36 sc of 3 s, eight changes of 5 s, a turn of 4 s.
    expect([...handworkOfRows(costs, at(43), 0)].sort()).toEqual([
      ['change', 40],
      ['sc', 108],
      ['turn', 4],
    ]);
  });

  it('is foretold its hours row by row, by the pace it is planned with', () => {
    const hours = foretoldHours(costs, unknownPace);
    expect([hours.length, hours[0]]).toEqual([45, 0]);
    expect(hours[10]).toBeCloseTo((10 * 152) / 3600, 9);
    // A hand of 1.5 that takes twice as long for a turn as for the rest of what it does.
    const act = (name: 'sc' | 'turn', factor: number) => ({ act: name, factor, sd: 0.1, share: 0.5 });
    const slow = foretoldHours(costs, { ratio: 1.5, sd: 0.1, acts: [act('sc', 1), act('turn', 2)] });
    expect(slow[1]).toBeCloseTo((1.5 * (108 + 40 + 2 * 4)) / 3600, 9);
  });

  it('takes its finishing last, of the colour that it is in', () => {
    const [border] = plan.piece.finish;
    expect(border).toMatchObject({ part: 'border', colour: 1 });
    expect([metresToEnd(costs, 0).at(-1), metresToEnd(costs, 1).at(-1)]).toEqual([0, border?.metres]);
    expect(metresToEnd(costs, 1)).toHaveLength(45);
  });

  it('reads steps to rows that its plan no longer has', () => {
    const tick = { id: 'a', at: 1_000_000, from: at(43), to: at(58, 4) };
    expect(sessionsOfWork(cloth, costs, [tick])).toHaveLength(1);
  });

  it('tells from its steps its sessions, the line of its rows and when the last was made', () => {
    // Rows of 152 s: one at first, the next 200 s later, one more after half an hour's pause.
    const [first, pause] = [10_000_000, 1_800_000];
    const times = [first, first + 200_000, first + 200_000 + pause];
    const ticks = times.map((time, row) => ({ id: `${row}`, at: time, from: at(row), to: at(row + 1) }));
    const { sessions, line, lastStep, pace } = logTimes(cloth, costs, ticks, { pauses: [], corrected: [] });
    // Before the first step of a sitting the clock ran for nobody: it counts as long as a steady hand takes.
    expect(sessions).toEqual([
      {
        from: first - 152_000,
        to: first + 200_000,
        seconds: 352,
        expected: 304,
        rows: 2,
        takenOut: 0,
        ratio: 200 / 152,
      },
      expect.objectContaining({ seconds: 152, rows: 1, ratio: undefined }),
    ]);
    expect(line).toEqual([0, 152, 352, 504].map((seconds, row) => ({ hours: expect.closeTo(seconds / 3600, 9), row })));
    expect([lastStep, pace.acts.length > 0]).toEqual([times[2], true]);
    // Said by the maker to have taken ten minutes: the line goes by it.
    const corrected = [{ of: first, minutes: 10 }];
    const said = logTimes(cloth, costs, ticks, { pauses: [], corrected });
    expect(said.line.at(-1)?.hours).toBeCloseTo((600 + 152) / 3600, 9);
    expect(logTimes(cloth, costs, [], { pauses: [], corrected: [] })).toMatchObject({
      sessions: [],
      lastStep: undefined,
    });
  });

  it('tells where a yarn ends, before its last row or after it', () => {
    const on = { rows: 44, sequence: undefined, item: 'dishcloth' };
    expect(endsAtText({ low: 31, high: 36 }, on)).toBe('between rows 31 and 36');
    expect(endsAtText({ low: 41, high: 45 }, on)).toBe('between row 41 and the end');
    expect(endsAtText({ low: 45, high: 45 }, on)).toBe('in the finishing');
  });
});
