import { good, must, type Result, refused } from '../values/problem.ts';
import { carriedPatterns } from './book/carried.ts';
import { chainSpacePatterns } from './book/chainSpace.ts';
import { cornerPatterns } from './book/cornerToCorner.ts';
import { fleckPatterns } from './book/flecks.ts';
import { grannyPatterns } from './book/granny.ts';
import { linenPatterns } from './book/linen.ts';
import { meshPatterns } from './book/mesh.ts';
import { mosaicPatterns } from './book/mosaic.ts';
import { stepCheckPatterns } from './book/stepCheck.ts';
import { stripePatterns } from './book/stripes.ts';
import { tubePatterns } from './book/tube.ts';
import { wedgePatterns } from './book/wedgeCircle.ts';
import { wideHdcPatterns } from './book/wideHdc.ts';
import type { StitchPattern } from './model.ts';
import { readPatterns } from './read.ts';

/** Every stitch pattern that ships with Puntada, in the order of the pattern book. */
export const patternBook: readonly StitchPattern[] = [
  carriedPatterns,
  wideHdcPatterns,
  stripePatterns,
  linenPatterns,
  stepCheckPatterns,
  chainSpacePatterns,
  grannyPatterns,
  mosaicPatterns,
  meshPatterns,
  cornerPatterns,
  wedgePatterns,
  fleckPatterns,
  tubePatterns,
].flatMap((text) => must(readPatterns(text)));

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
