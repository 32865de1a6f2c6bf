import type { Result } from '@puntada/core/craft';
import type { MadeWork } from '@puntada/core/plan';
import { startTransition, useEffect, useState } from 'react';
import { useTurn } from './hired.ts';
import { planner } from './planner.ts';
import type { PreviewFigures } from './preview.ts';

/** What a wish would come to, or what was begun of it, planned in the worker a moment after the last change; the one before stays until then. */
export function usePreview(wish: unknown, begun?: MadeWork['begun']): Result<PreviewFigures> | undefined {
  const [answer, setAnswer] = useState<Result<PreviewFigures>>();
  const key = JSON.stringify(wish);
  const turn = useTurn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each turn asks anew
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const found = await planner.preview(JSON.parse(key), begun);
      if (current) startTransition(() => setAnswer(found));
    }, rest);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [key, begun, turn]);
  return answer;
}

/** ms without a change before it is planned. */
const rest = 80;
