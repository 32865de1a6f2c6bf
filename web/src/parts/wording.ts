import type { Told } from '@puntada/core/craft';
import { useSyncExternalStore } from 'react';

type Wording = typeof import('./problemWords.ts')['problemWords'];

let wording: Wording | undefined;
let coming: Promise<void> | undefined;
const waiting = new Set<() => void>();

/** Takes in the words of problems; those that could not be had are asked for anew the next time. */
export function takeInWording(): Promise<void> {
  coming ??= import('./problemWords.ts').then(
    ({ problemWords }) => {
      wording = problemWords;
      for (const tell of waiting) tell();
    },
    () => {
      coming = undefined;
    },
  );
  return coming;
}

function wait(tell: () => void): () => void {
  waiting.add(tell);
  return () => waiting.delete(tell);
}

/** A problem as one text, where its words are taken in already; what checks a form takes them in before. */
export function worded(problem: Told): string {
  const words = wording?.(problem);
  return words ? `${words.message} ${words.hint}` : '';
}

/** The words of problems, which no page has until there is one; nothing while they are on their way. */
export function useWording(): Wording | undefined {
  return useSyncExternalStore(
    wait,
    () => wording,
    () => wording,
  );
}
