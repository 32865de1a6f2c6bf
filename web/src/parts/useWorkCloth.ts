import type { Work } from '@puntada/core/records';
import { useMemo } from 'react';
import { easel } from '../worker/painter.ts';
import { useAnswer } from '../worker/useAnswer.ts';
import type { WorkCloth } from './workCloth.ts';

export type { WorkCloth } from './workCloth.ts';

/**
 * The cloth of a work, laid in the worker; undefined until then, null where no size of its wish can be laid. A step of
 * the counter makes a new copy of the work but no other cloth: its revision tells.
 */
export function useWorkCloth(work: Work | undefined): WorkCloth | null | undefined {
  const key = work ? `${work.id} ${work.revision}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work
  const ask = useMemo(() => work && (async () => ({ id: work.id, cloth: (await easel.cloth(work)) ?? null })), [key]);
  const laid = useAnswer(ask);
  return laid?.id === work?.id ? laid?.cloth : undefined;
}
