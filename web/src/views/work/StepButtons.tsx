import type { WorkStep } from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { Button, Key } from '../../parts/Button.tsx';
import { lettingGo } from './lettingGo.ts';
import type { RowInHand } from './useRowInHand.ts';
import type { Steps } from './useSteps.ts';

interface Props {
  readonly steps: Steps;
  readonly row: RowInHand | undefined;
  /** The step in hand, where it is no row. */
  readonly step: WorkStep | undefined;
  /** What a course is called: Row, Round or Diagonal. */
  readonly word: string;
  readonly hand: Hand;
  /** What a place of the counter is called. @param rows from 0 */
  readonly placeWords: (rows: number) => string;
  /** The way to help, beside the step back. */
  readonly children: ReactNode;
}

/** One big touch a run, a row, or back; the run under the thumb of the hand that holds the hook. */
export function StepButtons({ steps, row, step, word, hand, placeWords, children }: Props) {
  return (
    <footer
      className={`step-bar sticky bottom-0 flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-rule bg-paper px-6 py-3 max-sm:grid max-sm:grid-cols-2 max-sm:px-4 max-sm:[&_kbd]:hidden ${hand === 'left' ? 'flex-row-reverse' : ''}`}
    >
      <Button onClick={lettingGo(steps.back)} disabled={!steps.canGoBack} className="min-h-14">
        {steps.jumpedFrom ? `Undo: back to ${placeWords(steps.jumpedFrom.rows)}` : 'Back one'} <Key>Backspace</Key>
      </Button>
      {children}
      <span className="flex-1 max-sm:hidden" />
      {row || step ? (
        <>
          <Button onClick={lettingGo(steps.row)} className="min-h-14">
            {row ? `Finish ${word.toLowerCase()} ${row.course.number}` : 'Step done'} <Key>Enter</Key>
          </Button>
          <Button
            kind="next"
            onClick={lettingGo(steps.run)}
            shortcut="Space"
            className="min-h-14 min-w-[220px] justify-between text-[20px] max-lg:order-last max-lg:basis-full max-lg:justify-center max-sm:min-w-0"
          >
            Next
          </Button>
        </>
      ) : null}
    </footer>
  );
}
