import { fibreWords, type Problem, patternBook, plainPattern, type StitchPattern } from '@puntada/core/craft';
import { panelsOf, techniquesFor } from '@puntada/core/plan';
import { readShape, type StoredYarn, type Wish, yarnSchema } from '@puntada/core/records';
import { backOf, type Colouring, colourwaysOf, itemsOfOneYarn, twinOf, wishesOfSet } from '@puntada/core/work';
import { metresText } from './formUnits.ts';
import type { WishFormValues, YarnValues } from './formValues.ts';
import { isTubeForm, yarnTyped } from './wishForm.ts';

/** What the form holds of a yarn that was taken from the drawer. */
export function yarnFromDrawer({ id, yarn }: StoredYarn, units: Wish['units']): Omit<YarnValues, 'letter'> {
  const text = (value: number | undefined) => (value === undefined ? '' : String(value));
  const { name, shade, weight, fibre, ballMetres, ballGrams, balls, parts } = yarn;
  return {
    drawer: id,
    name,
    shade,
    weight: String(weight),
    fibre,
    blend: yarn.blend ? fibreWords(yarn) : '',
    ballMetres: metresText(ballMetres, units),
    ballGrams: text(ballGrams),
    balls: String(balls),
    partGrams: parts.length ? String(parts.reduce((sum, grams) => sum + grams, 0)) : '',
  };
}

/** Cloths that are joined to one of the item. */
export function panelsOfForm(form: WishFormValues): 1 | 2 {
  const flap = form.finish.flap.trim() || undefined;
  return panelsOf({ item: form.item, finish: flap ? { flap } : undefined }, isTubeForm(form));
}

const most = 99;

/** How many of the item the form asks for: two panels are one bag. */
export function itemsOfForm(form: WishFormValues): number {
  const pieces = Math.min(most, Math.max(1, Math.floor(Number(form.pieces)) || 1));
  return Math.max(1, Math.floor(pieces / panelsOfForm(form)));
}

/** Which yarn each item takes for each colour: what was chosen, as far as there is such an item and yarn. */
export function colouringOf(form: WishFormValues): Colouring {
  const { yarns, set } = form;
  const all = yarns.length + set.yarns.length;
  return Array.from({ length: itemsOfForm(form) }, (_, item) =>
    yarns.map((_, colour) => {
      const chosen = set.items[item]?.[colour];
      return chosen !== undefined && chosen < all ? chosen : colour;
    }),
  );
}

/** Whether the items are of more than one colourway. */
function isMixed(form: WishFormValues): boolean {
  return colourwaysOf(colouringOf(form)).length > 1;
}

/** Patterns of the book in which the other side can be worked, with the yarns that there are. */
export function backPatterns({ item, yarns }: WishFormValues): readonly StitchPattern[] {
  const offered = techniquesFor(item);
  return patternBook.filter(
    ({ technique, fewestColours, made }) =>
      offered.includes(technique) && fewestColours <= yarns.length && (made === 'flat' || made === 'right-side'),
  );
}

/** Whether the other side is another cloth. */
export function hasOtherBack(form: WishFormValues): boolean {
  return form.back !== '' && panelsOfForm(form) === 2;
}

type Typed = { readonly wishes: readonly Wish[] } | { readonly problems: readonly Problem[] };

/** Each front with its back, a wish of its own, in the yarns of that front. @returns what is in the way instead */
function withBacks({ back }: WishFormValues, fronts: readonly Wish[]): Typed {
  const wishes: Wish[] = [];
  for (const each of fronts) {
    const front: Wish = { ...each, set: { ...(each.set as NonNullable<Wish['set']>), part: 'front' } };
    if (back === 'twin') {
      wishes.push(front, twinOf(front));
      continue;
    }
    const made = backOf(front, back === 'plain' ? { text: plainPattern } : { key: back });
    if (!made.ok) return { problems: made.problems.map((problem) => ({ ...problem, path: 'back' })) };
    wishes.push(front, made.value);
  }
  return { wishes };
}

/**
 * The wishes of a set that was typed, one for each colourway. @param id of the set
 * @returns what is wrong with a further yarn instead, at its field
 */
function wishesOfForm(form: WishFormValues, wish: Wish, id: string): Typed {
  const further: Wish['yarns'] = [];
  const problems: Problem[] = [];
  const twice = itemsOfOneYarn(colouringOf(form));
  if (twice.length) {
    problems.push({ code: 'set-yarn-twice', path: 'set.items', facts: { items: twice.map((item) => item + 1) } });
  }
  form.set.yarns.forEach((yarn, i) => {
    const read = readShape(yarnSchema, { ...(yarnTyped(yarn, form.units) as object), letter: 'A' });
    if (read.ok) further.push(read.value);
    else problems.push(...read.problems.map((problem) => ({ ...problem, path: `set.yarns.${i}.${problem.path}` })));
  });
  if (problems.length) return { problems };
  const palette = [...wish.yarns, ...further];
  // Where the other side is another cloth, a front is half of each.
  const panels = hasOtherBack(form) ? 1 : panelsOfForm(form);
  const set = { id, title: wish.title, panels, apart: form.set.apart };
  return { wishes: wishesOfSet(wish, set, palette, colouringOf(form)) };
}

/** Every wish of what was typed: one, those of a set in several colours, fronts and their backs. */
export function wishesTyped(form: WishFormValues, wish: Wish, id: string): Typed {
  const several = isMixed(form) || (form.set.apart && itemsOfForm(form) > 1);
  if (!several && !hasOtherBack(form)) return { wishes: [wish] };
  const set = { id, title: wish.title };
  const made: Typed = several
    ? wishesOfForm(form, wish, id)
    : { wishes: [{ ...wish, pieces: itemsOfForm(form), set }] };
  return hasOtherBack(form) && 'wishes' in made ? withBacks(form, made.wishes) : made;
}
