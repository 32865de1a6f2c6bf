import { type Estimate, plus, spread, times } from '../../craft/values/estimate.ts';
import { anyMultipleText, shortMultiple } from '../en/arithmetic.ts';
import {
  ballsText,
  chanceText,
  differenceText,
  enoughText,
  finishedText,
  gramsText,
  hoursText,
  lengthText,
  metresText,
  sizeText,
} from './figures.ts';

const typed = (mid: number): Estimate => ({ mid, low: mid * 0.9, high: mid * 1.1, source: 'typed' });
const typical = (mid: number): Estimate => ({ ...typed(mid), source: 'typical' });

describe('figures as people read them', () => {
  it('a counted size is one number, a typical one never', () => {
    expect(lengthText(typed(225), 'cm')).toBe('22.5 cm');
    expect(lengthText(typical(225), 'cm')).toBe('20.3–24.8 cm typical');
    expect(lengthText(typical(225), 'in')).toBe('8–9 3/4 in typical');
    expect(sizeText(typed(225), typed(244.4), 'cm')).toBe('22.5 × 24.4 cm');
    expect(sizeText(typed(225), typical(200), 'cm')).toBe('20.3–24.8 × 18.0–22.0 cm typical');
  });

  it('hours are a range, as fine as it takes to be one', () => {
    const hours = (low: number, high: number) =>
      hoursText({ low: low * 3600, mid: low * 3600, high: high * 3600, source: 'piece' });
    expect(hours(6.2, 9.4)).toBe('6–9 h');
    expect(hours(2.6, 3.2)).toBe('2.6–3.2 h');
    expect(hours(2.61, 2.64)).toBe('about 2.6 h');
    expect(hours(0.9, 1.2)).toBe('54–72 min');
    expect(hours(0.1, 0.105)).toBe('about 6 min');
  });

  it('a circle has one figure, told once', () => {
    expect(finishedText(typed(225), typed(225), 'cm', true)).toBe('22.5 cm across');
    expect(finishedText(typical(225), typical(225), 'cm', true)).toBe('20.3–24.8 cm across typical');
    expect(finishedText(typed(225), typed(244.4), 'cm', false)).toBe('22.5 × 24.4 cm');
  });

  it('a difference has its sign, and its range when typical', () => {
    expect(differenceText(typed(225), -15, 'cm')).toBe('−1.5 cm');
    expect(differenceText(typed(244.4), 4.4, 'cm')).toBe('+0.4 cm');
    expect(differenceText(typed(240), 0, 'cm')).toBe('0.0 cm');
    // 202.5 to 247.5 against a wish of 240.
    expect(differenceText(typical(225), -15, 'cm')).toBe('−3.8 to +0.8 cm typical');
  });

  it('yarn is a range until it has been weighed', () => {
    expect(metresText(typed(40), 'cm')).toBe('36–44 m');
    expect(metresText(typed(40), 'in')).toBe('39–48 yd');
    expect(metresText(typical(4), 'cm')).toBe('3.6–4.4 m typical');
    expect(gramsText(typed(50), 'cm')).toBe('45–55 g');
    expect(gramsText(typed(50), 'in')).toBe('1.6–1.9 oz');
  });

  it('balls are whole, and only a bound when typical', () => {
    expect(ballsText({ count: 1, source: 'typed' })).toBe('1 ball');
    expect(ballsText({ count: 3, source: 'label' })).toBe('3 balls');
    expect(ballsText({ count: 3, source: 'typical' })).toBe('up to 3 balls typical');
  });
});

describe('whether yarn is enough', () => {
  it('is said in words first; what is nearly certain or hopeless is never told as either', () => {
    expect([1, 0.992, 0.97, 0.8, 0.5, 0.1, 0.001].map(enoughText)).toEqual([
      'almost certainly enough (over 99 %)',
      // Always rounded down, so that no chance is told as more than it is.
      'almost certainly enough (99 %)',
      'very likely enough (97 %)',
      'probably enough (80 %)',
      'possibly enough (50 %)',
      'probably not enough (10 %)',
      'not enough (under 1 %)',
    ]);
  });
});

describe('which counts work', () => {
  it('in a sentence and behind a word', () => {
    expect(anyMultipleText({ multiple: 7, extra: 0 })).toBe('Any multiple of 7');
    expect(anyMultipleText({ multiple: 7, extra: 2 })).toBe('Any multiple of 7 + 2');
    expect(anyMultipleText({ multiple: 1, extra: 0 })).toBe('Any number');
    expect(shortMultiple({ multiple: 7, extra: 3 })).toBe('7 + 3');
  });
});

describe('estimates', () => {
  it('spread by their logarithm: nine in ten within 1.6449 of it', () => {
    const metres = spread(331, 0.0295, 'piece');
    expect(metres.low).toBeCloseTo(331 * Math.exp(-1.6449 * 0.0295), 9);
    expect(metres.high / 331).toBeCloseTo(331 / metres.low, 9);
  });

  it('move and scale with all they know', () => {
    expect(plus(typed(10), 1)).toEqual({ mid: 11, low: 10, high: 12, source: 'typed' });
    expect(times(typical(10), 2)).toEqual({ mid: 20, low: 18, high: 22, source: 'typical' });
  });
});

describe('a chance', () => {
  it.each([
    [0, 'under 1 %'],
    [0.0099, 'under 1 %'],
    [0.31, '31 %'],
    [0.9549, '95 %'],
    [0.9951, 'over 99 %'],
    [1, 'over 99 %'],
  ])('%d is told as %s', (chance, text) => {
    expect(chanceText(chance)).toBe(text);
  });
});
