import { patternBook } from '../book/book.ts';
import { printPattern } from '../notation/print.ts';
import { readPattern } from '../notation/read.ts';
import { must } from '../values/problem.ts';
import { drawingOf, patternOf, rowLetters } from './drawing.ts';

const round = new Set(patternBook.filter(({ technique }) => technique === 'wedge-circle').map(({ key }) => key));

describe('a pattern drawn', () => {
  it.each(patternBook.map((pattern) => [pattern.key, pattern] as const))(
    '%s: drawn, written, read, drawn',
    (key, p) => {
      const drawn = drawingOf(p);
      if (round.has(key)) {
        expect(drawn.ok).toBe(false);
        return;
      }
      const drawing = must(drawn);
      const again = must(drawingOf(must(readPattern(printPattern(patternOf(drawing))))));
      expect({ ...again, colours: drawing.colours }).toEqual(drawing);
    },
  );
});

describe('colours of rows that name none', () => {
  it('only rows that wait for the next colour take a turn', () => {
    const row = (colour?: string) => ({ role: 'row' as const, marks: ['sc'], ...(colour ? { colour } : {}) });
    const rows = [row('B'), row('*'), row('*'), row(), row('*')];
    expect(rowLetters({ rows, colours: ['A', 'B'] })).toEqual(['B', 'A', 'B', 'A', 'A']);
    const order = { opening: ['A', 'A'], repeat: ['B', 'C'], closing: ['A'] };
    expect(rowLetters({ rows, colours: ['A', 'B', 'C'], order })).toEqual(['A', 'A', 'B', 'C', 'A']);
  });
});
