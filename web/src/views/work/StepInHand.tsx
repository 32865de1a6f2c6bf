import type { WorkStep } from '@puntada/core/plan';
import { entryLabel } from '@puntada/core/records';
import { stepLines, stepName, stepRunWords } from '@puntada/core/words';
import { useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';

interface Props {
  readonly workId: string;
  readonly step: WorkStep;
  /** Which part of it is in hand, from 0. */
  readonly at: number;
  /** Units that are done, for what is noted. */
  readonly rows: number;
  readonly letters: readonly string[];
  readonly shadeOf: (letter: string) => string;
  readonly onSkip: () => void;
}

/** A step beside the rows: worked by the same keys, part by part. */
export function StepInHand({ workId, step, at, rows, letters, shadeOf, onSkip }: Props) {
  const { terms, told, ends } = usePreferences();
  const letter = step.colour === undefined ? undefined : letters[step.colour];
  const run = step.runs[at];
  const next = step.runs[at + 1];
  const lines = stepLines(step, told, terms, ends);
  return (
    <section aria-label={stepName(step)} className="grid max-w-[70ch] content-start gap-3">
      <p className="flex flex-wrap items-center gap-x-4">
        {letter ? <YarnChip letter={letter} shade={shadeOf(letter)} size={44} /> : null}
        <span className="font-display text-[40px] leading-none font-bold" data-testid="step-name">
          {stepName(step)}
        </span>
        {step.runs.length > 1 ? (
          <span className="count text-[22px] font-medium text-soft">
            {Math.min(at + 1, step.runs.length)} of {step.runs.length}
          </span>
        ) : null}
      </p>
      {run && step.runs.length > 1 ? (
        <p className="text-[28px] leading-tight">
          {stepRunWords(run, step, terms)}
          {next ? <span className="block text-[19px] text-soft">Then {stepRunWords(next, step, terms)}</span> : null}
        </p>
      ) : null}
      {lines.length ? (
        <ul className="grid gap-1 text-[18px]">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : null}
      <Skip workId={workId} name={stepName(step)} rows={rows} onSkip={onSkip} />
    </section>
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
