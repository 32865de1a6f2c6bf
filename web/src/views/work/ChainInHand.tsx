import type { WorkedCourse, WorkStep } from '@puntada/core/plan';
import { courseWord, startWords, stepLines, stepName, workSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { ChainDrawing } from './ChainDrawing.tsx';
import { LargeCount, StepHead } from './StepHead.tsx';

interface Props {
  readonly step: WorkStep;
  /** Which stretch of it is in hand, from 0. */
  readonly at: number;
  /** Which cloth it is, where there are several. */
  readonly which: string;
  readonly cloth: WorkCloth;
  readonly shadeOf: (letter: string) => string;
  /** The row that stands on it. */
  readonly first: WorkedCourse;
  /** What is told at the other end of its name. */
  readonly told: ReactNode;
  /** To skip it, and what was noted. */
  readonly children: ReactNode;
}

/** The foundation chain of a cloth by twenties, and how the row begins that is worked into it. */
export function ChainInHand({ step, at, which, cloth, shadeOf, first, told, children }: Props) {
  const { terms, told: units } = usePreferences();
  const { foundation, fabric, bound } = cloth;
  const letter = bound.colours[step.colour ?? 0] ?? '';
  const stretch = step.runs[at]?.facts;
  const all = Number(step.facts?.chains);
  const word = courseWord(fabric.making);
  return (
    <section aria-label={stepName(step)} className="px-6 pt-4">
      {which ? <p className="pb-1 text-[19px] font-semibold">{which}</p> : null}
      <StepHead step={step} letter={letter} shadeOf={shadeOf} told={told} />
      <div className="pt-4">
        <LargeCount
          number={Number(stretch?.count ?? 0)}
          words={workSaid.chainsTo(Number(stretch?.upTo ?? all), all)}
          then={at + 1 < step.runs.length ? workSaid.thenMarker : workSaid.thenFirstRow(word.toLowerCase())}
        />
      </div>
      <ChainDrawing runs={step.runs} at={at} shade={shadeOf(letter)} />
      <div className="grid max-w-[76ch] gap-1 pt-5 text-[18px]">
        {stepLines(step, units, terms).map((line) => (
          <p key={line}>{line}</p>
        ))}
        <p>
          <span className="text-soft">{word} 1:</span>{' '}
          {startWords(first, foundation, fabric.making, fabric.count, { terms, style: 'whole', chained: true })}.
        </p>
      </div>
      <div className="pt-3 pb-4">{children}</div>
    </section>
  );
}
