import type { Told } from '@puntada/core/craft';
import { problemText, problemWords, termed } from '@puntada/core/words';
import { useCallback } from 'react';
import { usePreferences } from '../api/api.ts';

/** Puts a text of the craft, its stitches in curly brackets, into the maker's terms. */
export function useCraftWords(): (text: string) => string {
  const { terms } = usePreferences();
  return useCallback((text: string) => termed(text, terms), [terms]);
}

/** A text of the craft in the maker's terms. */
export function Craft({ children }: { children: string }) {
  return useCraftWords()(children);
}

/** What is wrong and what to do, in the maker's terms. */
export function useProblemWords() {
  const { terms } = usePreferences();
  return useCallback((problem: Told) => problemWords(problem, terms), [terms]);
}

/** The same as one text. */
export function useProblemText() {
  const { terms } = usePreferences();
  return useCallback((problem: Told | undefined) => (problem ? problemText(problem, terms) : ''), [terms]);
}
