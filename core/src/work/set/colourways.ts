import type { Wish } from '../../records/wish.ts';

/** Which yarn each item of a set takes for each colour of its pattern: numbers of the yarns at hand, from 0. */
export type Colouring = readonly (readonly number[])[];

/** Ways to fill the table of a set at once. */
export const fillings = ['alike', 'swap', 'rotate', 'rotate-others'] as const;
export type Filling = (typeof fillings)[number];

/**
 * A set coloured one way throughout: all alike; every other one with its first two colours exchanged; each a yarn further
 * in all its colours; or in all but the first, which they share.
 * @param colours of the pattern @param yarns at hand, as many as there are colours or more
 */
export function filled(how: Filling, items: number, colours: number, yarns: number): Colouring {
  const yarnOf = (item: number, colour: number): number => {
    if (how === 'rotate') return (item + colour) % yarns;
    if (how === 'rotate-others') return colour === 0 ? 0 : 1 + ((item + colour - 1) % (yarns - 1));
    return how === 'swap' && item % 2 === 1 && colour < 2 && colours > 1 ? 1 - colour : colour;
  };
  return Array.from({ length: items }, (_, item) =>
    Array.from({ length: colours }, (_, colour) => yarnOf(item, colour)),
  );
}

/** Items in the same colours. */
export interface Colourway {
  /** Numbers of the yarns, by the colours of the pattern. */
  readonly yarns: readonly number[];
  /** Numbers of its items in the set, from 0. */
  readonly items: readonly number[];
}

/** The colourways of a set, in the order of their first items. */
export function colourwaysOf(colouring: Colouring): Colourway[] {
  const found = new Map<string, { yarns: readonly number[]; items: number[] }>();
  colouring.forEach((yarns, item) => {
    const own = found.get(yarns.join(' ')) ?? { yarns, items: [] };
    own.items.push(item);
    found.set(yarns.join(' '), own);
  });
  return [...found.values()];
}

/** Items in which one yarn is to be two colours: they could not be told apart. */
export function itemsOfOneYarn(colouring: Colouring): number[] {
  return colouring.flatMap((yarns, item) => (new Set(yarns).size < yarns.length ? [item] : []));
}

const longestTitle = 80;

/**
 * The wishes of a set: one for each colourway, all of the same size and pattern, named by what is its own.
 * @param palette the yarns at hand; those of the wish first, by its colours @param panels cloths that make one item
 */
export function wishesOfSet(
  wish: Wish,
  set: { readonly id: string; readonly title: string },
  palette: Wish['yarns'],
  colouring: Colouring,
  panels: 1 | 2,
): Wish[] {
  const ways = colourwaysOf(colouring);
  const shared = palette.map((_, yarn) => ways.every(({ yarns }) => yarns.includes(yarn)));
  const given = new Set<number>();
  // What is set aside of a yarn is there once: the first that takes it has it, and the others with it as one set.
  const dealt = (number: number, letter: string) => {
    const { balls, partGrams, ...yarn } = palette[number] as Wish['yarns'][number];
    const aside = given.has(number) ? {} : { balls, partGrams };
    given.add(number);
    return { ...yarn, ...aside, letter };
  };
  return ways.map(({ yarns, items }) => {
    const own = yarns.filter((yarn) => !shared[yarn]);
    // Where all have the same yarns it is their order that tells them apart.
    const names = (own.length ? own : yarns)
      .map((yarn) => palette[yarn]?.name ?? '')
      .join(own.length ? ' and ' : ' on ');
    const room = longestTitle - names.length - 2;
    return {
      ...wish,
      title: ways.length > 1 ? `${set.title.slice(0, Math.max(1, room))}: ${names}`.slice(0, longestTitle) : set.title,
      pieces: items.length * panels,
      set: { id: set.id, title: set.title },
      yarns: wish.yarns.map(({ letter }, colour) => dealt(yarns[colour] as number, letter)),
    };
  });
}

/** A wish of a set as another of it was changed: its name, its yarns and how many of it are made stay its own. */
export function togetherWith(changed: Wish, own: Wish): Wish {
  const { title, pieces, yarns, set } = own;
  return { ...changed, title, pieces, yarns, set };
}
