import { readPattern, readPatterns } from '../notation/read.ts';
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

/** Patterns in the notation that were read lately, the last used last. */
const readLately = new Map<string, Result<StitchPattern>>();
const mostKept = 40;

function readOnce(text: string): Result<StitchPattern> {
  const known = readLately.get(text);
  const found = known ?? readPattern(text);
  if (!found.ok) return found;
  readLately.delete(text);
  readLately.set(text, found);
  const [oldest] = readLately.keys();
  if (readLately.size > mostKept && oldest !== undefined) readLately.delete(oldest);
  return found;
}

/** Whether a pattern is written out, and not named by the key that it has in the book. */
export function isWritten(source: string): boolean {
  return /\s/.test(source.trim());
}

/** Finds a pattern. @param source its key in the book, or the pattern itself in the notation */
export function findPattern(source: string): Result<StitchPattern> {
  if (isWritten(source)) return readOnce(source);
  const found = patternBook.find((pattern) => pattern.key === source);
  if (found) return good(found);
  return refused({
    code: 'pattern-unknown',
    path: '',
    facts: { key: source, keys: patternBook.map((pattern) => pattern.key) },
  });
}

/** Whether two sources are of one pattern, however it was changed between them. */
export function isSamePattern(one: string, other: string): boolean {
  if (one === other) return true;
  const [a, b] = [findPattern(one), findPattern(other)];
  return a.ok && b.ok && a.value.key === b.value.key;
}

/** What finds the pattern of a wish: what is written out in it, else its key. */
export function sourceOf({
  key,
  text,
}: {
  readonly key?: string | undefined;
  readonly text?: string | undefined;
}): string {
  return text ?? key ?? '';
}
