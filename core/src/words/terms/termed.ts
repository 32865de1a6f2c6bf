/** Which of the two terminologies the words are in. */
export type Terms = 'US' | 'UK';

/** What stands in curly brackets in a text of the craft: a stitch or a word that the two terminologies call otherwise. */
const known: Readonly<Record<string, string>> = {
  'single and double crochet': 'double and treble crochet',
  'half double crochet': 'half treble crochet',
  'single crochet': 'double crochet',
  'double crochet': 'treble crochet',
  sc2tog: 'dc2tog',
  'sl st': 'ss',
  hdc: 'htr',
  sc: 'dc',
  dc: 'tr',
  tr: 'dtr',
  gauge: 'tension',
  'yarn over': 'yarn round hook',
};

/** Abbreviations that are spoken with a vowel at the beginning: an ess cee, an aitch dee cee. */
const vowel = /^(sc|hdc|htr|ss|sl st)\b/;

function capital(word: string): string {
  return word.replace(/^./, (letter) => letter.toUpperCase());
}

/**
 * A text of the craft in the terms of the maker. What differs stands in curly brackets, in the terms of the US, with its
 * article where it has one.
 *
 * @example termed('Mark {an sc}.', 'UK') // Mark a dc.
 */
export function termed(text: string, terms: Terms): string {
  return text.replace(/\{(?:(an?|An?) )?([^{}]+)\}/g, (whole, article: string | undefined, word: string) => {
    const us = word.toLowerCase();
    const own = terms === 'US' ? us : known[us];
    if (own === undefined || !(us in known)) return whole;
    const cased = /^[A-Z]/.test(word) ? capital(own) : own;
    if (!article) return cased;
    const before = vowel.test(own) ? 'an' : 'a';
    return `${/^A/.test(article) ? capital(before) : before} ${cased}`;
  });
}
