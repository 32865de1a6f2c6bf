import { inTerms } from '@puntada/core/words';
import { useCallback } from 'react';
import { usePreferences } from '../api/api.ts';

/** Puts a sentence about the craft into the maker's terms. */
export function useCraftWords(): (sentence: string) => string {
  const { terms } = usePreferences();
  return useCallback((sentence: string) => inTerms(sentence, terms), [terms]);
}

/** A sentence about the craft in the maker's terms. */
export function Craft({ children }: { children: string }) {
  return useCraftWords()(children);
}
