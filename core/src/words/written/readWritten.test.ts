import { sampleIn } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { type Drawing, patternOf } from '../../craft/desk/drawing.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { wishSchema } from '../../records/wish.ts';
import { planDocument } from '../document/planDocument.ts';
import { sameFabric } from '../rows/readRows.ts';
import { readWritten } from './readWritten.ts';

const asked = { key: 'own', name: 'Pasted', usual: 'US' } as const;

/** The rows of a drawing as runs, as they are seen from where row 1 begins. */
function runs({ rows }: Drawing): string[] {
  return rows.map(({ marks }) => {
    const found: string[] = [];
    for (let x = 0; x < marks.length; ) {
      const from = x;
      while (x < marks.length && marks[x] === marks[from]) x++;
      found.push(`${x - from}${marks[from]}`);
    }
    return found.join(' ');
  });
}

describe('rows as people write them', () => {
  it('reads runs, sides, asterisks and totals, and turns rows of the wrong side round', () => {
    const read = readWritten(
      [
        'Ch 10',
        'Row 1 (RS): 2 A, 3 B, 4 A. (9 sts)',
        'Row 2 (WS): 4 A, 3 B, 2 A. (9 sts)',
        'Row 3: *1 A, 2 B; rep from * to end',
        'Row 4: 9 A',
      ].join('\n'),
      asked,
    );
    expect(read.problems).toEqual([]);
    expect(read.lines.map(({ what, stitches }) => [what, stitches])).toEqual([
      ['chain', undefined],
      ['rows', 9],
      ['rows', 9],
      ['rows', 9],
      ['rows', 9],
    ]);
    // Row 2 comes back: seen from where row 1 begins it is 2 A, 3 B, 4 A again.
    expect(runs(read.drawing as Drawing)).toEqual(['2A 3B 4A', '2A 3B 4A', '1A 2B 1A 2B 1A 2B', '9A']);
  });

  it('reads “rep from * 3 times” as three more, or as three in all, by what the other rows have', () => {
    // 7 + 6 + 4 · (5 + 2) + 9 = 50 with three more; with three in all 43.
    const row = 'Row 6 (WS): 7 A, 6 B, *5 A, 2 B; rep from * 3 times, 9 A';
    const more = readWritten([`Row 5: 50 A`, row].join('\n'), asked);
    expect(more.lines.map(({ stitches }) => stitches)).toEqual([50, 50]);
    const all = readWritten([`Row 5: 43 A`, row].join('\n'), asked);
    expect(all.lines.map(({ stitches, problem }) => [stitches, problem])).toEqual([
      [43, undefined],
      [43, undefined],
    ]);
  });

  it('reads words, names of colours, brackets, counts in words, and rows that are as others', () => {
    const read = readWritten(
      [
        'A: white',
        'Row 1: sc in next 8 in grey, sc in next 4 in white',
        'Row 2: (2 sc in grey, 1 sc in white) x 4, turn.',
        'Rows 3-4: repeat rows 1-2',
        'Row 5: sc in each st across in white. Fasten off.',
      ].join('\n'),
      asked,
    );
    expect(read.colours).toEqual([
      { letter: 'A', name: 'white' },
      { letter: 'B', name: 'grey' },
    ]);
    expect(read.lines.map(({ what, rows }) => [what, rows])).toEqual([
      ['note', undefined],
      ['rows', [1, 1]],
      ['rows', [2, 2]],
      ['rows', [3, 4]],
      ['rows', [5, 5]],
    ]);
    const drawn = runs(read.drawing as Drawing);
    expect(drawn[0]).toBe('8B 4A');
    expect(drawn[1]).toBe('1A 2B 1A 2B 1A 2B 1A 2B');
    expect(drawn.at(-1)).toBe('12A');
  });

  it('UK double crochet is single crochet, and says so by its other words', () => {
    const uk = readWritten('Row 1: 4 dc A, 4 dc B\nRow 2: 8 htr A', asked);
    expect(uk.terms).toBe('UK');
    const plain = readWritten('Row 1: 4 dc A, 4 dc B', { ...asked, terms: 'UK' });
    expect(plain.drawing?.stitches).toEqual(['sc']);
    expect(readWritten('Row 1: 4 dc A, 4 dc B', { ...asked, terms: 'US' }).drawing?.stitches).toEqual(['dc']);
  });

  it('takes a slip of the finger for the word it is nearest to, and says so', () => {
    const read = readWritten('Row 1: 4 scc A, 4 sc B', asked);
    expect(read.lines[0]?.taken).toEqual([{ word: 'scc', meant: 'sc' }]);
    expect(runs(read.drawing as Drawing)).toEqual(['4A 4B']);
  });

  it('points at the line that cannot be read, and at sums that do not hold', () => {
    const read = readWritten(
      ['Ch 30', 'Row 1: 4 A, 5 B. (10 sts)', 'Row 2: 4 wobbles', 'Row 3: *2 A, 1 B; rep from * to end'].join('\n'),
      asked,
    );
    expect(read.drawing).toBeUndefined();
    expect(read.lines.map(({ problem }) => problem && told(problem).message)).toEqual([
      undefined,
      'Row 1 says 10 stitches and has 9.',
      '“wobbles” cannot be read.',
      undefined,
    ]);
    expect(read.problems.map(({ code }) => code)).toContain('written-number');
  });

  it('checks the chain: 30 chains make no row of 9', () => {
    const read = readWritten('Ch 30\nRow 1: 9 A\nRow 2: 9 A', asked);
    expect(read.problems).toMatchObject([{ code: 'written-chain', facts: { chain: 30, width: 9 } }]);
    expect(readWritten('Ch 10\nRow 1: 9 A\nRow 2: 9 A', asked).problems).toEqual([]);
  });

  it('takes both bands of a check for its repeat: the upper one is no row that is worked once', () => {
    const rows = Array.from({ length: 8 }, (_, i) => {
      const [a, b] = i < 4 ? ['A', 'B'] : ['B', 'A'];
      return `Row ${i + 1}: *4 sc in ${a}, 4 sc in ${b}; rep from * to last 4 sts, 4 sc in ${a}.`;
    });
    const { drawing } = readWritten(['Gauge: 16 sts and 18 rows = 10 cm', 'Ch 37', ...rows].join('\n'), asked);
    expect(drawing?.rows.map(({ role, marks }) => `${role} ${marks.slice(0, 4).join('')}`)).toEqual([
      ...new Array(4).fill('row AAAA'),
      ...new Array(4).fill('row BBBB'),
    ]);
  });

  it('a text of a hundred thousand lines is refused at once, and an empty one is nothing', () => {
    const long = readWritten('Row 1: 4 A\n'.repeat(100_000), asked);
    expect(long.problems[0]?.code).toBe('lines-too-many');
    expect(readWritten('\n\n', asked)).toMatchObject({ lines: [], problems: [], drawing: undefined });
  });
});

describe('rows that this program prints, pasted', () => {
  const drawable = patternBook.filter(({ technique }) => technique !== 'wedge-circle');
  const ways = [
    { terms: 'US', manner: 'compact' },
    { terms: 'UK', manner: 'printed' },
    { terms: 'US', manner: 'printed' },
    { terms: 'UK', manner: 'compact' },
  ] as const;
  it.each(drawable.map((pattern, i) => [pattern.key, pattern, i] as const))(
    '%s comes back as that pattern',
    (_key, pattern, i) => {
      const wish = sampleIn(pattern, {
        item: pattern.technique === 'tube' ? 'potholder' : 'mat',
        width: { by: 'repeats', count: 4 },
        height: { by: 'repeats', count: 4 },
        edges: 'whole',
        ending: 'any',
      });
      const plan = must(planWish(wishSchema.parse(wish)));
      for (const way of process.env.PUNTADA_LONG ? ways : [ways[i % 4]]) {
        if (!way) continue;
        const { rows } = planDocument(plan, { hand: 'right', ...way });
        const read = readWritten(rows.map(({ text }) => text).join('\n'), { ...asked, terms: way.terms });
        const texts = read.lines.flatMap(({ problem }) => (problem ? [told(problem).message] : []));
        expect([texts, read.problems]).toEqual([[], []]);
        const again = must(
          planWish(
            wishSchema.parse({
              ...wish,
              pattern: { text: printPattern(patternOf(read.drawing as Drawing)) },
              foundation: plan.prepared.foundation.key,
              width: { by: 'stitches', count: plan.width.stitches },
              height: { by: 'rows', count: plan.piece.rows },
            }),
          ),
        );
        expect(sameFabric(again.piece.fabric, plan.piece.fabric)).toBe(true);
      }
    },
  );
});
