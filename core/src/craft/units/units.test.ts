import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { must } from '../values/problem.ts';
import { parseAmount } from './amount.ts';
import { parseLength, printLength } from './length.ts';
import { parseLabel, parseMass, parseYarnLength, yarnLengthNumber } from './yarn.ts';

describe('what people type', () => {
  it.each([
    ['24', 'cm', 240],
    ['24cm', 'in', 240],
    ['24,5', 'cm', 245],
    ['24.5 cm', 'in', 245],
    ['245 mm', 'in', 245],
    ['1.5 m', 'cm', 1500],
    ['9 1/2 in', 'cm', 241.3],
    ['9½"', 'cm', 241.3],
    ['9½', 'in', 241.3],
    ['1/4', 'in', 6.35],
    ['.5', 'cm', 5],
  ] as const)('%s (bare numbers in %s) is %d mm', (typed, unit, mm) => {
    expect(must(parseLength(typed, unit))).toBeCloseTo(mm, 9);
  });

  it.each(['', 'wide', '12x', '1/0', '3..4', '9 1/2 1/2', '--3', '24 25'])(
    '“%s” is refused with what to do',
    (typed) => {
      const read = parseLength(typed, 'cm');
      expect(read.ok).toBe(false);
      if (!read.ok) expect(told(read.problems[0]).hint).toMatch(/Type|Use/);
    },
  );

  it('does not guess what 1,250 means', () => {
    const read = parseAmount('1,250');
    expect(read.ok).toBe(false);
    if (!read.ok) expect(told(read.problems[0]).message).toContain('1250 or 1.250');
  });

  it('knows a length from a mass', () => {
    const read = parseLength('24 g', 'cm');
    expect(read.ok ? '' : read.problems[0]?.code).toBe('unit-not-of-length');
  });

  it('reads yarn and mass', () => {
    expect(must(parseYarnLength('93 yd'))).toBeCloseTo(85.0392, 6);
    expect(must(parseYarnLength('85'))).toBe(85);
    expect(must(parseMass('1 3/4 oz'))).toBeCloseTo(49.6117, 3);
  });
});

describe('what people read', () => {
  it('uses tenths of a centimetre and quarters of an inch', () => {
    expect(printLength(244.4, 'cm')).toBe('24.4 cm');
    expect(printLength(241.3, 'in')).toBe('9 1/2 in');
    expect(printLength(6.35, 'in')).toBe('1/4 in');
    expect(printLength(-15, 'cm')).toBe('−1.5 cm');
    expect(printLength(-0.1, 'cm')).toBe('0.0 cm');
    expect(printLength(253.9, 'in')).toBe('10 in');
  });

  it('gives yards beside inches', () => {
    expect(yarnLengthNumber(85.0392, 'in')).toBe('93');
    expect(yarnLengthNumber(3.25, 'cm')).toBe('3.3');
  });
});

describe('round trips', () => {
  it('what is printed is read back as what was printed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), (quarters) => {
        const mm = quarters * 6.35;
        expect(must(parseLength(printLength(mm, 'in'), 'cm'))).toBeCloseTo(mm, 9);
      }),
    );
  });
});

describe('a label typed in one line', () => {
  it.each([
    ['100 g = 210 m', 210, 100],
    ['210 m / 100 g', 210, 100],
    ['50g, 85m', 85, 50],
    ['85 m per 50 g', 85, 50],
    ['93 yd / 1.75 oz', 93 * 0.9144, 1.75 * 28.349523125],
  ])('%s', (typed, metres, grams) => {
    const label = must(parseLabel(typed));
    expect(label.metres).toBeCloseTo(metres, 6);
    expect(label.grams).toBeCloseTo(grams, 6);
  });

  it.each(['100 g', '210', '100 g = 210', 'heavy = long', '100 g = 210 m = 5 m', ''])('%j is refused', (typed) => {
    const label = parseLabel(typed);
    expect(label.ok ? '' : told(label.problems[0]).hint).toContain('100 g = 210 m');
  });
});
