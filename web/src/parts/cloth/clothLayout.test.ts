import { bindPattern, findFoundation, findPattern, inRounds, must, techniqueOf } from '@puntada/core/craft';
import { lay } from '@puntada/core/plan';
import { faceOf, liesDouble, placeOf, shapeOf } from './clothLayout.ts';

function laid(key: string, stitches: number, rows: number, way?: string) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern));
  const technique = must(techniqueOf(pattern));
  const foundation = findFoundation(way ?? (technique.foundations(bound)[0] as string));
  if (!foundation) throw new Error(`no foundation ${way}`);
  return lay({
    bound,
    foundation,
    edges: 'whole',
    stitches,
    courses: technique.courses?.(stitches, rows) ?? rows,
  });
}

describe('how cells lie on the face that is seen', () => {
  it.each([
    ['block-check', 12, 8, 'grid', 12, 8],
    ['tide-marks', 9, 10, 'grid', 9, 10],
    ['two-nets', 4, 4, 'grid', 11, 4],
    ['spires', 27, 8, 'brick', 27, 8],
    ['net-floats', 6, 4, 'clusters', 6, 4],
    ['signal-flag', 7, 5, 'blocks', 7, 5],
    ['windlass', 12, 6, 'circle', 12, 12],
  ] as const)('%s of %d × %d is a %s', (key, stitches, rows, shape, across, up) => {
    const fabric = laid(key, stitches, rows);
    expect(shapeOf(fabric)).toBe(shape);
    expect(faceOf(fabric)).toEqual({ across, up });
  });

  it('a tube on a circle has its rounds drawn out to the width of the sides', () => {
    const pattern = must(findPattern('block-check'));
    const bound = must(bindPattern(inRounds(pattern, 'rounds')));
    const foundation = findFoundation('circle-sc');
    if (!foundation) throw new Error('no circle');
    // 6 increases a round: 24 stitches after 4 rounds, then 5 rounds of side.
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 24, courses: 9, increases: 6 });
    expect(shapeOf(fabric)).toBe('based');
    expect(liesDouble(fabric)).toBe(true);
    expect(faceOf(fabric)).toEqual({ across: 24, up: 9 });
    expect(placeOf(fabric, 'based', 0, 1)).toEqual({ at: 4, width: 4 });
    expect(placeOf(fabric, 'based', 5, 1)).toEqual({ at: 1, width: 1 });
  });

  it('clusters of the second row lie half a cluster on, with half ones at the edges', () => {
    const fabric = laid('net-floats', 4, 2, 'granny-4th');
    const row = (course: number, cells: number) =>
      Array.from({ length: cells }, (_, x) => placeOf(fabric, 'clusters', course, x));
    expect(row(0, 4).map((cell) => [cell.at, cell.width])).toEqual([
      [0, 1],
      [1, 1],
      [2, 1],
      [3, 1],
    ]);
    expect(row(1, 5).map((cell) => [cell.at, cell.width])).toEqual([
      [0, 0.5],
      [0.5, 1],
      [1.5, 1],
      [2.5, 1],
      [3.5, 0.5],
    ]);
  });

  it('bricks go half a stitch to and fro', () => {
    const fabric = laid('spires', 27, 8);
    const step = placeOf(fabric, 'brick', 1, 5).at - placeOf(fabric, 'brick', 0, 5).at;
    expect(step).toBe(0.5);
    expect(placeOf(fabric, 'brick', 2, 5).at).toBe(placeOf(fabric, 'brick', 0, 5).at);
  });
});
