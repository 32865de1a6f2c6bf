import type { WorkedCourse } from '@puntada/core/plan';
import { courseWord, startWords, workSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

interface Props {
  /** Which cloth it is, where there are several. */
  readonly which: string;
  readonly cloth: WorkCloth;
  /** The row that stands on it. */
  readonly first: WorkedCourse;
  /** The chain by twenties. */
  readonly children: ReactNode;
}

/** The foundation chain of a cloth, before its first row, and how that row begins. */
export function ChainInHand({ which, cloth, first, children }: Props) {
  const { terms } = usePreferences();
  const { foundation, fabric } = cloth;
  return (
    <section className="grid content-start gap-4 p-6">
      <h2 className="text-[19px] font-semibold">{which ? `${which}: ${workSaid.chainFirst}` : workSaid.chainFirst}</h2>
      {children}
      <p className="max-w-[70ch] text-[17px] text-soft">
        {workSaid.thenFirstRow(courseWord(fabric.making).toLowerCase())}{' '}
        {startWords(first, foundation, fabric.making, fabric.count, { terms, style: 'whole', chained: true })}.
      </p>
    </section>
  );
}
