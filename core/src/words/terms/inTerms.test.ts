import { patternBook } from '../../craft/patterns/book.ts';
import { techniques } from '../../craft/techniques/register.ts';
import { inTerms } from './inTerms.ts';

const uk = (sentence: string) => inTerms(sentence, 'UK');

describe('a sentence in the terms of the maker', () => {
  it('stays as it is in the US', () => {
    expect(inTerms('Every sc sits in a chain space.', 'US')).toBe('Every sc sits in a chain space.');
  });

  it('has every stitch one higher in the UK, none of them twice', () => {
    expect(uk('Strap: 8 rows of 94 sc, then 2 hdc, 3 dc and a tr.')).toBe(
      'Strap: 8 rows of 94 dc, then 2 htr, 3 tr and a dtr.',
    );
    expect(uk('wide half double crochet')).toBe('wide half treble crochet');
    expect(uk('Single and double crochet by turns; single crochet in the spaces, double crochet above.')).toBe(
      'Double and treble crochet by turns; double crochet in the spaces, treble crochet above.',
    );
    expect(uk('4 sl st at this gauge')).toBe('4 ss at this tension');
  });

  it('keeps the article right: an sc is a dc, an hdc an htr', () => {
    expect(uk('The row ends with an sc; an hdc stands on a dc.')).toBe(
      'The row ends with a dc; an htr stands on a tr.',
    );
    expect(uk('An sc of its own mesh')).toBe('A dc of its own mesh');
  });

  it('touches nothing within a word', () => {
    expect(uk('Scarf, discard, trace, tripled, dcor: escape')).toBe('Scarf, discard, trace, tripled, dcor: escape');
  });

  it('leaves no stitch of the US in what the book and the techniques say', () => {
    // In the UK there is no single crochet, sc or hdc.
    const said = [
      ...patternBook.flatMap(({ about, ends, careful }) => [about, ends, careful]),
      ...techniques.flatMap(({ name, words }) => [name, ...Object.values(words)]),
    ].map((each) => uk(String(each)));
    expect(said.filter((each) => /\b(sc|hdc)\b|single crochet|half double/i.test(each))).toEqual([]);
  });
});
