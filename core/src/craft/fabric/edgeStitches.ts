import { stitchKind } from '../stitches/kinds.ts';
import { courseCells, type Fabric } from './fabric.ts';

/** Stitches of a block on the diagonal along the edge of its piece. */
const blockStitches = 3;

/**
 * Stitches that a course offers to what is worked into it. Of blocks on the diagonal those along the upper or lower edge of
 * the piece. @param course from 0 @param edgePost the course begins with a post at its edge, which is no stitch
 */
export function edgeStitches(fabric: Fabric, course: number, edgePost: boolean): number {
  if (fabric.making === 'diagonals') return blockStitches * fabric.count;
  const { kinds } = courseCells(fabric, course);
  return kinds.reduce((sum, code) => sum + stitchKind(code).stitches, 0) - (edgePost ? 1 : 0);
}
