/** Parts of the width in which steps cannot be told apart any more. */
const parts = 600;

/** The same line with fewer points: of each part the first, the lowest, the highest and the last. */
export function thinned<Point extends { readonly hours: number; readonly row: number }>(
  points: readonly Point[],
  hours: number,
): readonly Point[] {
  if (points.length <= 4 * parts) return points;
  const kept: Point[] = [];
  for (let start = 0; start < points.length; ) {
    const part = partOf(points[start] as Point, hours);
    let [end, low, high] = [start, start, start];
    for (; end < points.length && partOf(points[end] as Point, hours) === part; end++) {
      if ((points[end] as Point).row < (points[low] as Point).row) low = end;
      if ((points[end] as Point).row > (points[high] as Point).row) high = end;
    }
    for (const at of [...new Set([start, low, high, end - 1])].sort((a, b) => a - b)) kept.push(points[at] as Point);
    start = end;
  }
  return kept;
}

function partOf(point: { readonly hours: number }, hours: number): number {
  return Math.floor((point.hours / hours) * parts);
}
