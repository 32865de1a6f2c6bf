import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { readPatternJson } from '../../records/pattern.ts';
import { givenRowsWords, givenWords } from '../../words/en/given.ts';
import { likelySlipWords } from '../../words/en/likelySlips.ts';
import { patternBook } from '../book/book.ts';
import { findFoundation } from '../foundation/foundation.ts';
import { must } from '../values/problem.ts';
import { bindPattern } from './bind.ts';
import { checkGiven, checkGivenRows, readMultiple } from './given.ts';
import { printPattern } from './print.ts';
import { readPattern, readTypedRow } from './read.ts';
import { likelySlips, type PlainRun } from './slips.ts';
import { sumProblems } from './sums.ts';

const sc = findFoundation('sc-2nd') as NonNullable<ReturnType<typeof findFoundation>>;
const dc = findFoundation('dc-4th') as NonNullable<ReturnType<typeof findFoundation>>;

function runs(text: string): PlainRun[] {
  return text.split(' ').map((run) => ({ count: Number.parseInt(run, 10), colour: run.slice(-1) }));
}

describe('patterns as text and as JSON', () => {
  it.each(patternBook.map((pattern) => [pattern.key, pattern] as const))(
    '%s goes both ways without loss',
    (_key, pattern) => {
      expect(must(readPatternJson(JSON.stringify(pattern)))).toEqual(pattern);
      expect(must(readPattern(printPattern(pattern)))).toEqual(pattern);
    },
  );

  it('JSON that the notation refuses is refused too', () => {
    const pattern = patternBook[0] as (typeof patternBook)[number];
    const stray = readPatternJson(JSON.stringify({ ...pattern, colours: ['A'], fewestColours: 1, mostColours: 1 }));
    expect(stray.ok ? '' : told(stray.problems[0]).hint).toContain('Add B');
    const odd = readPatternJson(JSON.stringify(pattern, null, 2).replace('"seen"', '"sideways"'));
    expect(odd.ok ? '' : odd.problems[0]?.path).toBe('read');
  });
});

describe('a typed row', () => {
  it('is read from run counts', () => {
    expect(must(readTypedRow('6A 3B 6A')).unit.map((run) => run.colour)).toEqual(['A', 'B', 'A']);
    expect(must(readTypedRow('2A | 4B 4A | 2A')).start).toHaveLength(1);
    const wrong = readTypedRow('6A 3? 6A');
    expect(wrong.ok ? '' : wrong.problems[0]?.path).toBe('line 1, column 5');
    for (const [huge, column] of [
      ['6A 99999999999B', 4],
      ['10001A', 1],
      ['| 0A |', 7],
    ] as const) {
      const read = readTypedRow(huge);
      expect(read.ok ? '' : read.problems[0]?.path).toBe(`line 1, column ${column}`);
    }
    const named = readTypedRow('6A bB 6A');
    expect(named.ok ? '' : told(named.problems[0]).message).toContain('a number instead of b');
  });

  it('that is one short is refused with its row, its sum and what the row below left', () => {
    const text = printPattern(patternBook.find((pattern) => pattern.key === 'spires') as (typeof patternBook)[number]);
    const short = must(readPattern(text.replace('row: 12A | 4B 10A | 1A', 'row: 12A | 4B 9A | 1A')));
    expect(sumProblems(must(bindPattern(short)))[0]).toMatchObject({
      path: 'row 3',
      code: 'row-sum',
      facts: { row: 3, sum: 13, left: 14 },
    });
  });
});

describe('a pattern whose numbers run away', () => {
  it('is refused before it is spread, with its row', () => {
    const check = must(readPattern(printPattern(patternBook[0] as (typeof patternBook)[number])));
    const named = (count: number) => ({ times: count, of: 'b' });
    const row = check.rows[0] as (typeof check.rows)[number];
    const wide = { ...check, rows: [{ ...row, unit: [{ count: { terms: [named(10_000)] }, colour: 'A' }] }] };
    const bound = bindPattern(wide, { numbers: { b: 3 } });
    expect(bound.ok ? '' : told(bound.problems[0]).message).toContain('Row 1');
    const high = { ...check, rows: [{ ...row, courses: { terms: [named(10_000)] } }] };
    expect(bindPattern(high, { numbers: { b: 3 } }).ok).toBe(false);
  });
});

describe('likely slips', () => {
  it('a row that breaks the steady growth of its neighbours is pointed out, with what would go with them', () => {
    const rows = ['9A 1B 9A', '8A 3B 8A', '7A 4B 8A', '6A 7B 6A', '5A 9B 5A'].map(runs);
    expect(likelySlips(rows).map(likelySlipWords)).toEqual([
      'Row 3: run 2 is 4B, but the rows around it lead to 5B.',
      'Row 3: run 3 is 8A, but the rows around it lead to 7A.',
    ]);
  });

  it('a row that is not the same from both ends between rows that are', () => {
    const rows = ['4A 2B 4A', '3A 1B 6A', '5A 5A'].map(runs);
    expect(likelySlips(rows)).toEqual([
      {
        row: 2,
        run: 1,
        count: 3,
        colour: 'A',
      },
    ]);
  });

  it('says nothing of a figure that grows and is mirrored throughout', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: 1, max: 3 }), (height, step) => {
        const rows = Array.from({ length: height }, (_, i) =>
          runs(`${50 - i * step}A ${1 + 2 * i * step}B ${50 - i * step}A`),
        );
        expect(likelySlips(rows)).toEqual([]);
      }),
    );
  });
});

describe('a pattern as given elsewhere', () => {
  it('multiple of 9 + 2 on 47 chains, worked in sc: the multiple is of chains', () => {
    // 47 = 9 · 5 + 2, and 46 stitches are not.
    const verdict = must(
      checkGiven({ multiple: must(readMultiple('multiple of 9 + 2')), chain: 47, row: '1A | 6A 3B |' }, sc),
    );
    expect(verdict).toMatchObject({ multipleOf: 'chains', stitches: 46, rowFits: true, edgesMatch: false });
  });

  it('multiple of 8 plus 4 on 37 chains is of stitches, and both edges match', () => {
    const verdict = must(
      checkGiven({ multiple: must(readMultiple('a multiple of 8 plus 4')), chain: 37, row: '| 4A 4B | 4A' }, sc),
    );
    expect(verdict).toMatchObject({ multipleOf: 'stitches', stitches: 36, rowFits: true, edgesMatch: true });
  });

  it('a row that does not come out on its chain is told the chains that do', () => {
    const verdict = must(checkGiven({ chain: 40, row: '| 4A 4B |' }, dc));
    // 38 stitches; 32 and 40 come out, on 34 and 42 chains.
    expect(verdict.rowFits).toBe(false);
    expect(verdict.fits).toEqual([
      { stitches: 32, chains: 34 },
      { stitches: 40, chains: 42 },
    ]);
    expect(givenWords({ chain: 40 }, dc, verdict).join(' ')).toContain(
      '32 or 40 stitches, not 38: make 34 or 42 chains',
    );
  });

  it('a chain that is no such multiple either way', () => {
    expect(must(checkGiven({ multiple: { multiple: 10, extra: 3 }, chain: 40 }, sc)).multipleOf).toBe('neither');
    expect(must(checkGiven({ multiple: { multiple: 1, extra: 0 }, chain: 40 }, sc)).multipleOf).toBe('both');
  });

  it('several rows against the chain and the multiple: 36 stitches of 8 + 4 are 37 chains in sc', () => {
    const works = { multiple: 8, extra: 4 };
    const rows = (given: Parameters<typeof checkGivenRows>[0], counts = [36, 36, 36]) =>
      checkGivenRows(given, counts, works, sc);
    // One chain to turn: 36 + 1.
    expect(rows({ chain: 37 })).toEqual({ stitches: 36, chains: 37, chainFits: true });
    expect(rows({ chain: 36 })).toEqual({ stitches: 36, chains: 37, chainFits: false });
    expect(rows({ multiple: { multiple: 8, extra: 4 } }).multiple).toBe('stitches');
    // 8 + 5 of chains is 8 + 4 of stitches.
    expect(rows({ multiple: { multiple: 8, extra: 5 } }).multiple).toBe('chains');
    expect(rows({ multiple: { multiple: 8, extra: 12 } }).multiple).toBe('stitches');
    expect(rows({ multiple: { multiple: 9, extra: 4 } }).multiple).toBe('other');
    // Rows that differ say nothing of a chain.
    expect(rows({ chain: 37 }, [36, 35])).toEqual({});
    expect(givenRowsWords({ chain: 36 }, rows({ chain: 36 }), works).join(' ')).toBe(
      'Every row has 36 stitches. 36 chains are not right for them: make 37. As they repeat they can be worked on any multiple of 8 stitches plus 4.',
    );
  });

  it('words that are no multiple are refused', () => {
    for (const [text, multiple, extra] of [
      ['5n+1', 5, 1],
      ['10n + 6', 10, 6],
      ['n × 8 + 4', 8, 4],
      ['multiples of 6 plus 5', 6, 5],
      ['Multiple of 12 sts + 3.', 12, 3],
      ['a multiple of 12 + 3 + 2 ch', 12, 5],
      ['multiple of 8 less 1', 8, 7],
      ['14', 0, 0],
      ['an even number of stitches', 2, 0],
      ['odd', 2, 1],
      ['any number', 1, 0],
      ['0n + 1', 0, 0],
      ['multiple of 8 + 4 and then some', 0, 0],
    ] as const) {
      const read = readMultiple(text);
      expect([text, read.ok && read.value]).toEqual([text, multiple ? { multiple, extra } : false]);
    }
    const wrong = readMultiple('nine and two');
    expect(wrong.ok ? '' : told(wrong.problems[0]).hint).toContain('multiple of 9 + 2');
  });
});
