import type { CourseCosts } from '@puntada/core';
import { useEffect, useState } from 'react';
import type { Work } from '../../api/api.ts';
import { planner } from '../../worker/planner.ts';

export type Costs = CourseCosts;

/** What every course of a work holds, counted once in the worker; nothing until then. */
export function useCosts(work: Work): Costs | undefined {
  const [costs, setCosts] = useState<Costs>();
  const { id, revision } = work;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a begun work keeps its cloth for as long as its revision is the same
  useEffect(() => {
    let current = true;
    void planner.courseCosts(work).then((found) => {
      if (current) setCosts(found);
    });
    return () => {
      current = false;
    };
  }, [id, revision]);
  return costs;
}
