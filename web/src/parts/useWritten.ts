import type { Terms, Written } from '@puntada/core/words';
import { startTransition, useEffect, useState } from 'react';
import { usePreferences } from '../api/api.ts';
import { planner } from '../worker/planner.ts';

/** ms without a change before a text is read. */
const rest = 250;

/** Rows as somebody wrote them, read in the worker a moment after the last letter. @param terms theirs, where they are chosen */
export function useWritten(text: string, terms?: Terms): Written | undefined {
  const usual = usePreferences().terms;
  const [read, setRead] = useState<Written>();
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const found = text.trim() ? await planner.readWritten(text, { key: 'own', name: 'x', terms, usual }) : undefined;
      if (current) startTransition(() => setRead(found));
    }, rest);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text, terms, usual]);
  return read;
}
