import fc from 'fast-check';
import { shadeWords } from '../../words/en/shades.ts';
import { findPattern } from '../book/book.ts';
import { bindPattern } from '../notation/bind.ts';
import { must } from '../values/problem.ts';
import { difference, hexOf, lightnessOf, lightOf } from './colour.ts';
import { eyes, lightSeen, shadeSeen } from './eyes.ts';
import { readShades, smallestRun } from './reading.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('a shade in numbers', () => {
  it('black is 0, white 100, and the grey of half the light is 76', () => {
    // L* of half the light: 116 · 0.5^(1/3) − 16 = 116 · 0.7937 − 16 = 76.07; half the light is coded 188.
    expect(lightnessOf('#000000')).toBe(0);
    expect(lightnessOf('#ffffff')).toBeCloseTo(100, 6);
    expect(lightnessOf('#bcbcbc')).toBeCloseTo(76.07, 0);
  });

  it('goes into light and back without loss', () => {
    fc.assert(
      fc.property(hex, (shade) => {
        expect(hexOf(lightOf(shade))).toBe(shade);
      }),
    );
  });

  it('differs from itself by nothing, and white from black by 100', () => {
    expect(difference(lightOf('#24476b'), lightOf('#24476b'))).toBe(0);
    expect(difference(lightOf('#000000'), lightOf('#ffffff'))).toBeCloseTo(100, 0);
  });
});

describe('eyes that see less', () => {
  it('leave every grey as it is', () => {
    for (const each of eyes) {
      for (const grey of ['#000000', '#404040', '#a0a0a0', '#ffffff']) expect(shadeSeen(grey, each)).toBe(grey);
    }
  });

  it('a red and a green of one lightness lie far apart for most eyes, and near for green-blind ones', () => {
    const [red, green] = ['#c05050', '#5a8a3c'];
    const seen = readShades(red, green);
    const of = (which: string) => seen.seenBy.find((each) => each.eyes === which)?.difference ?? 0;
    expect(seen.all).toBeGreaterThan(50);
    expect(of('green-blind')).toBeLessThan(seen.all / 2);
    expect(of('grey')).toBeCloseTo(seen.lightness, 6);
  });

  it('in grey only lightness is left', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        const grey = difference(lightSeen(a, 'grey'), lightSeen(b, 'grey'));
        expect(grey).toBeCloseTo(Math.abs(lightnessOf(a) - lightnessOf(b)), 0);
      }),
    );
  });
});

describe('the verdict on two yarns', () => {
  it('goes by lightness, and small figures need more of it', () => {
    expect(readShades('#ffffff', '#24476b').verdict).toBe('clear');
    expect(readShades('#d9c19a', '#a8352c').verdict).toBe('clear');
    // Lightness 79 and 39: wide figures read clearly, figures of one stitch softly.
    expect(readShades('#d9c19a', '#a8352c', 1).verdict).toBe('soft');
    expect(readShades('#777777', '#888888').verdict).toBe('hardly');
    expect(shadeWords(readShades('#777777', '#888888'))).toContain('lighter A');
  });

  it('knows the narrowest run of a pattern', () => {
    const of = (key: string, numbers = {}) => smallestRun(must(bindPattern(must(findPattern(key)), { numbers })));
    expect(of('block-check', { b: 6 })).toBe(6);
    expect(of('net-floats')).toBe(1);
  });
});
