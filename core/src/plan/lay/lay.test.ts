import fc from 'fast-check';
import { findPattern } from '../../craft/book/book.ts';
import { type Fabric, stitchesByColour } from '../../craft/fabric/fabric.ts';
import type { LayRequest } from '../../craft/fabric/rows.ts';
import { chooseFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { checkFabric } from '../check/fabric.ts';
import { widthRule } from '../fit/across.ts';
import { lay } from './lay.ts';

function laid(
  key: string,
  numbers: Record<string, number>,
  change: Partial<LayRequest>,
  stitch?: string,
  foundation?: string,
) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern, { numbers, stitch }));
  const request: LayRequest = {
    bound,
    foundation: must(chooseFoundation(must(techniqueOf(pattern)).foundations(bound), foundation)),
    edges: 'whole',
    stitches: 36,
    courses: 44,
    ...change,
  };
  return {
    fabric: lay(request),
    proof: { bound, technique: must(techniqueOf(pattern)), foundation: request.foundation },
  };
}

function letters(fabric: Fabric, course: number): string {
  const row = fabric.colours.subarray(course * fabric.stitches, (course + 1) * fabric.stitches);
  return Array.from(row, (colour) => 'ABC'[colour]).join('');
}

describe('block check 4 × 4 over 36 stitches and 44 rows', () => {
  const { fabric } = laid('block-check', { b: 4, r: 4 }, {});
  it('begins with 4 A, 4 B … 4 A: 20 A and 16 B', () => {
    expect(letters(fabric, 0)).toBe(`${'AAAABBBB'.repeat(4)}AAAA`);
    expect(letters(fabric, 4)).toBe(`${'BBBBAAAA'.repeat(4)}BBBB`);
  });

  it('has 1584 stitches, 800 A and 784 B: 6 bands of 20 and 16, 5 bands of 16 and 20', () => {
    expect(stitchesByColour(fabric)).toEqual([6 * 4 * 20 + 5 * 4 * 16, 6 * 4 * 16 + 5 * 4 * 20]);
    expect(stitchesByColour(fabric)).toEqual([800, 784]);
  });
});

describe('houndstooth', () => {
  it('works every sc over a dc and every dc over an sc, each row from its own beginning', () => {
    const { fabric } = laid('houndstooth', {}, { stitches: 6, courses: 3 });
    const kinds = (course: number) => Array.from(fabric.kinds.subarray(course * 6, course * 6 + 6));
    expect(kinds(0)).toEqual([0, 2, 0, 2, 0, 2]);
    expect(kinds(1)).toEqual([2, 0, 2, 0, 2, 0]);
    expect([letters(fabric, 0), letters(fabric, 1), letters(fabric, 2)]).toEqual(['AAAAAA', 'BBBBBB', 'AAAAAA']);
  });
});

describe('a chart', () => {
  it('is read from its right edge, the lowest row first', () => {
    const { fabric } = laid('buoys', {}, { stitches: 7, courses: 9 });
    const rows = Array.from({ length: 9 }, (_, course) => letters(fabric, course));
    expect(rows).toEqual([
      'AAAAAAA',
      'AAAAAAA',
      'AAABAAA',
      'AABBBAA',
      'AABBBAA',
      'AAABAAA',
      'AAAAAAA',
      'AAAAAAA',
      'AAAAAAA',
    ]);
  });

  it('is mirrored on a multiple of 6 + 1, and centred on any odd count', () => {
    for (const [edges, counts] of [
      ['mirrored', [7, 13, 37]],
      ['centred', [7, 9, 11, 15, 41]],
    ] as const) {
      for (const stitches of counts) {
        const { fabric } = laid('buoys', {}, { stitches, courses: 8, edges });
        for (let course = 0; course < 8; course++) {
          const row = letters(fabric, course);
          expect([...row].reverse().join('')).toBe(row);
        }
      }
    }
  });
});

describe('the laws of laid fabrics', () => {
  const numbers = fc.record({ b: fc.integer({ min: 1, max: 9 }), r: fc.integer({ min: 1, max: 9 }) });
  const k = fc.integer({ min: 1, max: 6 });

  it('every admitted size passes its proof', () => {
    fc.assert(
      fc.property(numbers, k, k, fc.constantFrom('sc', 'hdc'), (n, across, rows, stitch) => {
        const { fabric, proof } = laid('block-check', n, { stitches: n.b * (across + 1), courses: rows }, stitch);
        expect(checkFabric(fabric, proof).ok).toBe(true);
      }),
    );
  });

  it('mirrored and centred rows read the same from both ends', () => {
    fc.assert(
      fc.property(numbers, k, fc.constantFrom('mirrored' as const, 'centred' as const), (n, more, edges) => {
        const pattern = must(findPattern('block-check'));
        const bound = must(bindPattern(pattern, { numbers: n }));
        const rule = widthRule({ bound, technique: must(techniqueOf(pattern)) }, edges);
        const { fabric } = laid('block-check', n, { stitches: rule.least + more * rule.step, courses: 2 * n.r, edges });
        for (let course = 0; course < fabric.courses; course++) {
          const row = letters(fabric, course);
          expect([...row].reverse().join('')).toBe(row);
        }
      }),
    );
  });

  it('ending as begun ends in the row it began with', () => {
    fc.assert(
      fc.property(numbers, k, (n, bands) => {
        const { fabric } = laid('block-check', n, { stitches: 6 * n.b, courses: n.r * (2 * bands + 1) });
        expect(letters(fabric, fabric.courses - 1)).toBe(letters(fabric, 0));
      }),
    );
  });

  it('a smaller cloth is the beginning of a larger one', () => {
    fc.assert(
      fc.property(numbers, k, k, (n, across, rows) => {
        const small = laid('block-check', n, { stitches: 2 * n.b * across, courses: rows }).fabric;
        const large = laid('block-check', n, { stitches: 2 * n.b * across + 2 * n.b, courses: rows + 3 }).fabric;
        for (let course = 0; course < rows; course++) {
          expect(letters(large, course).startsWith(letters(small, course))).toBe(true);
        }
      }),
    );
  });

  it('a counted turning chain stands where each row begins', () => {
    const { fabric, proof } = laid(
      'block-check',
      { b: 2, r: 1 },
      { stitches: 4, courses: 3 },
      'hdc',
      'hdc-3rd-counted',
    );
    expect(Array.from(fabric.kinds)).toEqual([3, 1, 1, 1, 1, 1, 1, 3, 3, 1, 1, 1]);
    expect(checkFabric(fabric, proof).ok).toBe(true);
  });
});

describe('a damaged fabric is refused with its place', () => {
  const damages: [string, (fabric: Fabric) => Fabric, string][] = [
    ['a stitch missing', (f) => ({ ...f, kinds: f.kinds.slice(1), colours: f.colours.slice(1) }), ''],
    [
      'a stitch too many',
      (f) => ({ ...f, kinds: Uint8Array.of(...f.kinds, 0), colours: Uint8Array.of(...f.colours, 0) }),
      '',
    ],
    ['a colour that is not there', (f) => withCell(f, 'colours', 1, 3, 7), 'row 2, stitch 3'],
    ['a stitch of another technique', (f) => withCell(f, 'kinds', 1, 0, 1), 'row 2, stitch 6'],
    ['a stitch that is none', (f) => withCell(f, 'kinds', 2, 2, 99), 'row 3, stitch 3'],
    ['an sc over an sc', (f) => withCell(f, 'kinds', 1, 0, 0), 'row 2, stitch 6'],
  ];

  function withCell(fabric: Fabric, part: 'kinds' | 'colours', course: number, column: number, value: number): Fabric {
    const cells = fabric[part].slice();
    cells[course * fabric.stitches + column] = value;
    return { ...fabric, [part]: cells };
  }

  it.each(damages)('%s', (_what, damage, path) => {
    const { fabric, proof } = laid('houndstooth', {}, { stitches: 6, courses: 4 });
    const result = checkFabric(damage(fabric), proof);
    expect(result.ok ? 'proved' : result.problems[0]?.path).toBe(path);
  });
});
