import type { Work, WorkLog } from '@puntada/core/records';
import type { LogTimes } from '@puntada/core/work';
import { useMemo } from 'react';
import { planner } from './planner.ts';
import { useAnswer } from './useAnswer.ts';

/** When a work was worked, from all its steps, in the worker; nothing until then. */
export function useWorkTimes(work: Work | undefined, log: WorkLog | undefined): LogTimes | undefined {
  const key = work ? `${work.id} ${work.revision}` : '';
  const { entries, steps } = log ?? {};
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work; its steps are in the log
  const ask = useMemo(
    () => work && entries && steps && (() => planner.timesOfWork(work, entries, steps)),
    [key, entries, steps],
  );
  return useAnswer(ask);
}
