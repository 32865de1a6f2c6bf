import { useMemo } from 'react';
import type { Work } from '../api/api.ts';
import { type WorkCloth, workCloth } from './workCloth.ts';

export type { WorkCloth } from './workCloth.ts';

export function useWorkCloth(work: Work | undefined): WorkCloth | undefined {
  return useMemo(() => (work ? workCloth(work) : undefined), [work]);
}
