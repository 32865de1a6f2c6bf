import { prepareCloth } from '@puntada/core/plan';
import { type Work, type WorkLog, weighingsIn } from '@puntada/core/records';
import { colourQuestions, type Lasting, lasting, lastingWithSet, type WorkCosts } from '@puntada/core/work';
import { useMemo } from 'react';
import { useLastingOfSet } from '../../parts/setMembers.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/**
 * Whether each colour of a work lasts, row by row; of a yarn that its set shares, for all of the set. @param rows worked
 */
export function useLasting(
  work: Work,
  cloth: WorkCloth,
  costs: WorkCosts | undefined,
  log: WorkLog | undefined,
  rows: number,
): readonly Lasting[] {
  const { wish } = work;
  const entries = log?.entries;
  const questions = useMemo(() => {
    const prepared = costs && entries ? prepareCloth(wish, cloth) : undefined;
    return prepared?.ok && costs && entries ? colourQuestions(prepared.value, costs, entries) : [];
  }, [wish, cloth, costs, entries]);
  const shared = useLastingOfSet(
    useMemo(
      () => entries && { work: { ...work, progress: { rows, runs: 0 } }, weighings: weighingsIn(entries) },
      [work, rows, entries],
    ),
  );
  return useMemo(
    () => lastingWithSet(lasting(questions, { rows, runs: 0 }), shared, work.id),
    [questions, rows, shared, work.id],
  );
}
