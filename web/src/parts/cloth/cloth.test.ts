import type { Fabric } from '@puntada/core/craft';
import { contrast, onShade } from './shades.ts';
import { isStepped, steppedTops } from './steps.ts';

function fabric(rows: readonly (readonly number[])[]): Fabric {
  const stitches = rows[0]?.length ?? 0;
  const kinds = Uint8Array.from(rows.flat());
  return {
    making: 'flat',
    courses: rows.length,
    count: stitches,
    stitches,
    starts: Uint32Array.from({ length: rows.length + 1 }, (_, course) => course * stitches),
    kinds,
    colours: new Uint8Array(kinds.length),
    colourCount: 1,
  };
}

describe('stitches of unlike height', () => {
  const sc = 0;
  const dc = 2;
  it('stand as stacks: an sc and a dc share the height of two rows', () => {
    const houndstooth = fabric([
      [sc, dc],
      [dc, sc],
    ]);
    expect(isStepped(houndstooth)).toBe(true);
    // An sc is 1 and a dc 2 tall, the row 1.5 on the mean: 2/3 and 4/3 of a row.
    const [low, high] = steppedTops(houndstooth, 1);
    expect(low).toBeCloseTo(2 / 3, 9);
    expect(high).toBeCloseTo(4 / 3, 9);
    expect([...steppedTops(houndstooth, 2)].map((top) => Math.round(top * 1e9) / 1e9)).toEqual([2, 2]);
  });

  it('lie level where all are alike', () => {
    expect(
      isStepped(
        fabric([
          [sc, sc],
          [sc, sc],
        ]),
      ),
    ).toBe(false);
    expect([
      ...steppedTops(
        fabric([
          [sc, sc],
          [sc, sc],
        ]),
        2,
      ),
    ]).toEqual([2, 2]);
  });
});

describe('shades', () => {
  it('differ by the lightness that the eye sees', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
    expect(contrast('#777777', '#777777')).toBe(1);
  });

  it('carry the ink that reads better, 4.5 : 1 at least on every grey', () => {
    for (let grey = 0; grey < 256; grey += 5) {
      const part = grey.toString(16).padStart(2, '0');
      const shade = `#${part}${part}${part}`;
      expect(contrast(shade, onShade(shade))).toBeGreaterThanOrEqual(4.5);
    }
    expect(onShade('#e9dfc4')).toBe('#2b1b30');
    expect(onShade('#24476b')).toBe('#fbfcfa');
  });
});
