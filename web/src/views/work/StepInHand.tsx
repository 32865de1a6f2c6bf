import { type Sequence, secondsBy, unknownPace, type WorkStep } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { hoursText, metresText, stepLines, stepName, stepRunLarge, stepRunWords, workSaid } from '@puntada/core/words';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { TermLine } from '../../parts/TermLine.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { LargeCount, StepHead } from './StepHead.tsx';

const StepPlace = lazy(() => import('./StepPlace.tsx'));

interface Props {
  readonly work: Work;
  readonly step: WorkStep;
  /** Which part of it is in hand, from 0. */
  readonly at: number;
  readonly cloth: WorkCloth;
  /** The whole; nothing of a cloth by a plan before, whose place is not shown. */
  readonly sequence: Sequence | undefined;
  readonly shadeOf: (letter: string) => string;
  /** What is told at the other end of its name. */
  readonly told: ReactNode;
  /** To skip it, and what was noted. */
  readonly children: ReactNode;
}

/** A step beside the rows, part by part: its number large, where it is done, and what there should be then. */
export function StepInHand({ work, step, at, cloth, sequence, shadeOf, told: beside, children }: Props) {
  const { terms, told, ends } = usePreferences();
  const letter = step.colour === undefined ? undefined : cloth.bound.colours[step.colour];
  const run = step.runs[at];
  const next = step.runs[at + 1];
  const lines = stepLines(step, told, terms, ends);
  const large = run && step.runs.length > 1 ? stepRunLarge(run, step, terms) : undefined;
  return (
    <section aria-label={stepName(step)}>
      <StepHead
        step={step}
        letter={letter}
        shadeOf={shadeOf}
        part={step.runs.length > 1 ? `${Math.min(at + 1, step.runs.length)} of ${step.runs.length}` : undefined}
        told={beside}
      />
      <div className="grid gap-x-10 gap-y-5 pt-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,370px)]">
        <div className="grid min-w-0 content-start gap-4">
          {large ? (
            <LargeCount
              number={large.number}
              words={large.words}
              then={next ? workSaid.thenRun(stepRunWords(next, step, terms)) : undefined}
            />
          ) : null}
          {lines.length ? (
            <ul className="grid max-w-[70ch] gap-1 text-[18px]">
              {lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          ) : null}
          {children}
        </div>
        <div className="grid content-start gap-4">
          {sequence ? (
            <Suspense fallback={null}>
              <StepPlace work={work} cloth={cloth} sequence={sequence} step={step} at={at} />
            </Suspense>
          ) : null}
          <WhenDone work={work} step={step} letters={cloth.bound.colours} />
        </div>
      </div>
    </section>
  );
}

/** What there should be when a step is done, and what it takes. */
function WhenDone({ work, step, letters }: { work: Work; step: WorkStep; letters: readonly string[] }) {
  const { told } = usePreferences();
  const time = secondsBy(work.wish.pace ?? unknownPace, step.hands);
  const yarn = [step.colour === undefined ? undefined : { colour: step.colour, metres: step.metres }, step.second];
  return (
    <dl aria-label={workSaid.whenDone} className="text-[16px]">
      {step.stitches > 0 ? <TermLine term={workSaid.stitchesThen} value={String(step.stitches)} /> : null}
      {yarn.flatMap((each) =>
        each && each.metres > 0.05
          ? [
              <TermLine
                key={each.colour}
                term={workSaid.takesOf(letters[each.colour] ?? '')}
                value={metresText({ mid: each.metres, low: each.metres, high: each.metres, source: 'typed' }, told)}
              />,
            ]
          : [],
      )}
      {time.mid > 0 ? <TermLine term={workSaid.takesTime} value={hoursText(time)} /> : null}
    </dl>
  );
}

interface SkipProps {
  readonly workId: string;
  readonly name: string;
  /** Units that are done, for what is noted. */
  readonly rows: number;
  readonly onSkip: () => void;
}

/** Passes a step over, or ticks it as done elsewhere, with a word on why in the log. */
export function Skip({ workId, name, rows, onSkip }: SkipProps) {
  const [add] = useAddEntryMutation();
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  if (!open) {
    return (
      <Button kind="quiet" onClick={() => setOpen(true)} className="-ml-4 justify-self-start">
        Skip this step
      </Button>
    );
  }
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const text = `Skipped: ${name}${why.trim() ? ` (${why.trim()})` : ''}`.slice(0, 400);
        const id = crypto.randomUUID();
        void add({ id: workId, entry: { ...entryLabel, kind: 'note', id, at: Date.now(), row: rows, text } });
        setOpen(false);
        setWhy('');
        onSkip();
      }}
    >
      <div className="w-[280px]">
        <TextField label="Why (optional)" value={why} onChange={setWhy} maxLength={200} placeholder="done elsewhere" />
      </div>
      <Button type="submit">Skip it</Button>
      <Button kind="quiet" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </form>
  );
}
