import type { Problem } from '@puntada/core/craft';
import type { MadeWork } from '@puntada/core/plan';
import type { PlanDocument } from '@puntada/core/records';
import { startTransition, useEffect, useState } from 'react';
import { usePreferences } from '../api/api.ts';
import { useTurn } from './hired.ts';
import { planner } from './planner.ts';

interface Planned {
  readonly document: PlanDocument | undefined;
  readonly problems: readonly Problem[];
  /** Whether a newer plan is on its way. */
  readonly busy: boolean;
}

/** The whole plan of a work, made in the worker; what comes late for an older one is dropped. */
export function usePlanDocument(work: MadeWork | undefined): Planned {
  const { terms, hand, manner, told } = usePreferences();
  const [planned, setPlanned] = useState<Planned>({ document: undefined, problems: [], busy: true });
  const key = work ? JSON.stringify({ wish: work.wish, begun: work.begun ?? null }) : '';
  const turn = useTurn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each turn asks anew
  useEffect(() => {
    if (!key) return;
    let current = true;
    setPlanned((before) => ({ ...before, busy: true }));
    void planner.planWhole(JSON.parse(key), { terms, hand, manner }, told).then((answer) => {
      if (!current) return;
      startTransition(() =>
        setPlanned(
          answer.ok
            ? { document: answer.value, problems: [], busy: false }
            : { document: undefined, problems: answer.problems, busy: false },
        ),
      );
    });
    return () => {
      current = false;
    };
  }, [key, terms, hand, manner, told, turn]);
  return planned;
}
