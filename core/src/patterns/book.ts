import { good, must, type Result, refused } from '../problem.ts';
import { carriedPatterns } from './book/carried.ts';
import { stripePatterns } from './book/stripes.ts';
import type { StitchPattern } from './model.ts';
import { readPatterns } from './read.ts';

/** Every stitch pattern that ships with Puntada, in the order of the pattern book. */
export const patternBook: readonly StitchPattern[] = [carriedPatterns, stripePatterns].flatMap((text) =>
  must(readPatterns(text)),
);

/** Finds a pattern by its key. */
export function findPattern(key: string): Result<StitchPattern> {
  const found = patternBook.find((pattern) => pattern.key === key);
  if (found) return good(found);
  return refused({
    code: 'pattern-unknown',
    path: '',
    message: `There is no stitch pattern “${key}” in the book.`,
    hint: `Choose one of: ${patternBook.map((pattern) => pattern.key).join(', ')}.`,
  });
}
