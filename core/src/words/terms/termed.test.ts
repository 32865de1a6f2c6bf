import { patternBook } from '../../craft/book/book.ts';
import { techniques } from '../../craft/techniques/register.ts';
import { techniqueWords } from '../en/techniques.ts';
import { termed } from './termed.ts';

const uk = (text: string) => termed(text, 'UK');

describe('a text in the terms of the maker', () => {
  it('reads as it is written in the US, without its brackets', () => {
    expect(termed('Every {sc} sits in a chain space, {an hdc} beside it.', 'US')).toBe(
      'Every sc sits in a chain space, an hdc beside it.',
    );
  });

  it('has every stitch one higher in the UK, none of them twice', () => {
    expect(uk('Strap: 8 rows of 94 {sc}, then 2 {hdc}, 3 {dc} and {a tr}.')).toBe(
      'Strap: 8 rows of 94 dc, then 2 htr, 3 tr and a dtr.',
    );
    expect(uk('wide {half double crochet}')).toBe('wide half treble crochet');
    expect(uk('{Single crochet} in the spaces, {double crochet} above.')).toBe(
      'Double crochet in the spaces, treble crochet above.',
    );
    expect(uk('4 {sl st} at this {gauge}')).toBe('4 ss at this tension');
  });

  it('keeps the article right: an sc is a dc, an hdc an htr', () => {
    expect(uk('The row ends with {an sc}; {an hdc} follows {a dc}.')).toBe(
      'The row ends with a dc; an htr follows a tr.',
    );
    expect(uk('{An sc} of its own net')).toBe('A dc of its own net');
  });

  it('touches nothing outside brackets, and no bracket that it does not know', () => {
    expect(uk('Scarf, dc and {b} stitches')).toBe('Scarf, dc and {b} stitches');
  });

  it('leaves no stitch of the US in what the book and the techniques say', () => {
    // In the UK there is no single crochet, sc or hdc.
    const said = [
      ...patternBook.flatMap(({ about, ends, careful }) => [about, ends, careful]),
      ...techniques.flatMap(({ key }) => Object.values(techniqueWords(key))),
    ].map((each) => uk(String(each)));
    expect(said.filter((each) => /\b(sc|hdc)\b|single crochet|half double|[{}]/i.test(each))).toEqual([]);
  });
});
