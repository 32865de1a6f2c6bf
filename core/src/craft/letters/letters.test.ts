import fc from 'fast-check';
import { must } from '../values/problem.ts';
import { type Alphabet, alphabets, type Bitmap, lettered, strokeOf } from './letters.ts';

const known = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789ÄÉÑñçøßœ.,-!?&+\'"/()♥';

function drawn(text: string, alphabet: Alphabet = 'small'): string[] {
  return must(lettered(text, alphabet)).map((line) => line.map((ink) => (ink ? '#' : '.')).join(''));
}

/** Cells that hang together, corners included, told apart by a flood from each. */
function pieces(bitmap: Bitmap): number {
  const left = new Set(bitmap.flatMap((line, y) => line.flatMap((ink, x) => (ink ? [`${x} ${y}`] : []))));
  let count = 0;
  for (const cell of left) {
    count++;
    const open = [cell];
    for (let next = open.pop(); next; next = open.pop()) {
      if (!left.delete(next)) continue;
      const [x = 0, y = 0] = next.split(' ').map(Number);
      for (const dx of [-1, 0, 1]) for (const dy of [-1, 0, 1]) open.push(`${x + dx} ${y + dy}`);
    }
  }
  return count;
}

describe('letters', () => {
  it('stands two letters one cell apart', () => {
    expect(drawn('HI')).toEqual(['#..#.###', '#..#..#.', '####..#.', '#..#..#.', '#..#.###']);
  });

  it('moves letters together where their shapes leave room', () => {
    // The foot of L and the arm of T never meet: their boxes touch.
    expect(drawn('LT')[0]?.length).toBeLessThan(3 + 1 + 5);
    expect(drawn('HH')[0]?.length).toBe(4 + 1 + 4);
  });

  it('keeps a letter from the one before the sign beside it', () => {
    // l, ' and J: three pieces, though the sign alone would let the J under it as far as the l.
    expect(pieces(must(lettered("l'J", 'small')))).toBe(3);
  });

  it('is five high, nine, and ten with strokes of two', () => {
    expect(alphabets.map((alphabet) => drawn('E', alphabet).length)).toEqual([5, 9, 10]);
    expect(drawn('I', 'wide')[0]).toBe('######');
    expect(drawn('E', 'tall').filter((line) => line === '###')).toHaveLength(2);
  });

  it('has small letters that hang below, and accents with a blank under them', () => {
    expect(drawn('p')).toHaveLength(6);
    expect(drawn('ñ')).toEqual(['.#.#', '#.#.', '....', '##..', '#.#.', '#.#.', '#.#.']);
    expect(drawn('é').length).toBe(drawn('e').length - 1 + 3);
    // The dot makes way for the accent.
    expect(drawn('í').filter((line) => line.includes('#'))).toHaveLength(2 + 4);
  });

  it('says which characters it has none of', () => {
    const none = lettered('Tide 漢 £', 'small');
    expect(none.ok ? [] : none.problems[0]).toMatchObject({
      code: 'letters-unknown',
      facts: { characters: ['漢', '£'] },
    });
    expect(lettered('   ', 'small').ok).toBe(false);
  });

  it('no two letters of any word touch', () => {
    const letter = fc.constantFrom(...known);
    fc.assert(
      fc.property(fc.array(letter, { minLength: 2, maxLength: 8 }), fc.constantFrom(...alphabets), (word, alphabet) => {
        const whole = pieces(must(lettered(word.join(''), alphabet)));
        const apart = word.reduce((sum, each) => sum + pieces(must(lettered(each, alphabet))), 0);
        expect(whole).toBe(apart);
        expect(strokeOf[alphabet]).toBeGreaterThan(0);
      }),
    );
  });

  it('every letter of an alphabet is drawn unlike every other', () => {
    const pictures = [...'ABCDEFGHIJKLMNPQRSTUVWXYZabcdefghijkmnopqrstuvwxyz0123456789'].map((each) =>
      drawn(each).join('|'),
    );
    expect(new Set(pictures).size).toBe(pictures.length);
  });
});
