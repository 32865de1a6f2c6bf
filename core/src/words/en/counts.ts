import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';

/** What heights are counted in, in the plural. */
export function upWord(made: BoundPattern['pattern']['made']): string {
  if (made === 'diagonals') return 'blocks up';
  return isRoundMaking(made) ? 'rounds' : 'rows';
}
