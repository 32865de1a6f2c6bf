import type { Work } from '@puntada/core/records';
import { useMemo } from 'react';
import { useWeighingsQuery } from '../../api/records.ts';
import { LastingWords } from '../../parts/LastingWords.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

/** How sure the yarn of a begun work is, counted in the worker. */
export function YarnSureness({ work }: { work: Work }) {
  const { data } = useWeighingsQuery(work.id);
  const told = useAnswer(useMemo(() => data && (() => planner.lasting(work, data)), [work, data]));
  return told && work.size ? (
    <LastingWords workId={work.id} told={told} sure={work.wish.sure} rows={work.size.rows} />
  ) : null;
}
