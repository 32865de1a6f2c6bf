import { type Fabric, stitchesByColour } from '../../craft/fabric/fabric.ts';
import { type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import type { Counted } from './course.ts';

/** What is counted in a whole cloth: the same as along its rows, but stitches where clusters and edge stitches are mixed. */
export function countedCells(fabric: Fabric): Counted {
  return standsFor(fabric).includes('block') ? 'blocks' : 'stitches';
}

function standsFor({ kinds }: Fabric): StitchKey[] {
  return [...new Set(kinds)].map((code) => stitchKind(code).standsFor);
}

/** How many of what is counted each colour has in a whole cloth. */
export function countedShare(fabric: Fabric): number[] {
  if (countedCells(fabric) === 'stitches') return stitchesByColour(fabric);
  const counts = new Array<number>(fabric.colourCount).fill(0);
  for (const colour of fabric.colours) counts[colour] = (counts[colour] ?? 0) + 1;
  return counts;
}
