import { codeOf, type StitchKey, stitchKind } from '../stitches/kinds.ts';

/** Which of the two terminologies the words are in. */
export type Terms = 'US' | 'UK';

/** Abbreviations, or whole words. */
export type Style = 'short' | 'whole';

/** The hand that holds the hook. */
export type Hand = 'right' | 'left';

/** The name of a stitch with the place where it is worked. */
export function stitchWord(key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const kind = stitchKind(codeOf(key));
  if (style === 'short') return terms === 'US' ? kind.us : kind.uk;
  return terms === 'US' ? kind.usWhole : kind.ukWhole;
}

const counted = /^(cluster|block|fleck)\b/;

/** So many of a stitch: `4 sc`, `2 clusters in sp`. */
export function countedStitch(count: number, key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const word = stitchWord(key, terms, style);
  if (count === 1) return `1 ${word}`;
  const plural = style === 'whole' ? word.replace(/^chain$/, 'chains') : word;
  return `${count} ${plural.replace(counted, '$1s')}`;
}

/** The stitch with its article: `an sc`, `a dc`. */
export function oneStitch(key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const word = stitchWord(key, terms, style);
  const vowel = style === 'short' ? /^(sc|hdc|htr|edge|inc)\b/ : /^[aeiou]/;
  return `${vowel.test(word) ? 'an' : 'a'} ${word}`;
}

/** The abbreviations of some stitches with their whole words, in the order of the register. */
export function legend(keys: readonly StitchKey[], terms: Terms): { abbreviation: string; words: string }[] {
  return [...new Set(keys)]
    .sort((a, b) => codeOf(a) - codeOf(b))
    .map((key) => ({ abbreviation: stitchWord(key, terms), words: stitchWord(key, terms, 'whole') }));
}

/** The way a row lies on a chart of the right side: RS rows as worked, WS rows mirrored. */
export function chartDirection(side: 'RS' | 'WS', hand: Hand): 'right to left' | 'left to right' {
  return (side === 'RS') === (hand === 'right') ? 'right to left' : 'left to right';
}
