import type { WorkCosts } from '@puntada/core';
import { useEffect, useState } from 'react';
import type { Work } from '../api/api.ts';
import { planner } from './planner.ts';

/** What a work holds, counted once a revision in the worker; nothing until then. */
export function useWorkCosts(work: Work | undefined): WorkCosts | undefined {
  const [costs, setCosts] = useState<WorkCosts>();
  const key = work ? `${work.id} ${work.revision}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work; its steps change no course
  useEffect(() => {
    if (!work) return;
    let current = true;
    void planner.workCosts(work).then((found) => {
      if (current) setCosts(found);
    });
    return () => {
      current = false;
    };
  }, [key]);
  return costs;
}
