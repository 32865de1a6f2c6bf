import type { Hand, Terms } from '@puntada/core/words';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { RowEnd } from './RowEnd.tsx';
import type { RowInHand } from './useRowInHand.ts';
import { WorkedCloth } from './WorkedCloth.tsx';

interface Props {
  readonly row: RowInHand;
  readonly cloth: WorkCloth;
  /** Rows that are worked. */
  readonly rows: number;
  readonly ahead: boolean;
  readonly word: string;
  readonly terms: Terms;
  readonly hand: Hand;
}

/** The cloth as far as it has come, and what there should be at the end of the row in hand. */
export function ClothAndEnd({ row, cloth, rows, ahead, word, terms, hand }: Props) {
  return (
    <section className="grid min-h-[220px] flex-1 lg:grid-cols-[minmax(0,1fr)_330px]">
      <WorkedCloth
        fabric={cloth.fabric}
        shades={cloth.shades}
        hand={hand}
        proportion={cloth.proportion}
        rows={rows}
        ahead={ahead}
        stitchesDone={row.run.from - 1}
        stitchesInHand={row.run.count}
      />
      <RowEnd row={row} word={word.toLowerCase()} terms={terms} hand={hand} />
    </section>
  );
}
