import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { rowsLeftWorking } from '../../plan/workings/sizeWorkings.ts';
import { printedWorking } from '../../words/workings/printed.ts';
import { leftWorking, predictedWorking, timeSoFarWorking, usedWorking } from './logWorkings.ts';
import type { Session } from './sessions.ts';

const lines = (working: Parameters<typeof printedWorking>[0]) => {
  const { heading, parts, total } = printedWorking(working, 'cm', 'US');
  return [heading, ...parts.map(({ amount, text }) => `${amount} ${text}`), total.amount];
};

describe('how the numbers of a log come about', () => {
  // Four rows of 2 m and a finishing of 3 m; one row is done, and half of the next.
  const upTo = { metres: [2, 2, 2, 2, 3], now: { rows: 1, runs: 4 }, part: 0.5 };

  it('yarn so far by the plan: the rows done, and the part of the row in hand', () => {
    const working = predictedWorking(upTo);
    expect(working.parts.map(({ amount }) => amount.mid)).toEqual([2, 1]);
    expect(working.total.mid).toBe(3);
    expect(lines(working)).toEqual([
      'How much yarn so far',
      'about 2.0 m 1 row done, by the plan',
      'about 1.0 m the row in hand, by the plan',
      'about 3.0 m',
    ]);
    expect(predictedWorking({ ...upTo, part: 0 }).parts).toHaveLength(1);
  });

  it('yarn to go: of the rows and of the finishing, each a quarter more as the scale says', () => {
    // 8 m are planned, 5 of rows and 3 of finishing; 10 m are told.
    const working = leftWorking(upTo, { low: 8, mid: 10, high: 12, source: 'piece' });
    expect(working?.parts.map(({ code, amount }) => [code, amount.mid])).toEqual([
      ['left-rows', 6.25],
      ['left-finish', 3.75],
    ]);
    expect(
      leftWorking({ ...upTo, now: { rows: 5, runs: 0 }, part: 0 }, { low: 0, mid: 0, high: 0, source: 'piece' }),
    ).toBe(undefined);
  });

  it('yarn by the scale: each ball by its last weighing', () => {
    const yarn = {
      letter: 'A',
      name: 'Oat',
      shade: '#ffffff',
      weight: 4,
      fibre: 'cotton',
      ballMetres: 100,
      ballGrams: 50,
    };
    const weighings = [
      sampleWeighing('A', 5, 45),
      sampleWeighing('A', 9, 40),
      sampleWeighing('A', 20, 49.5, { ball: 2 }),
    ];
    // 10 g and half a gram at 2 m to a gram.
    const working = usedWorking({ weighings, yarn: yarn as Parameters<typeof usedWorking>[0]['yarn'] });
    expect(lines(working)).toEqual([
      'How much yarn so far',
      '20 m ball 1: 50 g less 40 g, at 2.0 m to a gram',
      '1.0 m ball 2: 50 g less 49.5 g, at 2.0 m to a gram',
      '21 m',
    ]);
  });

  it('time so far, session by session, and what the maker corrected', () => {
    const session = (seconds: number, more = {}) => ({ seconds, ...more }) as Session;
    expect(lines(timeSoFarWorking([session(1800), session(5400, { corrected: true })]))).toEqual([
      'How long so far',
      '30 min session 1',
      '1 h 30 min session 2, corrected by you',
      '2 h 0 min',
    ]);
  });

  it('rows left: all less those done', () => {
    expect(lines(rowsLeftWorking(44, 12))).toEqual(['How many are left', '44 in the whole piece', '−12 done', '32']);
    expect(lines(rowsLeftWorking(44, 0))).toEqual(['How many are left', '44 in the whole piece', '44']);
  });
});
