import type { Work } from '@puntada/core/records';
import type { ProjectCosts } from '@puntada/core/work';
import { useMemo } from 'react';
import { planner } from './planner.ts';
import { useAnswer } from './useAnswer.ts';

/** What a work holds, counted once a revision in the worker; nothing until then. */
export function useWorkCosts(work: Work | undefined): ProjectCosts | undefined {
  const key = work ? `${work.id} ${work.revision}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work; its steps change no course
  const ask = useMemo(() => work && (() => planner.workCosts(work)), [key]);
  return useAnswer(ask);
}
