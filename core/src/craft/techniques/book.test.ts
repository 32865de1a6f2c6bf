import fc from 'fast-check';
import { checkFabric } from '../../plan/check/fabric.ts';
import { checkStrands } from '../../plan/check/strands.ts';
import { widthRule } from '../../plan/fit/across.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { lay } from '../../plan/lay/lay.ts';
import { measureParts } from '../../plan/measure/parts.ts';
import { costsFor } from '../../plan/route/costs.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { route } from '../../plan/route/route.ts';
import { StrandBook } from '../../plan/steps/strandBook.ts';
import { printedRows, readBack, readRows, sameFabric } from '../../words/rows/readRows.ts';
import { patternBook } from '../book/book.ts';
import { assemble, stitchesByColour } from '../fabric/fabric.ts';
import { findFoundation } from '../foundation/foundation.ts';
import { bindPattern } from '../notation/bind.ts';
import { coursesFor } from '../technique/courses.ts';
import { policies } from '../technique/policy.ts';
import { must } from '../values/problem.ts';
import { techniqueOf, techniques } from './register.ts';

/** A pattern in one of its sizes, with everything the pipeline needs. */
function made(key: string, wide: number, high: number, way: number, policyAt: number) {
  const pattern = patternBook.find((each) => each.key === key) as (typeof patternBook)[number];
  const bound = must(bindPattern(pattern));
  const technique = must(techniqueOf(pattern));
  const ways = technique.foundations(bound);
  const foundation = findFoundation(ways[way % ways.length] as string) as NonNullable<
    ReturnType<typeof findFoundation>
  >;
  const across = widthRule({ bound, technique, foundation }, 'whole');
  const up = heightRule(bound, technique, 'any');
  const stitches =
    pattern.technique === 'wedge-circle' ? bound.across.works.multiple : across.least + wide * across.step;
  const rows = up.least + high * up.step;
  const fabric = lay({
    bound,
    foundation,
    edges: 'whole',
    stitches,
    courses: coursesFor({ technique, foundation }, stitches, rows),
  });
  const policy = technique.policy ?? (policies[policyAt % policies.length] as (typeof policies)[number]);
  const costs = costsFor(policy, false, { stitchWidth: 6, rowHeight: 6 });
  const way2 = policy === 'carry-always' || policy === 'bobbins' ? policy : 'least-cost';
  const strands = route(chartOf(fabric), costs, way2);
  return { pattern, bound, technique, foundation, fabric, strands };
}

const size = [fc.nat({ max: 4 }), fc.nat({ max: 9 }), fc.nat({ max: 3 }), fc.nat({ max: 4 })] as const;

describe('the book', () => {
  it('has 28 patterns at least, two of every technique at least, each with its own name, ends and caution', () => {
    expect(patternBook.length).toBeGreaterThanOrEqual(28);
    for (const { key } of techniques) {
      expect(patternBook.filter((pattern) => pattern.technique === key).length).toBeGreaterThanOrEqual(2);
    }
    expect(new Set(patternBook.map((pattern) => pattern.name)).size).toBe(patternBook.length);
    for (const pattern of patternBook) expect(pattern.about && pattern.ends && pattern.careful).not.toBe('');
  });

  it('no two patterns differ only in numbers or colours', () => {
    // Colours are named in the order in which they come, and every number is the same number.
    const shape = (pattern: (typeof patternBook)[number]) => {
      const text = [pattern.technique, pattern.made, JSON.stringify(pattern.rows), pattern.chart.join('/')].join();
      const order = [...new Set(text.match(/[A-H]/g))];
      return text.replace(/[A-H]/g, (letter) => `<${order.indexOf(letter)}>`).replace(/(?<!<)\d+/g, 'n');
    };
    expect(new Set(patternBook.map(shape)).size).toBe(patternBook.length);
  });
});

const manners = fc.constantFrom('compact', 'printed');

describe.each(patternBook.map((pattern) => pattern.key))('%s in sizes at random', (key) => {
  it('is proved, routed, measured to the last part, and reads back from its own words', () => {
    fc.assert(
      fc.property(...size, fc.constantFrom('US', 'UK'), fc.constantFrom('short', 'whole'), manners, (...drawn) => {
        const [wide, high, way, policyAt, terms, style, manner] = drawn;
        const { bound, technique, foundation, fabric, strands } = made(key, wide, high, way, policyAt);
        must(checkFabric(fabric, { bound, technique, foundation }));
        must(checkStrands(chartOf(fabric), strands));
        const parts = measureParts({
          fabric,
          strands,
          foundation,
          technique,
          stitchWidth: 6,
          rowHeight: 6,
          diameters: bound.colours.map(() => 2),
        });
        parts.forEach((part, colour) => {
          const used = stitchesByColour(fabric)[colour] ?? 0;
          expect(part.stitches > 0).toBe(used > 0);
          for (const metres of Object.values(part)) expect(metres).toBeGreaterThanOrEqual(0);
        });
        const book = new StrandBook(strands, bound);
        const request = { fabric, bound, foundation, strands: book, terms, style, manner, hand: 'right' } as const;
        const text = printedRows(request);
        const courses = must(readRows(text, { terms, style, manner }));
        expect(sameFabric(assemble(fabric.making, fabric.count, courses, fabric.colourCount), fabric)).toBe(true);
        must(readBack(text, request));
      }),
      { numRuns: process.env.PUNTADA_LONG ? 20 : 5 },
    );
  });

  it.each(['compact', 'printed'] as const)('a changed word of a %s row changes the fabric, or is refused', (manner) => {
    const { bound, foundation, fabric, strands } = made(key, 2, 5, 0, 1);
    const book = new StrandBook(strands, bound);
    const request = { fabric, bound, foundation, strands: book, terms: 'US', manner, hand: 'right' } as const;
    const text = printedRows(request);
    for (const row of [0, 2, text.length - 1]) {
      const words = (text[row] as string).split(' ');
      for (let i = 0; i < words.length; i++) {
        const word = words[i] as string;
        const changed = /\d/.test(word)
          ? word.replace(/\d+/, (n) => String(Number(n) + 1))
          : word.replace(/[A-Za-z]+/, (letters) => (letters === 'A' ? 'B' : letters === 'B' ? 'A' : `${letters}x`));
        if (changed === word) continue;
        const lines = text.with(row, words.with(i, changed).join(' '));
        const back = readBack(lines, request);
        expect([lines[row], back.ok && sameFabric(back.value, fabric)]).toEqual([lines[row], false]);
      }
    }
  });
});
