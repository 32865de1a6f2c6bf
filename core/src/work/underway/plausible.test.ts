import { entryLabel, type LogEntry, type Measuring, type Weighing } from '../../records/logEntry.ts';
import { impossibleIn, unlikelyMeasure, unlikelyWeight } from './plausible.ts';

const head = { ...entryLabel, id: '11111111-1111-4111-8111-111111111111', at: 1 };
const measure = (width?: string, height?: string, rows = 20): Measuring => ({
  ...head,
  kind: 'measure',
  position: { rows, runs: 0 },
  width,
  height,
});
const weigh = (change: Partial<Weighing>): Weighing => ({
  ...head,
  kind: 'weigh',
  letter: 'A',
  ball: 1,
  before: 50,
  beforeIsLabel: false,
  after: 40,
  scale: 1,
  position: { rows: 20, runs: 0 },
  ...change,
});
const codes = (problems: readonly { code: string; path: string }[]) =>
  problems.map(({ code, path }) => `${code} ${path}`);

describe('what cannot be is refused', () => {
  it('a width of −3 or 24000, of nothing, or in grams; one of 24, 9 1/2 in or 3 m is none of them', () => {
    const wrong = (text: string) => codes(impossibleIn(measure(text), 'cm'));
    expect(wrong('-3')).toEqual(['length-impossible width']);
    expect(wrong('24000')).toEqual(['length-impossible width']);
    expect(wrong('0')).toEqual(['length-impossible width']);
    expect(wrong('24 g')).toEqual(['unit-not-of-length width']);
    for (const text of ['24', '9 1/2 in', '3 m']) expect(wrong(text)).toEqual([]);
    const end: LogEntry = { ...head, kind: 'end', height: '-1 cm', next: '' };
    expect(codes(impossibleIn(end, 'cm'))).toEqual(['length-impossible height']);
  });

  it('a ball that weighs more than it began, beyond its scale; a label may be a tenth short', () => {
    expect(codes(impossibleIn(weigh({ after: 60 }), 'cm'))).toEqual(['ball-grew after']);
    expect(impossibleIn(weigh({ after: 51 }), 'cm')).toEqual([]);
    expect(impossibleIn(weigh({ after: 54, beforeIsLabel: true }), 'cm')).toEqual([]);
    expect(codes(impossibleIn(weigh({ after: 56, beforeIsLabel: true }), 'cm'))).toEqual(['ball-grew after']);
  });
});

describe('what is unlikely is asked about', () => {
  // 22.5 cm wide; after 20 of 44 rows 11.1 cm high.
  const planned = { width: 225, height: 244.4, rows: 44 };

  it('half or twice the plan, each way, at the row in hand', () => {
    const asked = (width?: string, height?: string, rows?: number) =>
      codes(unlikelyMeasure(measure(width, height, rows), planned, 'cm'));
    expect(asked('22', '11')).toEqual([]);
    expect(asked('46', '11')).toEqual(['measure-unlikely width']);
    expect(asked('22', '5')).toEqual(['measure-unlikely height']);
    expect(asked(undefined, '24.4')).toEqual(['measure-unlikely height']);
    // At the very beginning there is no height to go by.
    expect(asked(undefined, '2', 0)).toEqual([]);
  });

  it('a ball that is heavier than when it was weighed last', () => {
    const first = weigh({ id: '22222222-2222-4222-8222-222222222222', after: 30 });
    expect(codes(unlikelyWeight(weigh({ at: 2, after: 40 }), [first]))).toEqual(['ball-heavier after']);
    expect(unlikelyWeight(weigh({ at: 2, after: 31 }), [first])).toEqual([]);
    expect(unlikelyWeight(weigh({ at: 2, after: 40, ball: 2 }), [first])).toEqual([]);
    // Itself, when it is corrected, is no earlier one.
    expect(unlikelyWeight(weigh({ at: 2, after: 40, id: first.id }), [first])).toEqual([]);
  });
});
