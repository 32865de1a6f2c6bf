import { prepareCloth } from '@puntada/core/plan';
import type { Wish, WorkLog } from '@puntada/core/records';
import { colourQuestions, type Lasting, lasting, type WorkCosts } from '@puntada/core/work';
import { useMemo } from 'react';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/** Whether each colour of a work lasts, row by row. @param rows worked */
export function useLasting(
  wish: Wish,
  cloth: WorkCloth,
  costs: WorkCosts | undefined,
  log: WorkLog | undefined,
  rows: number,
): readonly Lasting[] {
  const questions = useMemo(() => {
    const prepared = costs && log ? prepareCloth(wish, cloth) : undefined;
    return prepared?.ok && costs && log ? colourQuestions(prepared.value, costs, log.entries) : [];
  }, [wish, cloth, costs, log]);
  return useMemo(() => lasting(questions, { rows, runs: 0 }), [questions, rows]);
}
