import type { Drawing } from '@puntada/core/craft';
import type { Study } from '@puntada/core/plan';
import { startTransition, useEffect, useState } from 'react';
import { useTurn } from '../../worker/hired.ts';
import { planner } from '../../worker/planner.ts';

/** ms without a change before a drawing is studied. */
const rest = 120;

/** What the worker tells of a drawing, a moment after the last change; nothing while that of another one is known. */
export function useStudy(drawing: Drawing): Study | undefined {
  const [found, setFound] = useState<{ readonly of: Drawing; readonly study: Study }>();
  const turn = useTurn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each turn asks anew
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const study = await planner.studyDrawing(drawing);
      if (current) startTransition(() => setFound({ of: drawing, study }));
    }, rest);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [drawing, turn]);
  return found?.of === drawing ? found.study : undefined;
}

/** A text as it is once it has not changed for a moment: what is drawn from it follows the hand, not every stroke. */
export function useRestedText(text: string): string {
  const [shown, setShown] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setShown(text)), rest);
    return () => clearTimeout(timer);
  }, [text]);
  return shown;
}
