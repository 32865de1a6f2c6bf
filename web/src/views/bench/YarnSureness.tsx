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
  if (!told || !work.size) return null;
  const on = { rows: work.size.rows, sequence: told.sequence, item: work.wish.item };
  return <LastingWords workId={work.id} told={told.lasting} sure={work.wish.sure} on={on} />;
}
