import { useMemo } from 'react';
import type { Work } from '../api/api.ts';
import { type WorkCloth, workCloth } from './workCloth.ts';

export type { WorkCloth } from './workCloth.ts';

/** The cloth of a work. A step of the counter makes a new copy of the work but no other cloth: its revision tells. */
export function useWorkCloth(work: Work | undefined): WorkCloth | undefined {
  const key = work ? `${work.id} ${work.revision}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work
  return useMemo(() => (work ? workCloth(work) : undefined), [key]);
}
