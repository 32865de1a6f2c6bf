import { startTransition, useEffect, useState } from 'react';
import { useTurn } from './hired.ts';

/**
 * What a worker answers, drawn in small pieces so that the page answers meanwhile; the answer before stays until then,
 * and one that comes late for an older question is dropped. @param ask the question, the same as long as it asks the same
 */
export function useAnswer<P extends Promise<unknown>>(ask: (() => P) | undefined): Awaited<P> | undefined {
  const [answer, setAnswer] = useState<{ readonly found: Awaited<P> }>();
  const turn = useTurn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each turn asks anew
  useEffect(() => {
    if (!ask) return;
    let current = true;
    const wait = async () => {
      const found = await ask();
      if (current) startTransition(() => setAnswer({ found }));
    };
    void wait();
    return () => {
      current = false;
    };
  }, [ask, turn]);
  return answer?.found;
}
