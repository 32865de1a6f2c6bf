import { parseMass } from '@puntada/core/craft';
import { useState } from 'react';

/** A weight being typed. */
export interface TypedGrams {
  readonly text: string;
  readonly type: (text: string) => void;
  /** Grams, or nothing where it is no weight that this thing can have. */
  readonly grams: number | undefined;
}

/** @param start as it was kept before @param most more than this is no such thing, g */
export function useGrams(start: number | undefined, most = 2000): TypedGrams {
  const [text, type] = useState(start === undefined ? '' : String(start));
  const read = parseMass(text);
  const good = read.ok && read.value > 0 && read.value <= most;
  return { text, type, grams: good ? read.value : undefined };
}
