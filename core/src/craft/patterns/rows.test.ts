import { patternBook } from '../book/book.ts';
import { printPattern } from '../notation/print.ts';
import { readPattern } from '../notation/read.ts';
import { must } from '../values/problem.ts';
import { repeatedRows } from './rows.ts';

describe('the rows that repeat', () => {
  it('are the same ones each time they are asked for, so that what is found of a row is found once', () => {
    for (const pattern of patternBook) expect(repeatedRows(pattern)).toBe(repeatedRows(pattern));
  });

  it('are read from the right edge of a chart, its lowest line first', () => {
    const chart = patternBook.find((each) => each.chart.length > 1);
    if (!chart) throw new Error('no pattern of the book is a chart');
    const again = must(readPattern(printPattern(chart)));
    // Another pattern with the same chart has rows of its own, alike in all they say.
    expect(repeatedRows(again)).not.toBe(repeatedRows(chart));
    expect(repeatedRows(again)).toEqual(repeatedRows(chart));
    const [first] = repeatedRows(chart);
    const drawn = (chart.chart.at(-1) as string).split('|');
    const unit = drawn.length === 3 ? drawn[1] : drawn[0];
    expect(first?.unit[0]?.colour).toBe(unit?.at(-1));
  });
});
