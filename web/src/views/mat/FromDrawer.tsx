import { chanceText, type Problem, type Wish } from '@puntada/core';
import { useState } from 'react';
import { Button } from '../../parts/Button.tsx';
import { planner } from '../../worker/planner.ts';

interface Props {
  readonly wish: Wish;
  readonly onTake: (size: { stitches: number; rows: number }) => void;
}

type Answer = { chance: number } | { problem: Problem | undefined };

/** How big it gets with what lies in the drawer: the largest whole size with like edges, taken at once. */
export function FromDrawer({ wish, onTake }: Props) {
  const [busy, setBusy] = useState(false);
  const [answer, setAnswer] = useState<Answer>();
  const known = wish.yarns.some((yarn) => yarn.balls !== undefined || yarn.partGrams !== undefined);
  if (!known) return null;
  const ask = async () => {
    setBusy(true);
    const found = await planner.largestOf(wish);
    setBusy(false);
    if (!found.ok) {
      setAnswer({ problem: found.problems[0] });
      return;
    }
    onTake(found.value);
    setAnswer({ chance: found.value.chance });
  };
  return (
    <div className="grid gap-2">
      <Button onClick={ask} disabled={busy}>
        {busy ? 'Trying sizes…' : 'As big as my yarn allows'}
      </Button>
      <p aria-live="polite" className="text-[14px] text-soft">
        {answer && 'chance' in answer
          ? `The largest whole size that your yarn makes: enough with a chance of ${chanceText(answer.chance)}.`
          : null}
        {answer && 'problem' in answer ? `${answer.problem?.message} ${answer.problem?.hint}` : null}
      </p>
    </div>
  );
}
