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

/** The words of problems, which no page has until there is one; nothing while they are on their way. */
export function useWording(): Wording | undefined {
  return useSyncExternalStore(wait, () => wording);
}
