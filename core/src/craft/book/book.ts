import { readPatterns } from '../notation/read.ts';
import type { StitchPattern } from '../patterns/model.ts';
import { good, must, type Result, refused } from '../values/problem.ts';
import { carriedPatterns } from './patterns/carried.ts';
import { chainSpacePatterns } from './patterns/chainSpace.ts';
import { cornerPatterns } from './patterns/cornerToCorner.ts';
import { fleckPatterns } from './patterns/flecks.ts';
import { grannyPatterns } from './patterns/granny.ts';
import { linenPatterns } from './patterns/linen.ts';
import { meshPatterns } from './patterns/mesh.ts';
import { mosaicPatterns } from './patterns/mosaic.ts';
import { stepCheckPatterns } from './patterns/stepCheck.ts';
import { stripePatterns } from './patterns/stripes.ts';
import { tubePatterns } from './patterns/tube.ts';
import { wedgePatterns } from './patterns/wedgeCircle.ts';
import { wideHdcPatterns } from './patterns/wideHdc.ts';

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
    facts: { key, keys: patternBook.map((pattern) => pattern.key) },
  });
}
