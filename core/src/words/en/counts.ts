import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { Making } from '../../craft/patterns/model.ts';

/** What heights are counted in, in the plural. */
export function upWord(made: Making): string {
  if (made === 'diagonals') return 'blocks up';
  return isRoundMaking(made) ? 'rounds' : 'rows';
}

/** What so many courses of a making are called: `1 round`, `14 rows`, `19 diagonals`. */
export function coursesText(count: number, made: string): string {
  const word = isRoundMaking(made as Making) ? 'round' : made === 'diagonals' ? 'diagonal' : 'row';
  return `${count} ${word}${count === 1 ? '' : 's'}`;
}
