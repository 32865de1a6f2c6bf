import fc from 'fast-check';
import { type RowsAfter, thinned } from './logTimes.ts';

function thinnedPoints(points: readonly RowsAfter[]): RowsAfter[] {
  const [hours, rows] = [points.map((each) => each.hours), points.map((each) => each.row)];
  return thinned(hours, rows);
}

describe('a long line drawn with fewer points', () => {
  it('leaves a short one alone', () => {
    const points = Array.from({ length: 900 }, (_, n) => ({ hours: n / 10, row: n % 7 }));
    expect(thinnedPoints(points)).toEqual(points);
  });

  it('begins and ends where it did, is as high and as low, and takes no more than four points a part', () => {
    const steps = fc.array(fc.integer({ min: -3, max: 5 }), { minLength: 3000, maxLength: 9000 });
    fc.assert(
      fc.property(steps, (changes) => {
        let row = 0;
        const points = changes.map((change, n) => {
          row = Math.max(0, row + change);
          return { hours: n / 40, row };
        });
        const fewer = thinnedPoints(points);
        expect(fewer.length).toBeLessThanOrEqual(4 * 601);
        expect([fewer[0], fewer.at(-1)]).toEqual([points[0], points.at(-1)]);
        const rows = (of: readonly { row: number }[]) => of.map((point) => point.row);
        expect([Math.min(...rows(fewer)), Math.max(...rows(fewer))]).toEqual([
          Math.min(...rows(points)),
          Math.max(...rows(points)),
        ]);
        // In their order, and every one of them a point of the line.
        const places = fewer.map(({ hours, row }) =>
          points.findIndex((each) => each.hours === hours && each.row === row),
        );
        expect(places).toEqual([...places].sort((a, b) => a - b));
        expect(places[0]).toBe(0);
      }),
      { numRuns: 10 },
    );
  });
});
