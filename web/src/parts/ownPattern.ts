import { printPattern, type StitchPattern } from '@puntada/core/craft';
import { type OwnPattern, ownPatternLabel } from '@puntada/core/records';
import { keyOfOwn } from './useShelf.ts';

/** A pattern as it is stored among the maker's own, under the key that its id gives it. */
export function ownPattern(id: string, pattern: StitchPattern, note = ''): OwnPattern {
  return { ...ownPatternLabel, text: printPattern({ ...pattern, key: keyOfOwn(id) }), note };
}
