import { findPattern, patternBook, type StitchPattern } from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { useMemo } from 'react';
import { usePatternsQuery } from '../api/records.ts';

/** A pattern that can be chosen: of the book, or the maker's own. */
export interface ShelfPattern {
  /** What finds it: its key in the book, or all of it in the notation. */
  readonly source: string;
  readonly pattern: StitchPattern;
  /** The maker's own, as it is stored. */
  readonly stored?: StoredPattern;
}

const book: readonly ShelfPattern[] = patternBook.map((pattern) => ({ source: pattern.key, pattern }));

/** The first pattern of the book in a technique, to show what it looks like. */
export function firstOf(technique: string): StitchPattern | undefined {
  return patternBook.find((pattern) => pattern.technique === technique);
}

/** What the keys of own patterns begin with. */
export const ownPrefix = 'own-';

/** The name by which an own pattern is found in an address. */
export function keyOfOwn(id: string): string {
  return ownPrefix + id;
}

/** The patterns of the maker and those of the book, the maker's own first. @returns no own ones until they are known */
export function useShelf(): {
  readonly own: readonly ShelfPattern[];
  readonly all: readonly ShelfPattern[];
  readonly known: boolean;
} {
  const { data, error } = usePatternsQuery();
  return useMemo(() => {
    const own = (data ?? []).flatMap((stored): ShelfPattern[] => {
      const found = findPattern(stored.pattern.text);
      return found.ok ? [{ source: stored.pattern.text, pattern: found.value, stored }] : [];
    });
    return { own, all: [...own, ...book], known: data !== undefined || error !== undefined };
  }, [data, error]);
}
