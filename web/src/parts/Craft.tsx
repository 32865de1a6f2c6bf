import type { Told } from '@puntada/core/craft';
import { termed } from '@puntada/core/words';
import { useCallback } from 'react';
import { usePreferences } from '../api/api.ts';
import { takeInWording, useWording } from './wording.ts';

/** Puts a text of the craft, its stitches in curly brackets, into the maker's terms. */
export function useCraftWords(): (text: string) => string {
  const { terms } = usePreferences();
  return useCallback((text: string) => termed(text, terms), [terms]);
}

/** A text of the craft in the maker's terms. */
export function Craft({ children }: { children: string }) {
  return useCraftWords()(children);
}

/** What is wrong and what to do, in the maker's terms; nothing yet while its words are on their way. */
export function useProblemWords(): (problem: Told) => { readonly message: string; readonly hint: string } {
  const { terms } = usePreferences();
  const wording = useWording();
  return useCallback(
    (problem: Told) => {
      if (wording) return wording(problem, terms);
      void takeInWording();
      return { message: '', hint: '' };
    },
    [terms, wording],
  );
}

/** The same as one text. */
export function useProblemText(): (problem: Told | undefined) => string {
  const words = useProblemWords();
  return useCallback(
    (problem: Told | undefined) => {
      if (!problem) return '';
      const { message, hint } = words(problem);
      return `${message} ${hint}`.trim();
    },
    [words],
  );
}
