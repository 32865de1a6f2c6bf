import { useState } from 'react';

/** What is typed of the costs of a project, by its field. This browser keeps it, where it keeps anything. */
export function useTyped(
  id: string,
): readonly [Readonly<Record<string, string>>, (name: string, text: string) => void] {
  const key = `puntada-price-${id}`;
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() => {
    try {
      const found: unknown = JSON.parse(localStorage.getItem(key) ?? '{}');
      const entries = Object.entries(found ?? {}).filter(
        (each): each is [string, string] => typeof each[1] === 'string',
      );
      return Object.fromEntries(entries);
    } catch {
      return {};
    }
  });
  const set = (name: string, text: string) => {
    const next = { ...typed, [name]: text };
    setTyped(next);
    try {
      localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // A private window keeps nothing; it is typed again.
    }
  };
  return [typed, set];
}
