import { type StitchKey, stitchKinds } from '../stitches/kinds.ts';

/** Which of the two terminologies the words are in. */
export type Terms = 'US' | 'UK';
/** The hand that holds the hook. */
export type Hand = 'right' | 'left';

/** The abbreviation of a stitch. */
export function stitchWord(key: StitchKey, terms: Terms): string {
  const kind = stitchKinds.find((each) => each.key === key);
  if (!kind) throw new RangeError(`no stitch ${key}`);
  return terms === 'US' ? kind.us : kind.uk;
}

/** The stitch with its article: `an sc`, `a dc`. */
export function oneStitch(key: StitchKey, terms: Terms): string {
  const word = stitchWord(key, terms);
  return `${/^[sh]/.test(word) ? 'an' : 'a'} ${word}`;
}

/** The way a row lies on a chart of the right side: RS rows as worked, WS rows mirrored. */
export function chartDirection(side: 'RS' | 'WS', hand: Hand): 'right to left' | 'left to right' {
  return (side === 'RS') === (hand === 'right') ? 'right to left' : 'left to right';
}
