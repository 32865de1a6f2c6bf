import type { StitchPattern } from '@puntada/core';

const shades: Readonly<Record<string, string>> = { A: '#e9dfc4', B: '#24476b', C: '#c08a4a', D: '#2f5a45' };

/** The yarns that the book is drawn in. */
export function bookShades({ colours }: StitchPattern): string[] {
  return colours.map((letter) => shades[letter] ?? '#888888');
}
