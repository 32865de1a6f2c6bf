import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { findFoundation } from '../../craft/foundation/foundation.ts';
import { checkGiven } from '../../craft/notation/given.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { readPattern } from '../../craft/notation/read.ts';
import { reviewPattern } from '../../craft/notation/review.ts';
import type { Problem, Result } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { readPatternJson } from '../../records/pattern.ts';
import { readJson, readShape } from '../../records/readJson.ts';
import { wishSchema } from '../../records/wish.ts';

/** Either it is good, or there is at least one problem with a sentence and a hint. */
function isAnswered(result: Result<unknown>): void {
  if (result.ok) return;
  expect(result.problems.length).toBeGreaterThan(0);
  for (const problem of result.problems as readonly Problem[]) {
    expect(typeof problem.path).toBe('string');
    expect(told(problem).message.length).toBeGreaterThan(5);
    expect(told(problem).hint.length).toBeGreaterThan(5);
  }
}

const texts = patternBook.map(printPattern);
const scraps = [
  '',
  '|',
  '"',
  ':',
  '-',
  '99999999999',
  '(',
  ')',
  '@',
  'ch',
  'dc',
  'A',
  'Z',
  'row',
  'end',
  'chart',
  '0',
  'i',
  '*',
  '\u0000',
  'é',
  '\n\n',
];

/** A text with a few pieces cut out, doubled, swapped or put in. */
const torn = (source: readonly string[]) =>
  fc
    .tuple(
      fc.constantFrom(...source),
      fc.array(fc.tuple(fc.nat(), fc.nat(12), fc.constantFrom(...scraps)), { minLength: 1, maxLength: 4 }),
    )
    .map(([text, cuts]) =>
      cuts.reduce((now, [at, length, scrap]) => {
        const from = at % (now.length + 1);
        return now.slice(0, from) + scrap + now.slice(from + length);
      }, text),
    );

describe('bad input, made up by the thousand', () => {
  it('2,000 torn pattern texts: read, or refused with a listed problem', () => {
    fc.assert(
      fc.property(torn(texts), (text) => {
        const read = readPattern(text);
        isAnswered(read);
        if (read.ok) isAnswered(reviewPattern(read.value));
      }),
      { numRuns: 2000 },
    );
  });

  it('1,000 torn typed rows, checked as they are given', () => {
    const foundation = findFoundation('sc-2nd') as NonNullable<ReturnType<typeof findFoundation>>;
    fc.assert(
      fc.property(torn(['6A 3B 6A', '2A | 4B 4A | 2A', '1sc 1dc@2:B', '12A']), fc.nat(400), (row, chain) => {
        isAnswered(checkGiven({ row, chain, multiple: { multiple: 9, extra: 2 } }, foundation));
      }),
      { numRuns: 1000 },
    );
  });

  it('500 torn pattern documents', () => {
    const documents = patternBook.map((pattern) => JSON.stringify(pattern));
    fc.assert(
      fc.property(torn(documents), (text) => isAnswered(readPatternJson(text))),
      { numRuns: 500 },
    );
  });

  it('1,500 torn wishes, planned where they can be read', () => {
    const bobbins = { pattern: { text: texts[1] }, policy: 'bobbins' };
    const wishes = [
      JSON.stringify(sampleWish()),
      JSON.stringify(sampleWish({ border: { rounds: 2 }, pieces: 3, wash: 'acrylic', finish: { ring: '6 cm' } })),
      JSON.stringify({ ...sampleWish({ height: { by: 'length', length: '6 cm' } }), ...bobbins }),
    ];
    fc.assert(
      fc.property(torn(wishes), (text) => {
        const read = readJson(wishSchema, text);
        isAnswered(read);
        if (read.ok && (read.value.width.by === 'length' || read.value.width.count < 200))
          isAnswered(planWish(read.value));
      }),
      { numRuns: 1500 },
    );
  });

  it('1,000 wishes with a field of another kind, or with patterns torn inside them', () => {
    const wish = JSON.parse(JSON.stringify(sampleWish())) as Record<string, unknown>;
    const junk = fc.oneof(
      fc.anything({ maxDepth: 2 }),
      torn(texts).map((text) => ({ text })),
    );
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(wish), 'border', 'finish', 'wash'), junk, (key, value) => {
        const read = readShape(wishSchema, { ...wish, width: { by: 'stitches', count: 24 }, [key]: value });
        isAnswered(read);
        if (read.ok) isAnswered(planWish(read.value));
      }),
      { numRuns: 1000 },
    );
  });
});
