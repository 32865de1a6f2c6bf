import type { Problem } from '@puntada/core/craft';
import type { SearchStep } from '@puntada/core/plan';
import type { Wish } from '@puntada/core/records';
import { chanceText, matSaid } from '@puntada/core/words';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../parts/Button.tsx';
import { useProblemText } from '../../parts/Craft.tsx';
import { planner } from '../../worker/planner.ts';

interface Props {
  readonly wish: Wish;
  readonly onTake: (size: { stitches: number; rows: number }) => void;
}

type Answer = { chance: number } | { problem: Problem | undefined } | { givenUp: true };

/** How big it gets with what lies in the drawer: the largest whole size with like edges, taken at once. */
export function FromDrawer({ wish, onTake }: Props) {
  const sentence = useProblemText();
  const [step, setStep] = useState<SearchStep>();
  const [busy, setBusy] = useState(false);
  const [answer, setAnswer] = useState<Answer>();
  const stopped = useRef(false);
  // A search still on its way when the mat is left is given up.
  useEffect(
    () => () => {
      stopped.current = true;
    },
    [],
  );
  const known = wish.yarns.some((yarn) => yarn.balls !== undefined || yarn.partGrams !== undefined);
  if (!known) return null;
  const ask = async () => {
    stopped.current = false;
    setBusy(true);
    setAnswer(undefined);
    const goOn = (now: SearchStep) => {
      setStep(now);
      return !stopped.current;
    };
    const found = await planner.largestOf(wish, proxy(goOn));
    setBusy(false);
    setStep(undefined);
    if (!found) setAnswer({ givenUp: true });
    else if (!found.ok) setAnswer({ problem: found.problems[0] });
    else {
      const { stitches, rows, chance } = found.value;
      onTake({ stitches, rows });
      setAnswer({ chance });
    }
  };
  return (
    <div className="grid gap-2">
      {busy ? (
        <Button
          onClick={() => {
            stopped.current = true;
          }}
        >
          Stop
        </Button>
      ) : (
        <Button onClick={ask}>As big as my yarn allows</Button>
      )}
      <p aria-live="polite" className="text-[14px] text-soft">
        {busy && step ? `${step.tried} sizes tried; ${step.stitches} × ${step.rows} can be made…` : null}
        {answer && 'chance' in answer ? matSaid.largestSizeYourYarn(chanceText(answer.chance)) : null}
        {answer && 'problem' in answer ? sentence(answer.problem) : null}
        {answer && 'givenUp' in answer ? matSaid.stoppedSizeHasNot : null}
      </p>
    </div>
  );
}
