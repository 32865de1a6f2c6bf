import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { findPattern, patternBook } from '../../craft/book/book.ts';
import { cellsIn, courseCells, type Fabric, sidesOf } from '../../craft/fabric/fabric.ts';
import { type Foundation, findFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { inRounds } from '../../craft/notation/inRounds.ts';
import { readPattern } from '../../craft/notation/read.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { colourInOrder, printOrder, readOrder } from '../../craft/patterns/order.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { makingsOf, techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { lay } from '../lay/lay.ts';
import { trueRepeat } from '../lay/repeat.ts';
import { planWish } from '../piece/plan.ts';
import { widthRule } from './across.ts';
import { admits } from './progression.ts';
import { canEndAsBegun, fitUp, heightRule, isAsBegun } from './up.ts';

/*
 * The law of endings, read once more off the laid cloth alone: rows of colours as they lie, blocks by their rows and not
 * by their diagonals. It knows no pattern, no multiple and no order.
 */
function rowsSeen(fabric: Fabric): number[][] {
  const all = Array.from({ length: fabric.courses }, (_, course) => {
    const { kinds, colours } = courseCells(fabric, course);
    // A single stitch at the end of each row of clusters is no cluster, and lies now at one end and now at the other.
    const names = Array.from(kinds, (code) => stitchKind(code).key);
    const single = names.includes('edge-dc') && !names.includes('edge-ch3');
    return Array.from(colours).filter((_colour, x) => !(single && names[x] === 'edge-dc'));
  });
  if (fabric.making !== 'diagonals') return all;
  const wide = fabric.count;
  const high = fabric.courses - wide + 1;
  return Array.from({ length: high }, (_, y) =>
    Array.from({ length: wide }, (_, x) => {
      const diagonal = x + y;
      return all[diagonal]?.[x - Math.max(0, diagonal - high + 1)] ?? -1;
    }),
  );
}

/** Two rows of like colours; where rows lie half a cell beside one another one of them is a cell longer. */
function alike(a: readonly number[], b: readonly number[], circle: boolean): boolean {
  const turns = (row: readonly number[]) => row.filter((colour, x) => x === 0 || colour !== row[x - 1]).slice(0, 6);
  const [one, two] = circle ? [turns(a), turns(b)] : [a, b];
  const shared = Math.min(one.length, two.length);
  return one.slice(0, shared).every((colour, x) => colour === two[x]);
}

function endsAsItBegan(fabric: Fabric, circle: boolean, closes: boolean): boolean {
  const rows = rowsSeen(sidesOf(fabric));
  const [first, last] = [rows[0] as number[], rows.at(-1) as number[]];
  if (!alike(first, last, circle)) return false;
  if (closes) return true;
  const below = rows.findIndex((row) => !alike(row, first, circle));
  const above = rows.toReversed().findIndex((row) => !alike(row, last, circle));
  return below === above;
}

interface Made {
  readonly pattern: StitchPattern;
  readonly bound: BoundPattern;
}

/** Every pattern of the book in every way it can be made, and in orders of its own where it takes one. */
const orders = ['A A A | B A | A A', 'A B C D E', 'A | B C | A', 'A A B B', 'B | A A B | C'];
const cloths: [string, Made][] = patternBook.flatMap((pattern) => {
  const technique = must(techniqueOf(pattern));
  const makings = makingsOf(pattern.technique).filter((made) => made === 'rounds' || made === 'turned-rounds');
  const shapes = [pattern, ...makings.filter((made) => made !== pattern.made).map((made) => inRounds(pattern, made))];
  return shapes.flatMap((shape) => {
    const own = technique.ordered ? orders : [];
    return [shape, ...own.map((order) => ({ ...shape, order: must(readOrder(order)) }))].map((each): [string, Made] => [
      `${each.key}, ${each.made}${each.order ? `, ${printOrder(each.order)}` : ''}`,
      { pattern: each, bound: must(bindPattern(each)) },
    ]);
  });
});

describe.each(cloths)('%s', (_name, { pattern, bound }) => {
  const technique = must(techniqueOf(pattern));
  const ways = technique.foundations(bound).map((key) => findFoundation(key) as Foundation);

  it('says that it ends as begun where the laid cloth does, and nowhere else', () => {
    const any = heightRule(bound, technique, 'any');
    const closes = pattern.rows.some((row) => row.role === 'close') || pattern.made === 'netted';
    fc.assert(
      fc.property(fc.nat({ max: 60 }), fc.nat({ max: 3 }), fc.nat({ max: 7 }), (more, wide, way) => {
        const foundation = ways[way % ways.length] as Foundation;
        let rows = any.least + more;
        while (!admits(any, rows)) rows++;
        const across = widthRule({ bound, technique, foundation }, 'whole');
        const stitches = technique.circle ? across.least : across.least + wide * across.step;
        const courses = coursesFor({ technique, foundation }, stitches, rows);
        const fabric = lay({ bound, foundation, edges: 'whole', stitches, courses });
        expect([rows, isAsBegun(bound, technique, rows)]).toEqual([
          rows,
          endsAsItBegan(fabric, technique.circle === true, closes),
        ]);
      }),
      { numRuns: 12 },
    );
  });

  it('offers only heights that end as begun, where any does', () => {
    const rowHeight = { mid: 5, low: 5, high: 5, source: 'typed' } as const;
    const fit = must(fitUp({ bound, technique, ending: 'as-begun', rowHeight, wish: { by: 'length', mm: 300 } }));
    const can = canEndAsBegun(bound, technique);
    expect(fit.offers.every((offer) => offer.asBegun === can)).toBe(true);
  });
});

describe('which rows end as they began', () => {
  const rows = (text: string, order?: string) => {
    const pattern = must(readPattern(text));
    const whole = order ? { ...pattern, order: must(readOrder(order)) } : pattern;
    const bound = must(bindPattern(whole));
    const technique = must(techniqueOf(whole));
    const rule = heightRule(bound, technique, 'as-begun');
    return Array.from({ length: 40 }, (_, i) => i + 1).filter((n) => admits(rule, n));
  };
  const linen = (lines: string, colours = 'A B C') =>
    `pattern p "P"\nabout "."\ntechnique linen\ncolours ${colours}\nacross 2\nup 2\nread worked\n${lines}\n`;

  it('two-row stripes A A B B: 4k + 2', () => {
    const found = rows(linen('row 2 A: | 1ch 1sc@space |\nrow 2 B: | 1ch 1sc@space |', 'A B'));
    expect(found.every((n) => n % 4 === 2)).toBe(true);
    expect(found.slice(-3)).toEqual([30, 34, 38]);
  });

  it('one-row stripes A B C: 3k + 1', () => {
    const found = rows(linen('row *: | 1ch 1sc@space |'));
    expect(found.every((n) => n % 3 === 1)).toBe(true);
    expect(found).toContain(37);
  });

  it('a mosaic that takes turns, A first: odd', () => {
    const pattern = must(findPattern('tide-marks'));
    const bound = must(bindPattern(pattern));
    const rule = heightRule(bound, must(techniqueOf(pattern)), 'as-begun');
    expect([41, 42, 43, 44, 45].filter((n) => admits(rule, n))).toEqual([41, 43, 45]);
  });

  it('an order of the maker’s own: three rows of A below, so three of A above', () => {
    // A A A (B A)k A A: the last row of the repeat is A as well, so with both rows of the closing it is three.
    expect(rows(linen('row *: | 1ch 1sc@space |'), 'A A A | B A | A A').slice(0, 4)).toEqual([7, 9, 11, 13]);
  });

  it('a refused number of rows names its neighbours and the way out', () => {
    const pattern = must(findPattern('houndstooth'));
    const technique = must(techniqueOf(pattern));
    const rowHeight = { mid: 5, low: 5, high: 5, source: 'typed' } as const;
    const bound = must(bindPattern(pattern));
    const fit = fitUp({ bound, technique, ending: 'as-begun', rowHeight, wish: { by: 'rows', count: 40 } });
    expect(fit.ok ? undefined : fit.problems[0]).toMatchObject({ instead: [39, 41], anywhere: 40 });
  });
});

describe('the true repeat, found in the laid cloth', () => {
  const repeatOf = (pattern: StitchPattern) => trueRepeat(must(bindPattern(pattern)), must(techniqueOf(pattern)));

  it('of a pattern typed twice is that of the pattern', () => {
    for (const pattern of patternBook) {
      const bound = must(bindPattern(pattern));
      const once = pattern.rows.filter((row) => row.role !== 'row');
      const rows = pattern.rows.filter((row) => row.role === 'row');
      const twice = { ...pattern, rows: [...once, ...rows, ...rows], chart: [...pattern.chart, ...pattern.chart] };
      // Two columns of wedges, or rows of blocks, come out the same in the same way.
      expect([pattern.key, repeatOf(twice)]).toEqual([pattern.key, trueRepeat(bound, must(techniqueOf(pattern)))]);
    }
  });

  it('two-row linen in two colours comes again after 4 rows, one row each in three colours after 6', () => {
    // Three colours come again after 3 rows, but on the other side of the work.
    expect(repeatOf(must(findPattern('quay-linen')))).toBe(4);
    expect(repeatOf(must(findPattern('drift-linen')))).toBe(6);
  });

  it('three-colour diamonds: six rows move the alternation on by one, so twelve', () => {
    expect(repeatOf(must(findPattern('lantern-diamonds')))).toBe(12);
  });
});

describe('an order of rows', () => {
  it('is read and written without loss', () => {
    const letters = fc.array(fc.constantFrom(...'ABCDEFGH'), { maxLength: 6 });
    fc.assert(
      fc.property(letters, letters, letters, (opening, middle, closing) => {
        const order = { opening, repeat: [...middle, 'A'], closing };
        expect(must(readOrder(printOrder(order)))).toEqual(order);
        expect(must(readOrder(printOrder(order).toLowerCase().replaceAll(' ', '')))).toEqual(order);
      }),
    );
  });

  it('works the opening and the closing once, and the middle as often as the height asks', () => {
    const order = must(readOrder('A A A | B A | A A'));
    const drawn = (rows: number) => Array.from({ length: rows }, (_, i) => colourInOrder(order, i, rows)).join('');
    expect(drawn(9)).toBe('AAABABAAA');
    expect(drawn(13)).toBe('AAABABABABAAA');
  });

  it.each([
    ['A | B', 'An order has two bars or none'],
    ['A | | A', 'The part that repeats is empty'],
    ['A J', '“J” is not a colour'],
    ['A '.repeat(501), 'An order has 500 rows at most'],
  ])('%s is refused with what to do', (text, message) => {
    const read = readOrder(text);
    expect(read.ok ? '' : told(read.problems[0]).message).toContain(message);
  });

  it('leaves no colour out between A and its last', () => {
    const pattern = { ...must(findPattern('houndstooth')), order: must(readOrder('A C')) };
    const bound = bindPattern(pattern);
    expect(bound.ok ? '' : told(bound.problems[0]).message).toBe('The order of rows uses A, C and leaves out B.');
  });
});

/** A tube and what stands on a circle have their sides apart from their bottom. */
describe('sides on a circle', () => {
  it('are all rounds of the full number of stitches', () => {
    const pattern = must(findPattern('mast-rings'));
    const bound = must(bindPattern(pattern));
    const foundation = findFoundation('circle-sc') as Foundation;
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 48, courses: 8 + 12, increases: 6 });
    const sides = sidesOf(fabric);
    expect(sides.courses).toBe(12);
    expect(Array.from({ length: 8 }, (_, course) => cellsIn(fabric, course))).toEqual([6, 6, 12, 18, 24, 30, 36, 42]);
    expect(Array.from({ length: 12 }, (_, course) => cellsIn(sides, course))).toEqual(Array(12).fill(48));
  });
});

describe('a count of rows that was typed', () => {
  const asked = (order: string, count: number) =>
    planWish(
      sampleWish({
        item: 'mat',
        pattern: { key: 'houndstooth', order },
        width: { by: 'stitches', count: 20 },
        height: { by: 'rows', count },
        yarns: ['A', 'B', 'C'].map((letter) => ({
          letter,
          name: letter,
          shade: '#888888',
          weight: 4,
          fibre: 'cotton',
        })),
      }),
    );

  it('of a whole order ends as begun where its last row is in the colour of the first: 2 + 9 × 4 + 1 = 39', () => {
    expect(asked('A A | C B A B | A', 39).ok).toBe(true);
    // 35 rows of the middle end with A, and the closing A above makes two as at the beginning; 34 end with B.
    expect(asked('A A | C B A B | A', 38).ok).toBe(true);
    const refused = asked('A A | C B A B | A', 37);
    expect(refused.ok ? [] : refused.problems.map(({ code, facts }) => [code, facts?.inColour])).toEqual([
      ['rows-illegal', true],
    ]);
  });

  it('that cuts its last blocks is refused for that, not for its colour: 42 rows of blocks of 4', () => {
    const cut = planWish(sampleWish({ height: { by: 'rows', count: 42 } }));
    const [problem] = cut.ok ? [] : cut.problems;
    expect([problem?.code, problem?.facts?.inColour]).toEqual(['rows-illegal', true]);
    expect(told(problem).message).toBe('42 rows would end with a stripe or block that is not as high as the first.');
  });
});
