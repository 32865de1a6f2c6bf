import { lyingOn } from '../../craft/technique/figures.ts';
import { lengthNumber, type ToldUnit, unitWord } from '../../craft/units/length.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { Hand } from '../terms/terms.ts';

/** So many cells, and how long they are. */
function margin(count: number, word: string, mm: number, units: ToldUnit): string {
  return `${count} ${count === 1 ? word.slice(0, -1) : word} (${lengthNumber(count * mm, units)} ${unitWord(units)})`;
}

/** Where each figure stands on a cloth of a size, from the edges that a maker sees, in a sentence each. */
export function placedWords(prepared: Prepared, wide: number, high: number, hand: Hand): string[] {
  const { bound, finished, technique, told } = prepared;
  const across = technique.width.word;
  const up = technique.diagonal ? 'blocks' : 'rows';
  return (bound.placed ?? []).map((figure) => {
    const { cell, row, width, height } = lyingOn(figure, wide, high);
    const edge = hand === 'right' ? 'right' : 'left';
    const beside = margin(cell, across, finished.stitchWidth.mid, told);
    const under = margin(row, up, finished.rowHeight.mid, told);
    return `${figure.name}, ${width} ${across} by ${height} ${up}: ${beside} from the ${edge} edge and ${under} from below.`;
  });
}
