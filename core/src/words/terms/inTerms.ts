import type { Terms } from './terms.ts';

/** What a word of the US is in the UK, where it is another. Longer ones first: they hold the shorter. */
const inUk: readonly (readonly [us: string, uk: string])[] = [
  ['single and double crochet', 'double and treble crochet'],
  ['half double crochet', 'half treble crochet'],
  ['single crochet', 'double crochet'],
  ['double crochet', 'treble crochet'],
  ['sc2tog', 'dc2tog'],
  ['sl st', 'ss'],
  ['hdc', 'htr'],
  ['sc', 'dc'],
  ['dc', 'tr'],
  ['tr', 'dtr'],
  ['gauge', 'tension'],
  ['yarn over', 'yarn round hook'],
];

const anyOf = new RegExp(`\\b(?:(an?) )?(${inUk.map(([us]) => us).join('|')})\\b`, 'gi');
const uk = new Map(inUk);

/** A sentence about the craft, written in the terms of the US, in those of the maker. Rows have words of their own. */
export function inTerms(sentence: string, terms: Terms): string {
  if (terms === 'US') return sentence;
  return sentence.replace(anyOf, (found: string, article: string | undefined, us: string) => {
    const word = uk.get(us.toLowerCase());
    if (!word) return found;
    const cased = /^[A-Z]/.test(us) ? word.replace(/^./, (letter) => letter.toUpperCase()) : word;
    if (!article) return cased;
    const own = /^(htr|ss)\b/.test(word) ? 'an' : 'a';
    return `${/^A/.test(article) ? own.replace('a', 'A') : own} ${cased}`;
  });
}
