import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { findPattern } from '../../craft/book/book.ts';
import type { EdgeRule } from '../../craft/fabric/edges.ts';
import { chooseFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { must } from '../../craft/values/problem.ts';
import { arithmeticWords } from '../../words/en/arithmetic.ts';
import { type AcrossRequest, fitAcross, type WishedWidth } from './across.ts';
import { admits, around, nearest, neighbours, progression } from './progression.ts';
import { type EndRule, fitUp } from './up.ts';

function exact(mid: number): Estimate {
  return { mid, low: mid, high: mid, source: 'typed' };
}

function across(wish: WishedWidth, edges: EdgeRule, key = 'block-check', choice = {}, foundation?: string) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern, choice));
  const technique = must(techniqueOf(pattern));
  const request: AcrossRequest = {
    bound,
    technique,
    foundation: must(chooseFoundation(technique.foundations(bound), foundation)),
    edges,
    stitchWidth: exact(6.25),
    wish,
    units: 'cm',
  };
  return fitAcross(request);
}

function up(mm: number, ending: EndRule, key = 'block-check') {
  const pattern = must(findPattern(key));
  const [bound, technique] = [must(bindPattern(pattern)), must(techniqueOf(pattern))];
  return must(fitUp({ bound, technique, ending, rowHeight: exact(100 / 18), wish: { by: 'length', mm } }));
}

describe('widths of block check 4 × 4 for 24 cm at 16 stitches to 10 cm', () => {
  it('whole repeats offer 36 and 40 stitches, 22.5 and 25.0 cm', () => {
    const fit = must(across({ by: 'length', mm: 240 }, 'whole'));
    const found = fit.offers.map((offer) => [offer.stitches, offer.chains, offer.width.mid]);
    expect(found).toContainEqual([36, 37, 225]);
    expect(found).toContainEqual([40, 41, 250]);
    // Within a quarter of 24 cm lie 18 to 30 cm: 28.8 to 48 stitches.
    expect(fit.offers.map((offer) => offer.stitches)).toEqual([32, 36, 40, 44, 48]);
  });

  it('mirrored edges offer 36 and 44, not 40', () => {
    const fit = must(across({ by: 'length', mm: 240 }, 'mirrored'));
    // 28 (17.5 cm) and 52 (32.5 cm) lie outside a quarter, but there are two on either side.
    expect(fit.offers.map((offer) => offer.stitches)).toEqual([28, 36, 44, 52]);
    expect(fit.chosen.stitches).toBe(36);
    expect(fit.offers.every((offer) => offer.alike)).toBe(true);
  });

  it('says its arithmetic', () => {
    const fit = must(across({ by: 'length', mm: 240 }, 'mirrored'));
    expect(fit.chosen.why.map(arithmeticWords)).toEqual([
      '9 blocks × 4 = 36 stitches',
      'an odd number of blocks: both edges in the same colour',
      '36 stitches + 1 to turn = 37 chains',
    ]);
  });

  it('states both multiples for stitches and for chains', () => {
    const fit = must(across({ by: 'length', mm: 240 }, 'whole'));
    expect(fit.multiples.works).toEqual({
      stitches: { multiple: 4, extra: 0 },
      chains: { multiple: 4, extra: 1 },
    });
    expect(fit.multiples.alike).toEqual({
      stitches: { multiple: 8, extra: 4 },
      chains: { multiple: 8, extra: 5 },
    });
  });

  it('centred cloths may cut the repeat, alike on both sides', () => {
    const fit = must(across({ by: 'length', mm: 240 }, 'centred'));
    const offer = fit.offers.find((each) => each.stitches === 38);
    expect(offer?.why.map(arithmeticWords)[0]).toBe('9 whole blocks × 4 + 1 at each edge = 38 stitches');
    expect(fit.offers.every((each) => each.stitches % 2 === 0)).toBe(true);
  });
});

describe('a chain already made', () => {
  it('41 chains: 40 stitches can be worked, but are not mirrored; 37 and 45 are', () => {
    for (const edges of ['whole', 'mirrored'] as const) {
      const fit = must(across({ by: 'chain', count: 41 }, edges));
      expect(fit.chosen).toMatchObject({ stitches: 40, chains: 41, alike: false });
      expect(fit.warnings[0]?.instead).toEqual([37, 45]);
      expect(told(fit.warnings[0]).message).toContain('40 stitches');
    }
  });

  it('52 chains cannot be worked: 49 and 53 can', () => {
    const fit = across({ by: 'chain', count: 52 }, 'whole');
    expect(fit.ok ? [] : fit.problems[0]?.instead).toEqual([49, 53]);
    expect(fit.ok ? '' : fit.problems[0]?.code).toBe('width-illegal');
  });

  it('houndstooth refuses an even chain and an odd number of stitches, and names the two nearest', () => {
    const chain = across({ by: 'chain', count: 40 }, 'whole', 'houndstooth');
    expect(chain.ok ? [] : chain.problems[0]?.instead).toEqual([39, 41]);
    const stitches = across({ by: 'stitches', count: 39 }, 'mirrored', 'houndstooth');
    expect(stitches.ok ? [] : stitches.problems[0]?.instead).toEqual([38, 40]);
    expect(must(across({ by: 'chain', count: 41 }, 'mirrored', 'houndstooth')).chosen.stitches).toBe(40);
  });

  it('tells nothing of blocks on the diagonal nor of a round, which begin small: asked for otherwise', () => {
    for (const [key, begins] of [
      ['storm-lantern', 'a chain of 6 for the first block'],
      ['windlass', 'a magic ring'],
    ] as const) {
      const fit = across({ by: 'chain', count: 37 }, 'whole', key);
      expect(fit.ok ? '' : told(fit.problems[0]).message).toContain(`begins with ${begins} at any width`);
    }
  });

  it('hdc begins in the 2nd chain unless the maker says otherwise', () => {
    const wish = { by: 'stitches', count: 36 } as const;
    const chains = (foundation?: string) =>
      must(across(wish, 'whole', 'block-check', { stitch: 'hdc' }, foundation)).chosen.chains;
    expect(chains()).toBe(37);
    expect(chains('hdc-3rd')).toBe(38);
    expect(chains('hdc-3rd-counted')).toBe(37);
  });

  it('buoys: 36 and 37 stitches can be worked, the second looks alike; 38 cannot', () => {
    const whole = must(across({ by: 'stitches', count: 36 }, 'whole', 'buoys')).chosen;
    expect(whole).toMatchObject({ chains: 37, alike: false });
    expect(whole.why.slice(0, 2).map(arithmeticWords)).toEqual([
      '6 buoys × 6 = 36 stitches',
      'the two edges end differently',
    ]);
    const alike = must(across({ by: 'chain', count: 38 }, 'mirrored', 'buoys')).chosen;
    expect(alike).toMatchObject({ stitches: 37, alike: true });
    expect(alike.why.slice(0, 2).map(arithmeticWords)).toEqual([
      '6 buoys × 6 + 1 = 37 stitches',
      'both edges end in the same way',
    ]);
    expect(across({ by: 'stitches', count: 38 }, 'mirrored', 'buoys').ok).toBe(false);
  });

  it('a wish narrower than one repeat is refused with the narrowest', () => {
    const fit = across({ by: 'length', mm: 40 }, 'mirrored');
    expect(fit.ok ? '' : fit.problems[0]?.code).toBe('narrower-than-repeat');
    expect(fit.ok ? '' : told(fit.problems[0]).message).toContain('8 stitches (5.0 cm)');
    expect(fit.ok ? '' : told(fit.problems[0]).hint).toContain('12 stitches, 7.5 cm');
  });
});

describe('heights for 24 cm at 18 rows to 10 cm', () => {
  it('whole blocks offer 40 rows (22.2 cm) and 44 (24.4 cm)', () => {
    const fit = up(240, 'whole');
    const sizes = new Map(fit.offers.map((offer) => [offer.rows, (offer.height.mid / 10).toFixed(1)]));
    expect(sizes.get(40)).toBe('22.2');
    expect(sizes.get(44)).toBe('24.4');
    expect(fit.chosen.rows).toBe(44);
  });

  it('ending as begun takes an odd number of bands', () => {
    const rows = up(240, 'as-begun').offers.map((offer) => offer.rows);
    expect(rows).toContain(44);
    expect(rows).not.toContain(40);
    expect(rows.every((n) => (n / 4) % 2 === 1)).toBe(true);
  });

  it('says its arithmetic upwards too', () => {
    expect(up(240, 'whole').chosen.why.map(arithmeticWords)).toEqual([
      '11 bands × 4 = 44 rows',
      'it ends in the colour you began with',
    ]);
    expect(up(240, 'as-begun', 'buoys').chosen.why.map(arithmeticWords)).toEqual([
      '5 rows of buoys × 8 = 40 rows',
      'it ends in the colour you began with',
    ]);
    expect(up(240, 'any').chosen.why.map(arithmeticWords)[0]).toBe('43 rows');
  });

  it('houndstooth that ends in its first colour has an odd number of rows', () => {
    const fit = up(240, 'as-begun', 'houndstooth');
    expect(fit.offers.every((offer) => offer.rows % 2 === 1)).toBe(true);
    expect(fit.chosen.rows).toBe(43);
  });
});

describe('the laws of a progression', () => {
  const rule = fc
    .record({ step: fc.integer({ min: 1, max: 80 }), offset: fc.nat(80), least: fc.nat(100) })
    .map(({ step, offset, least }) => progression(step, offset, least));
  const wish = fc.double({ min: 0.5, max: 900, noNaN: true });

  it('offers only what it admits, all of it within a quarter, and two on either side where there are', () => {
    fc.assert(
      fc.property(rule, wish, (law, wished) => {
        const offers = around(law, wished);
        expect(offers.every((n) => admits(law, n))).toBe(true);
        for (let n = law.least; n <= wished * 1.25; n += law.step) {
          if (n >= wished * 0.75) expect(offers).toContain(n);
        }
        expect(offers.filter((n) => n > wished).length).toBeGreaterThanOrEqual(2);
        const below = Array.from({ length: 2 }, (_, i) => law.least + i * law.step).filter((n) => n < wished).length;
        expect(offers.filter((n) => n < wished).length).toBeGreaterThanOrEqual(below);
        expect([...offers].sort((a, b) => a - b)).toEqual(offers);
        expect(offers).toContain(nearest(law, wished));
      }),
    );
  });

  it('names the nearest on either side of what it does not admit', () => {
    fc.assert(
      fc.property(rule, fc.integer({ min: 1, max: 900 }), (law, n) => {
        for (const near of neighbours(law, n)) {
          expect(admits(law, near)).toBe(true);
          for (let between = Math.min(n, near) + 1; between < Math.max(n, near); between++) {
            expect(admits(law, between)).toBe(false);
          }
        }
      }),
    );
  });
});
