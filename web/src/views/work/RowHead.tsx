import { courseWord, type Hand, workSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import type { RowInHand } from './useRowInHand.ts';

interface Props {
  readonly row: RowInHand;
  readonly cloth: WorkCloth;
  readonly hand: Hand;
  /** What is told at the other end of the line. */
  readonly children: ReactNode;
}

/** Which row it is, which side faces the maker, which way the hand goes; at its beginning, how it begins. */
export function RowHead({ row: { course, at, begins }, cloth: { fabric }, hand, children }: Props) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 pb-2">
      <span className="font-display text-[46px] leading-none font-bold tabular-nums" data-testid="row-number">
        {courseWord(fabric.making)} {course.number}
      </span>
      <span className="count text-[22px] font-medium text-soft">of {fabric.courses}</span>
      <span className="rounded-sm border-2 border-ink px-2 text-[19px] font-semibold">
        <span aria-hidden>{course.side}</span>
        <span className="sr-only">
          {course.side === 'RS' ? workSaid.rightSideFacingYou : workSaid.wrongSideFacingYou}
        </span>
      </span>
      <span className="text-[22px]">{workSaid.handGoes[hand]}</span>
      {at === 0 ? <span className="text-[22px] text-soft">{begins}</span> : null}
      <span className="-my-2 ml-auto flex flex-wrap max-sm:my-0 items-center gap-x-5 text-[17px]">{children}</span>
    </div>
  );
}
