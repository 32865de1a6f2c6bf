import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { patternBook } from '../book/book.ts';
import { evaluate, printCount } from '../patterns/count.ts';
import { techniques } from '../techniques/register.ts';
import { must } from '../values/problem.ts';
import { bindPattern } from './bind.ts';
import { printPattern } from './print.ts';
import { readPattern } from './read.ts';

const page = readFileSync(new URL('../../../../docs/pattern-notation.md', import.meta.url), 'utf8');
const examples = [...page.matchAll(/```pattern\n([\s\S]*?)```/g)].map((match) => match[1] ?? '');

function problemOf(text: string) {
  const read = readPattern(text);
  return read.ok ? undefined : read.problems[0];
}

describe('the notation', () => {
  it('has a worked example of every technique', () => {
    const shown = new Set(examples.map((text) => must(readPattern(text)).technique));
    expect([...shown].sort()).toEqual(techniques.map(({ key }) => key).sort());
  });

  it.each([...examples, ...patternBook.map(printPattern)])(
    'is read, printed and read again without loss: %#',
    (text) => {
      const pattern = must(readPattern(text));
      expect(must(readPattern(printPattern(pattern)))).toEqual(pattern);
      expect(JSON.parse(JSON.stringify(pattern))).toEqual(pattern);
    },
  );

  it.each(examples)('is planned whole from the page: %#', (text) => {
    const pattern = must(readPattern(text));
    const yarn = sampleWish().yarns[0];
    const wish = sampleWish({
      item: 'blanket',
      pattern: { text },
      edges: 'whole',
      ending: 'whole',
      gauge: { from: 'typical' },
      width: { by: 'length', length: '60 cm' },
      height: { by: 'length', length: '60 cm' },
      yarns: pattern.colours.map((letter) => ({ ...(yarn as NonNullable<typeof yarn>), letter })),
    });
    expect(must(planWish(wish)).piece.fabric.courses).toBeGreaterThan(5);
  });

  it('reads counts with named numbers', () => {
    const pattern = must(readPattern(examples[0] ?? ''));
    expect(pattern.rows[0]?.unit.map((run) => run.colour)).toEqual(['A', 'B']);
    expect(evaluate(pattern.across.alike.multiple, { b: 6, r: 1 })).toBe(12);
  });

  it('reads typed run counts as a row', () => {
    const text = (examples[0] ?? '').replace('row r: | bA bB |', 'row: 6A 3B 6A');
    expect(must(readPattern(text)).rows[0]?.unit.map((run) => [printCount(run.count), run.colour])).toEqual([
      ['6', 'A'],
      ['3', 'B'],
      ['6', 'A'],
    ]);
  });

  it('prints every count so that it reads back', () => {
    const term = fc.record({ times: fc.integer({ min: 1, max: 99 }), of: fc.constantFrom('b', 'r', undefined) });
    fc.assert(
      fc.property(fc.array(term, { minLength: 1, maxLength: 4 }), (terms) => {
        const count = { terms: terms.map(({ times, of }) => (of ? { times, of } : { times })) };
        const text = (examples[0] ?? '').replace('across b "blocks"', `across ${printCount(count)} "blocks"`);
        expect(must(readPattern(text)).across.works.multiple).toEqual(count);
      }),
    );
  });
});

describe('a text that cannot be read', () => {
  const good = examples[0] ?? '';
  it.each([
    ['an unknown statement', good.replace('made flat', 'mode flat '), 4, 1, 'Choose one of'],
    ['a missing bar', good.replace('row r: | bA bB |', 'row r: | bA bB'), 12, 15, 'two bars'],
    ['a stitch that is no word', good.replace('row r: | bA bB |', 'row r: | b? bB |'), 12, 11, 'Write runs'],
    ['an unknown technique', good.replace('technique carried', 'technique felted'), 3, 11, 'carried'],
    ['words behind the end', good.replace('read seen ', 'read seen twice '), 11, 11, 'line of its own'],
  ])('%s is named with line, column and a hint', (_what, text, line, column, hint) => {
    const problem = problemOf(text);
    expect(problem?.path).toBe(`line ${line}, column ${column}`);
    expect(told(problem).message).toContain('expected');
    expect(told(problem).hint).toContain(hint);
  });

  it('names a number that was never declared, a colour that is not there, and what is missing', () => {
    expect(told(problemOf(good.replace(/number r.*\n/, ''))).hint).toContain('uses r, which has no number');
    expect(told(problemOf(good.replace('row r: | bA bB |', 'row r: | bA bC |'))).hint).toContain('Add C');
    expect(told(problemOf(good.replace(/up r.*\n/, ''))).message).toContain('up 2');
    expect(told(problemOf(good.replace(/row .*\n/g, ''))).message).toContain('at least one row or a chart');
  });

  it('a counter of wedges stands for nothing in a width, in other techniques, or as a number of its own', () => {
    const wedges = printPattern(patternBook.find((pattern) => pattern.key === 'windlass') as (typeof patternBook)[0]);
    expect(problemOf(wedges)).toBeUndefined();
    for (const [text, where] of [
      [wedges.replace('across n', 'across 6i'), 'The line “across” uses i, which has no number'],
      [wedges.replace('up 1', 'up j'), 'The line “up” uses j, which has no number'],
      [wedges.replace('row:', 'row i:'), 'The number of rows uses i, which has no number'],
      [good.replace('| bA bB |', '| iA bB |'), 'A run uses i, which has no number'],
    ] as const) {
      expect(told(problemOf(text)).hint).toContain(where);
      expect(problemOf(text)?.path).toMatch(/^line \d+/);
    }
    expect(told(problemOf(good.replaceAll('number b', 'number i').replaceAll('b "', 'i "'))).message).toContain(
      'letter',
    );
  });

  it('a chart must be square and must end', () => {
    const chart = examples.find((text) => text.includes('chart')) ?? '';
    expect(told(problemOf(chart.replace('  AABAAA', '  AABAA'))).hint).toContain('has 5');
    expect(told(problemOf(chart.replace('end\n', ''))).hint).toContain('end');
  });
});

describe('binding the numbers of a pattern', () => {
  const check = must(readPattern(examples[0] ?? ''));
  it('puts the maker’s numbers in', () => {
    const bound = must(bindPattern(check, { numbers: { b: 6, r: 5 }, stitch: 'hdc' }));
    expect(bound.across.alike).toEqual({ multiple: 12, extra: 6 });
    expect([bound.repeatStitches, bound.repeatCourses, bound.stitch]).toEqual([12, 10, 'hdc']);
  });

  it.each([
    [{ numbers: { b: 0 } }, 'numbers.b'],
    [{ numbers: { b: 41 } }, 'numbers.b'],
    [{ numbers: { b: 2.5 } }, 'numbers.b'],
    [{ numbers: { q: 3 } }, 'numbers.q'],
    [{ stitch: 'tr' }, 'stitch'],
  ])('refuses %j at %s', (choice, path) => {
    const bound = bindPattern(check, choice as Parameters<typeof bindPattern>[1]);
    expect(bound.ok ? '' : bound.problems[0]?.path).toBe(path);
  });
});
