import { useState } from 'react';

/** A text that this browser keeps, where it keeps anything: what is lost with it is soon told again. */
export function useKept(key: string): readonly [string, (text: string) => void] {
  const [text, setText] = useState(() => {
    try {
      return localStorage.getItem(key) ?? '';
    } catch {
      return '';
    }
  });
  const keep = (next: string) => {
    setText(next);
    try {
      localStorage.setItem(key, next);
    } catch {
      // A private window keeps nothing.
    }
  };
  return [text, keep];
}
