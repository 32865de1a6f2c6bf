import { must } from '../problem.ts';
import { techniqueOf } from '../techniques/register.ts';
import type { Fabric } from './fabric.ts';
import { layGrid } from './grid.ts';
import type { LayRequest } from './rows.ts';

export type { LayRequest } from './rows.ts';

/**
 * Lays the fabric: every cell of every course, from the pattern and the chosen size.
 * The size is one that `fit` has admitted. Time and memory are linear in the number of stitches.
 */
export function lay(request: LayRequest): Fabric {
  const technique = must(techniqueOf(request.bound.pattern));
  return technique.lay ? technique.lay(request) : layGrid(request, technique);
}
