import type { WorkLog } from '@puntada/core/records';
import { entryLabel, lastTimesIn, pausesIn } from '@puntada/core/records';
import { clockWords, workSaid } from '@puntada/core/words';
import { restAfter, restFor, sittingSince } from '@puntada/core/work';
import { Pause } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { useProblemWords } from '../../parts/Craft.tsx';
import { lettingGo } from './lettingGo.ts';

interface Props {
  readonly workId: string;
  readonly log: WorkLog;
  /** Changes with every step. */
  readonly step: string;
}

const minute = 60_000;

/** How long the maker has sat at the work, when hands want a rest, and a way to lay it down; a step takes it up again. */
export function Sitting({ workId, log, step }: Props) {
  const words = useProblemWords();
  const [now, setNow] = useState(Date.now);
  const [add, adding] = useAddEntryMutation();
  const [made, setMade] = useState<readonly number[]>([]);
  const seen = useRef(step);
  useEffect(() => {
    if (seen.current === step) return;
    seen.current = step;
    setMade((before) => [...before, Date.now()]);
  }, [step]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), minute / 4);
    return () => clearInterval(timer);
  }, []);
  const told = useMemo(() => lastTimesIn(log.steps), [log.steps]);
  const steps = [...told, ...made];
  const pauses = pausesIn(log.entries);
  const at = Math.max(now, steps.at(-1) ?? 0, pauses.at(-1) ?? 0);
  const since = sittingSince(steps, pauses, at);
  const problem = problemsOf(adding.error)[0];
  if (since === undefined) {
    const laidDown = (pauses.at(-1) ?? 0) > (steps.at(-1) ?? Infinity);
    return laidDown ? <span className="text-soft">{workSaid.pausedNextStepCarries}</span> : null;
  }
  const minutes = Math.floor((at - since) / minute);
  const pause = () => {
    void add({ id: workId, entry: { ...entryLabel, kind: 'pause', id: crypto.randomUUID(), at: Date.now() } });
  };
  return (
    <span className="inline-flex flex-wrap items-center gap-x-3">
      <span className={minutes >= restAfter ? 'text-ochre' : 'text-soft'}>
        <b className="count">{clockWords(minutes)}</b> in this session
        {minutes >= restAfter ? workSaid.restYourHandsFor(restFor) : ''}
      </span>
      <button
        type="button"
        onClick={lettingGo(pause)}
        disabled={adding.isLoading}
        className="inline-flex min-h-11 items-center gap-1.5 px-2 underline underline-offset-4 hover:bg-sheet"
      >
        <Pause aria-hidden className="size-4" />
        Pause
      </button>
      {problem ? <span className="text-brick">{workSaid.pauseWasntSaved(words(problem).message)}</span> : null}
    </span>
  );
}
