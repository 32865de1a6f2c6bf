import { borderArcs, borderRects } from './borderLook.ts';

describe('a patterned border as it is drawn', () => {
  const cloth = { x: 20, y: 20, width: 60, height: 30 };

  it('a tooth of a round: its stitches lie along all four sides, a third of the way', () => {
    const rects = borderRects([{ across: '.x.', up: '.x.', corner: '.' }], cloth, 6);
    // 60 px of three stitches are 20 each, 30 px 10.
    expect(rects).toEqual([
      { x: 40, y: 14, width: 20, height: 6 },
      { x: 40, y: 50, width: 20, height: 6 },
      { x: 14, y: 30, width: 6, height: 10 },
      { x: 80, y: 30, width: 6, height: 10 },
    ]);
  });

  it('a round of the second colour alone is a whole frame, corners and all', () => {
    const rounds = [
      { across: '...', up: '...', corner: '.' },
      { across: 'xxxxx', up: 'xxxxx', corner: 'x' },
    ];
    const rects = borderRects(rounds, cloth, 12);
    const area = rects.reduce((sum, { width, height }) => sum + width * height, 0);
    // The outer of two rounds of 6 px: 84 × 54 less 72 × 42.
    expect(area).toBeCloseTo(84 * 54 - 72 * 42, 9);
    expect([Math.min(...rects.map(({ x }) => x)), Math.max(...rects.map(({ x, width }) => x + width))]).toEqual([
      8, 92,
    ]);
  });

  it('about a circle it lies in turns', () => {
    expect(borderArcs([{ across: '.x..', up: '', corner: '' }], 40, 8)).toEqual([{ radius: 44, from: 0.25, to: 0.5 }]);
  });
});
