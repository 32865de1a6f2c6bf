import { sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { decimal, decimalMarkOf, figure, tellDecimals } from '../../craft/values/decimal.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { planDocument } from '../document/planDocument.ts';
import { differenceText, gramsText, hoursText, lengthText, sizeText } from './figures.ts';

const known = (mid: number) => ({ low: mid, mid, high: mid, source: 'typed' as const });

/** Every text within a document. */
function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  return value && typeof value === 'object' ? Object.values(value).flatMap(textsIn) : [];
}

describe('numbers as a region writes them', () => {
  afterEach(() => tellDecimals('.'));

  it.each([
    ['en-GB', '.'],
    ['en-US', '.'],
    ['de-DE', ','],
    ['fr', ','],
    ['pt-BR', ','],
    ['es-MX', '.'],
    ['not a language', '.'],
  ])('%s writes a half with %s', (language, mark) => {
    expect(decimalMarkOf(language)).toBe(mark);
  });

  it('a comma stands wherever a point would', () => {
    tellDecimals(',');
    expect([decimal(1.25, 1), figure(2.5), figure(3), figure(0.1 + 0.2)]).toEqual(['1,3', '2,5', '3', '0,3']);
    expect(sizeText(known(225), known(244), 'cm')).toBe('22,5 × 24,4 cm');
    expect(lengthText(known(254), 'in-decimals')).toBe('10,00 in');
    expect(lengthText(known(-20), 'cm')).toBe('−2,0 cm');
    expect(differenceText(known(225), 0, 'cm')).toBe('0,0 cm');
    expect(gramsText(known(4.5), 'cm')).toBe('4,5 g');
    expect(hoursText({ low: 2.61 * 3600, mid: 2.62 * 3600, high: 2.64 * 3600, source: 'typed' })).toBe('about 2,6 h');
  });

  it.each(['cm', 'in-decimals'] as const)('in %s no text of a plan has a point within a number', (told) => {
    for (const { key } of patternBook.slice(0, 12)) {
      const yarns = sampleWish().yarns.map((yarn) => ({
        ...yarn,
        ballMetres: 85.5,
        ballGrams: 50,
        balls: 2,
        partGrams: 20.5,
      }));
      const plan = planWish({ ...sampleWish({ pattern: { key } }), yarns }, told);
      if (!plan.ok) continue;
      tellDecimals(',');
      const texts = textsIn(planDocument(must(plan)));
      expect(texts.some((text) => /\d,\d/.test(text))).toBe(true);
      expect(texts.filter((text) => /\d\.\d/.test(text))).toEqual([]);
      tellDecimals('.');
    }
  });
});
