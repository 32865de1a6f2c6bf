import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { countedIn, leftIn, workCourse } from '../../plan/steps/course.ts';
import { compress, printCompressed, printStarred } from '../terms/repeats.ts';
import { chartDirection, oneStitch, stitchWord } from '../terms/terms.ts';
import { rowLine, runWords, writeRow } from './rows.ts';
import { hangingWords, orderWords } from './strandWords.ts';
import { writing } from './writing.ts';

function written(change: Parameters<typeof sampleWish>[0]) {
  const plan = must(planWish(sampleWish(change)));
  return { plan, request: writing(plan, 'US', 'right') };
}

describe('gathering repeats', () => {
  it.each([
    [['a', 'b', 'a', 'b', 'a'], '(a, b) × 2, a'],
    [['a'], 'a'],
    [['a', 'a', 'a'], '(a) × 3'],
    [['x', 'a', 'b', 'c', 'a', 'b', 'c', 'y'], 'x, (a, b, c) × 2, y'],
    [['a', 'b', 'c', 'd'], 'a, b, c, d'],
  ])('%j is %s', (words, text) => {
    expect(printCompressed(compress(words))).toBe(text);
  });

  it('loses nothing and changes no order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 40 }), (words) => {
        expect(compress(words).flatMap(({ items, times }) => new Array(times).fill(items).flat())).toEqual(words);
      }),
    );
  });
});

describe('a row as printed patterns are written', () => {
  const { request } = written({});
  const line = (number: number) => rowLine(writeRow({ ...request, manner: 'printed' }, number), 'Row', 'printed');

  it('has its repeat behind an asterisk and its totals in brackets', () => {
    // Nine blocks of four: B, A four times over, and B once more. Four times are once and three times more.
    expect(line(6)).toContain('*4 sc in B, 4 sc in A; repeat from * 3 more times, 4 sc in B. (36 sc: 16 A, 20 B)');
  });

  it('a row of two stitches by turns has them in brackets, and names its one colour once', () => {
    const teeth = written({ pattern: { key: 'houndstooth' } }).request;
    const row = writeRow({ ...teeth, manner: 'printed' }, 3);
    expect(row.work).toContain('] 1');
    expect(row.work).toMatch(/ in A$/);
    expect(row.total).toMatch(/^38 stitches: 19 sc, 19 dc in A$/);
  });

  it('a repeat that comes twice is worked once more', () => {
    expect(printStarred(compress(['x', 'a', 'b', 'a', 'b']))).toBe('x, *a, b; repeat from * once more');
    expect(printStarred(compress(['a', 'a', 'b', 'c', 'b', 'c']))).toBe('[a] 2 times, [b, c] 2 times');
  });
});

describe('the runs of a row', () => {
  it('announce the change on the stitch that finishes in the new colour, and at the turn', () => {
    const { plan } = written({});
    const { bound, foundation } = plan.prepared;
    const third = workCourse(plan.piece.fabric, bound, foundation, 2);
    const fourth = workCourse(plan.piece.fabric, bound, foundation, 3);
    expect(third.runs.map((run) => run.changeTo)).toEqual(['B', 'A', 'B', 'A', 'B', 'A', 'B', 'A', undefined]);
    // Row 5 begins with B, so row 4 is finished in it.
    expect(fourth.runs.at(-1)).toMatchObject({ count: 4, colour: 'A', changeTo: 'B', from: 33 });
    expect([third.inHand, fourth.inHand]).toEqual(['A', 'B']);
    expect(workCourse(plan.piece.fabric, bound, foundation, 43).runs.at(-1)?.changeTo).toBeUndefined();
  });

  it('add up to the row, whatever the pattern', () => {
    const patterns = [{ key: 'block-check', numbers: { b: 3, r: 2 } }, { key: 'houndstooth' }];
    for (const pattern of patterns) {
      const { plan } = written({ pattern });
      const { bound, foundation } = plan.prepared;
      for (let course = 0; course < plan.piece.rows; course++) {
        const row = workCourse(plan.piece.fabric, bound, foundation, course);
        expect(row.runs.reduce((sum, run) => sum + run.count, 0)).toBe(plan.piece.stitches);
        expect(row.byColour.reduce((sum, each) => sum + each.count, 0)).toBe(plan.piece.stitches);
        expect(row.byKind.reduce((sum, each) => sum + each.count, 0)).toBe(plan.piece.stitches);
      }
    }
  });

  it('are counted in what they are made of: of 32 clusters 31 are left after the first, of a diagonal its blocks', () => {
    const rowOf = (wish: Parameters<typeof sampleWish>[0], row: number) => {
      const { piece, prepared } = must(planWish(sampleWish({ edges: 'whole', ending: 'any', ...wish })));
      return workCourse(piece.fabric, prepared.bound, prepared.foundation, row - 1);
    };
    const granny = rowOf({ pattern: { key: 'net-floats' }, width: { by: 'stitches', count: 32 } }, 1);
    expect([countedIn(granny), leftIn(granny, 0), leftIn(granny, 1), granny.stitches]).toEqual([
      'clusters',
      32,
      31,
      96,
    ]);
    const flags = rowOf({ pattern: { key: 'signal-flag' }, width: { by: 'stitches', count: 12 } }, 5);
    expect([countedIn(flags), leftIn(flags, 0)]).toEqual(['blocks', 5]);
    const plain = rowOf({ pattern: { key: 'block-check' }, width: { by: 'stitches', count: 36 } }, 1);
    expect([countedIn(plain), leftIn(plain, 3)]).toEqual(['stitches', 24]);
  });

  it('name a counted turning chain for what it is', () => {
    const { plan, request } = written({
      pattern: { key: 'block-check', stitch: 'hdc' },
      foundation: 'hdc-3rd-counted',
    });
    const { bound, foundation } = plan.prepared;
    const row = workCourse(plan.piece.fabric, bound, foundation, 1);
    expect(runWords(row.runs[0] as (typeof row.runs)[number], { terms: 'US' })).toBe(
      'ch 2 (counts as the first hdc) A',
    );
    expect(runWords(row.runs[1] as (typeof row.runs)[number], { terms: 'UK' })).toBe('3 htr A');
    expect(row.byKind).toEqual([{ kind: 'hdc', count: plan.piece.stitches }]);
    expect(writeRow(request, 2).start).toBe('turn');
    expect(writeRow(request, 1).start).toBe(
      `chain ${plan.piece.stitches + 1} in A; first hdc in the 3rd chain from the hook`,
    );
    expect(writeRow(request, 1).work).toMatch(
      /^2 skipped chains \(the first hdc\) A, 3 hdc A, \(4 hdc B, 4 hdc A\) × 4/,
    );
  });

  it('of two stitches by turns are told as pairs, and an odd one by itself', () => {
    const run = { count: 7, kinds: ['sc', 'dc'], colour: 'B', from: 1 } as const;
    expect(runWords(run, { terms: 'US' })).toBe('(1 sc, 1 dc) × 3, 1 sc B');
    expect(runWords({ ...run, count: 6 }, { terms: 'UK' })).toBe('(1 dc, 1 tr) × 3 B');
  });
});

describe('orders for the idle strands', () => {
  it('stripes of one row: the other colour is carried inside the whole row, and comes out where it is wanted', () => {
    const { request } = written({ pattern: { key: 'houndstooth' } });
    expect(request.strands.orders(1).map((order) => orderWords(order))).toEqual(['carry A inside the whole row']);
    expect(hangingWords(request.strands, 1)).toEqual(['A and B at this edge']);
  });

  it('cut always: says after which stitch, how long the tail, and when it is joined again', () => {
    const { request, plan } = written({ pattern: { key: 'houndstooth' }, policy: 'cut-always' });
    const last = plan.piece.stitches;
    expect(request.strands.orders(0).map((order) => orderWords(order, 'cm'))).toEqual([
      `cut A after stitch ${last}, leave 15 cm, join it again in row 3`,
    ]);
    // Two tails for each row in which a colour is used: an end at either side.
    expect(plan.piece.ends).toBe(2 * plan.piece.rows);
  });

  it('as needed: a block that starts later in the next row is met by carrying on to it', () => {
    const { request, plan } = written({
      policy: 'as-needed',
      pattern: { key: 'block-check', numbers: { b: 4, r: 2 } },
    });
    // Row 2 ends with A in stitches 33–36; row 3 begins with B, whose last stitch in row 2 was 32: it is carried on to the end.
    expect(request.strands.orders(1).map((order) => order.colour)).toEqual(['A', 'B']);
    expect(request.strands.orders(1)[1]?.carried.at(-1)).toEqual({ from: 33, to: 36 });
    expect(request.strands.orders(1).map((order) => orderWords(order))[1]).toContain('on to the end of the row');
    const last = plan.piece.rows - 1;
    expect(
      request.strands
        .orders(last)
        .map((order) => orderWords(order))
        .join(),
    ).toContain('fasten off A after its last stitch');
    expect(request.strands.hanging(last)).toEqual([]);
  });

  it('two-row stripes climb', () => {
    const { request } = written({
      pattern: { key: 'block-check', numbers: { b: 40, r: 2 } },
      width: { by: 'stitches', count: 80 },
      edges: 'whole',
      ending: 'any',
    });
    const texts = [0, 1, 2, 3].flatMap((row) => request.strands.orders(row).map((order) => orderWords(order)));
    expect(texts.join('; ')).toMatch(/carry [AB] inside/);
  });
});

describe('words of the trade', () => {
  it.each([
    ['sc', 'sc', 'dc', 'an sc', 'a dc'],
    ['hdc', 'hdc', 'htr', 'an hdc', 'an htr'],
    ['dc', 'dc', 'tr', 'a dc', 'a tr'],
  ] as const)('%s', (key, us, uk, oneUs, oneUk) => {
    expect([stitchWord(key, 'US'), stitchWord(key, 'UK')]).toEqual([us, uk]);
    expect([oneStitch(key, 'US'), oneStitch(key, 'UK')]).toEqual([oneUs, oneUk]);
  });

  it('rows of the chart run with the hand on the right side and against it on the wrong', () => {
    expect(chartDirection('RS', 'right')).toBe('right to left');
    expect(chartDirection('WS', 'right')).toBe('left to right');
    expect(chartDirection('RS', 'left')).toBe('left to right');
  });
});
