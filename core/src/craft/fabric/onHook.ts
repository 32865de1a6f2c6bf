import { stitchKind } from '../stitches/kinds.ts';
import { cellWorked, type Fabric } from './fabric.ts';

/** The colour in which flecks are finished, and so the one on the hook before and after each. */
export const ground = 0;

/** The colour on the hook before a cell is worked: a fleck is drawn up in its own and finished in the ground's. */
export function onHook(fabric: Fabric, cell: number): number {
  const { key } = stitchKind(fabric.kinds[cell] as number);
  return key === 'fleck' ? ground : (fabric.colours[cell] as number);
}

/** The number of the colour that a cloth begins in: of its chain, its ring or its first stitch. */
export function beginColour(fabric: Fabric): number {
  return fabric.courses ? onHook(fabric, cellWorked(fabric, 0, 0)) : ground;
}
