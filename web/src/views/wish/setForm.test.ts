import { readShape, type Wish, wishSchema } from '@puntada/core/records';
import { problemWords } from '@puntada/core/words';
import { colouringOf, itemsOfForm, wishesTyped } from './setForm.ts';
import { usualYarn } from './usual.ts';
import { laidOver, newWish, toWish, type WishFormValues } from './wishForm.ts';

const id = '1b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d';

function formWith(fields: object): WishFormValues {
  return laidOver(newWish('cm'), fields);
}

function typed(fields: object) {
  const form = formWith(fields);
  const read = readShape(wishSchema, toWish(form));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return wishesTyped(form, read.value, id);
}

const made = (fields: object) => {
  const found = typed(fields);
  return 'wishes' in found ? found.wishes.map(({ title, pieces, set }: Wish) => [title, pieces, set?.part]) : found;
};

describe('the wishes of an idea', () => {
  it('are one where all is alike, two for a bag with another back, and as many as a set has colourways', () => {
    expect(made({ title: 'Cloths', pieces: '3' })).toEqual([['Cloths', 3, undefined]]);
    const bag = { title: 'Bag', item: 'bag', pieces: '4', finish: { seam: 'sc' } };
    expect(made({ ...bag, back: 'plain' })).toEqual([
      ['Bag', 2, 'front'],
      ['Bag, back', 2, 'back'],
    ]);
    expect(made({ ...bag, back: 'twin' })).toEqual([
      ['Bag', 2, 'front'],
      ['Bag, back', 2, 'back'],
    ]);
    // Two panels are one bag: four of them two items, and each wish has both panels.
    const third = { ...usualYarn('C'), name: 'Teal' };
    const set = {
      yarns: [third],
      items: [
        [0, 1],
        [0, 2],
      ],
      apart: false,
    };
    expect(itemsOfForm(formWith(bag))).toBe(2);
    expect(made({ ...bag, set })).toEqual([
      ['Bag: Ferry blue', 2, undefined],
      ['Bag: Teal', 2, undefined],
    ]);
    // Two bags in two colourways, each with a plain back in its own A: four projects.
    for (const back of ['plain', 'twin']) {
      expect(made({ ...bag, set, back })).toEqual([
        ['Bag: Ferry blue', 1, 'front'],
        ['Bag: Ferry blue, back', 1, 'back'],
        ['Bag: Teal', 1, 'front'],
        ['Bag: Teal, back', 1, 'back'],
      ]);
    }
    const twins = typed({ ...bag, set, back: 'twin' });
    expect('wishes' in twins && twins.wishes.map(({ yarns }) => yarns[1]?.name)).toEqual([
      'Ferry blue',
      'Ferry blue',
      'Teal',
      'Teal',
    ]);
    expect(made({ title: 'Cloths', pieces: '2', set: { yarns: [], items: [], apart: true } })).toEqual([
      ['Cloths: 1', 1, undefined],
      ['Cloths: 2', 1, undefined],
    ]);
  });

  it('are refused where an item takes one yarn twice, or a further yarn has no name', () => {
    const twice = typed({
      pieces: '2',
      set: {
        yarns: [],
        items: [
          [0, 1],
          [1, 1],
        ],
        apart: false,
      },
    });
    expect(twice).toEqual({ problems: [{ code: 'set-yarn-twice', path: 'set.items', facts: { items: [2] } }] });
    expect(problemWords({ code: 'set-yarn-twice', facts: { items: [2] } }).message).toBe(
      'Two colours of item 2 are the same yarn.',
    );
    const nameless = typed({
      pieces: '2',
      set: {
        yarns: [{ ...usualYarn('C'), name: '' }],
        items: [
          [0, 1],
          [0, 2],
        ],
        apart: false,
      },
    });
    expect(nameless).toMatchObject({ problems: [{ path: 'set.yarns.0.name' }] });
  });

  it('take what they had at first where the table tells of yarns or items that are gone', () => {
    const set = {
      yarns: [],
      items: [
        [0, 5],
        [1, 0],
        [1, 0],
      ],
      apart: false,
    };
    expect(colouringOf(formWith({ pieces: '2', set }))).toEqual([
      [0, 1],
      [1, 0],
    ]);
  });
});
