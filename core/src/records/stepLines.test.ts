import fc from 'fast-check';
import { lastTimesIn, ticksInLog } from './answers.ts';
import { stepsIn } from './stepLines.ts';

const number = fc.oneof(fc.nat(), fc.integer({ min: 0, max: 8_640_000_000_000_000 }));
const line = fc.tuple(number, number, fc.nat(400), fc.nat(90), fc.nat(400), fc.nat(90));

describe('steps as lines', () => {
  it('are the steps they were written from', () => {
    fc.assert(
      fc.property(fc.array(line), (lines) => {
        const told = lines.map(([at, place, fromRows, fromRuns, toRows, toRuns]) => ({
          at,
          place,
          from: { rows: fromRows, runs: fromRuns },
          to: { rows: toRows, runs: toRuns },
        }));
        expect(stepsIn(lines.map((numbers) => numbers.join(' ')).join('\n'))).toEqual(told);
      }),
    );
  });

  it('are one step a line', () => {
    expect(stepsIn('1795910400000 17 3 0 4 2')).toEqual([
      {
        at: 1_795_910_400_000,
        place: 17,
        from: { rows: 3, runs: 0 },
        to: { rows: 4, runs: 2 },
      },
    ]);
    expect(stepsIn('')).toEqual([]);
  });
});

describe('the steps of a log', () => {
  const step = (at: number, place = at) => ({ at, place, from: { rows: 1, runs: 0 }, to: { rows: 2, runs: 0 } });
  const waits = step;

  it('are those that are kept and those that wait, each once, by their times', () => {
    const kept = { steps: '30 2 1 0 2 0\n20 3 1 0 2 0' };
    const told = [step(20, 3), step(25, 4), step(30, 2)];
    expect([...ticksInLog({ kept, waiting: [waits(25, 4), waits(30, 2)] })]).toEqual(told);
    // Read as they are, too, they come by their times, and may be asked for twice.
    const torn = ticksInLog({ kept, waiting: [] });
    const even = ticksInLog({ kept: { steps: '20 3 1 0 2 0\n30 2 1 0 2 0' }, waiting: [] });
    for (const each of [torn, torn, even, even]) expect([...each]).toEqual([step(20, 3), step(30, 2)]);
    // As an earlier version answered.
    const ticks = [step(30, 2), step(20, 3)].map((each) => ({ id: '7b1f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', ...each }));
    expect([...ticksInLog({ kept: { ticks }, waiting: [waits(25, 4)] })]).toMatchObject(told);
    expect([...ticksInLog({ kept: {}, waiting: [] })]).toEqual([]);
  });

  it('tell when the last were made, however many there are', () => {
    const lines = (count: number) => Array.from({ length: count }, (_, n) => `${n * 10} ${n} 1 0 2 0`).join('\n');
    expect(lastTimesIn({ kept: { steps: lines(3) }, waiting: [waits(15)] })).toEqual([0, 10, 15, 20]);
    const last = lastTimesIn({ kept: { steps: lines(9000) }, waiting: [] });
    expect([last.length, last[0], last.at(-1)]).toEqual([3000, 60_000, 89_990]);
    expect(lastTimesIn({ kept: {}, waiting: [] })).toEqual([]);
  });
});
