import { type Fabric, stitchKind } from '@puntada/core/craft';

/** Whether two kinds of unlike height share a course; then each stitch stands on the one below, not on a line. */
export function isStepped(fabric: Fabric): boolean {
  const first = stitchKind(fabric.kinds[0] as number).height;
  for (let i = 1; i < Math.min(fabric.kinds.length, fabric.stitches); i++) {
    if (stitchKind(fabric.kinds[i] as number).height !== first) return true;
  }
  return false;
}

/** Mean height of the stitches of a course, against a single crochet. */
export function meanHeight(fabric: Fabric, course: number): number {
  let sum = 0;
  for (let x = 0; x < fabric.stitches; x++) {
    sum += stitchKind(fabric.kinds[course * fabric.stitches + x] as number).height;
  }
  return sum / fabric.stitches;
}

/** Where each stitch of a stepped fabric ends above the bottom, in row heights, by column for one course. */
export function steppedTops(fabric: Fabric, courses: number): Float64Array {
  const { stitches, kinds } = fabric;
  const tops = new Float64Array(stitches);
  for (let course = 0; course < courses; course++) {
    const mean = meanHeight(fabric, course);
    for (let x = 0; x < stitches; x++) {
      tops[x] = (tops[x] as number) + stitchKind(kinds[course * stitches + x] as number).height / mean;
    }
  }
  return tops;
}
