import type { WorkStep } from '@puntada/core/plan';
import { stepName } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { YarnChip } from '../../parts/YarnChip.tsx';

interface Props {
  readonly step: WorkStep;
  /** The letter of its yarn, where it has one. */
  readonly letter: string | undefined;
  readonly shadeOf: (letter: string) => string;
  /** Which of its parts is in hand, where that is told here. */
  readonly part?: ReactNode;
  /** What is told at the other end of its name. */
  readonly told: ReactNode;
}

/** Which step is in hand, and in which yarn. */
export function StepHead({ step, letter, shadeOf, part, told }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span
        className="font-display text-[46px] leading-none font-bold tabular-nums max-sm:text-[36px]"
        data-testid="step-name"
      >
        {stepName(step)}
      </span>
      {letter ? <YarnChip letter={letter} shade={shadeOf(letter)} size={36} /> : null}
      {part ? <span className="count text-[22px] font-medium text-soft">{part}</span> : null}
      <span className="-my-2 ml-auto flex flex-wrap items-center gap-x-5 text-[17px] max-sm:my-0">{told}</span>
    </div>
  );
}

interface LargeProps {
  readonly number: ReactNode;
  /** What it counts. */
  readonly words: string;
  /** What comes next. */
  readonly then: string | undefined;
}

/** The number in hand, as large as that of a run: to be read from an arm’s length. */
export function LargeCount({ number, words, then }: LargeProps) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-5">
      {number === undefined ? null : <b className="count text-[104px] leading-none max-sm:text-[76px]">{number}</b>}
      <span className="min-w-0 text-[28px] leading-tight max-sm:text-[22px]">
        {words}
        {then ? <span className="block text-[20px] text-soft max-sm:text-[18px]">{then}</span> : null}
      </span>
    </p>
  );
}
