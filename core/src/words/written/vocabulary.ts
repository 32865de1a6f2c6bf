import { type StitchKey, stitchKinds } from '../../craft/stitches/kinds.ts';
import { stitchNames } from '../terms/stitchNames.ts';
import type { Terms } from '../terms/termed.ts';

/** A word for a stitch, as somebody may write it, in small letters. */
export interface StitchWord {
  readonly word: string;
  /** Nothing for a word that means any stitch. */
  readonly key: StitchKey | undefined;
}

/** Words that mean a stitch of whatever kind. */
const anyStitch = ['stitches', 'stitch', 'sts', 'st'];

/** A word and its plural, as far as it has one. */
function plurals(name: string): string[] {
  return [name, `${name}s`, name.replace(/\b(crochet|treble|cluster|block|fleck)\b/, '$1s')];
}

/** The words of one terminology, the longest first, so that `dc in ring` is not read as `dc`. */
export function stitchWords(terms: Terms): StitchWord[] {
  const [short, whole] = terms === 'US' ? ([0, 2] as const) : ([1, 3] as const);
  const found = new Map<string, StitchKey | undefined>();
  for (const { key, opens } of stitchKinds) {
    if (opens) continue;
    for (const name of [stitchNames[key][short], stitchNames[key][whole]]) {
      for (const word of plurals(name.toLowerCase())) if (!found.has(word)) found.set(word, key);
    }
  }
  for (const word of ['chains', 'chs']) found.set(word, 'ch');
  for (const word of anyStitch) found.set(word, undefined);
  return [...found].map(([word, key]) => ({ word, key })).sort((a, b) => b.word.length - a.word.length);
}

/** In which terms a text is written, as far as it tells: only one of them has `sc`, only the other `htr`. */
export function termsOf(text: string): Terms | undefined {
  const us = /\b(sc|hdc|fpsc)\b|single crochet|half double/i.test(text);
  const uk = /\b(htr|tr|fptr|bptr)\b|half treble|\btreble/i.test(text);
  if (us === uk) return undefined;
  return us ? 'US' : 'UK';
}

/** Letters by which two words differ: 0 for the same, 1 for a slip of the finger; 2 for all else. */
export function slipBetween(a: string, b: string): 0 | 1 | 2 {
  if (a === b) return 0;
  if (Math.abs(a.length - b.length) > 1) return 2;
  let i = 0;
  while (i < a.length && a[i] === b[i]) i++;
  const [restA, restB] = [a.slice(i), b.slice(i)];
  const swapped =
    restA.length > 1 && restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2);
  const one = restA.slice(1) === restB.slice(1) || restA.slice(1) === restB || restA === restB.slice(1);
  return one || swapped ? 1 : 2;
}
