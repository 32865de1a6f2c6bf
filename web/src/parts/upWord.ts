import { type BoundPattern, isRoundMaking } from '@puntada/core/craft';

/** What heights are counted in, in the plural. */
export function upWord(made: BoundPattern['pattern']['made']): string {
  if (made === 'diagonals') return 'blocks up';
  return isRoundMaking(made) ? 'rounds' : 'rows';
}
