import type { Work } from '@puntada/core/records';
import { lastingWithSet } from '@puntada/core/work';
import { useMemo } from 'react';
import { useWeighingsQuery } from '../../api/records.ts';
import { LastingWords } from '../../parts/LastingWords.tsx';
import { useLastingOfSet } from '../../parts/setMembers.ts';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

/** How sure the yarn of a begun work is, counted in the worker; of a yarn that its set shares, for all of the set. */
export function YarnSureness({ work }: { work: Work }) {
  const { data } = useWeighingsQuery(work.id);
  const told = useAnswer(useMemo(() => data && (() => planner.lasting(work, data)), [work, data]));
  const shared = useLastingOfSet(useMemo(() => data && { work, weighings: data }, [work, data]));
  if (!told || !work.size) return null;
  const on = { rows: work.size.rows, sequence: told.sequence, item: work.wish.item };
  const all = lastingWithSet(told.lasting, shared, work.id);
  return <LastingWords workId={work.id} told={all} sure={work.wish.sure} on={on} />;
}
