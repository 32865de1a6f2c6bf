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

/** What tells each of the ways apart: its own yarns, their order where all have the same, its number where that is not enough. */
function namesOf(ways: readonly Colourway[], names: readonly string[]): string[] {
  const shared = names.map((_, yarn) => ways.every(({ yarns }) => yarns.includes(yarn)));
  const alike = colourwaysOf(ways.map(({ yarns }) => yarns)).length === 1;
  const plain = ways.map(({ yarns }) => {
    const own = yarns.filter((yarn) => !shared[yarn]);
    if (alike) return '';
    return (own.length ? own : yarns).map((yarn) => names[yarn] ?? '').join(own.length ? ' and ' : ' on ');
  });
  const seen = new Map<string, number>();
  return plain.map((name) => {
    const number = (seen.get(name) ?? 0) + 1;
    seen.set(name, number);
    const several = plain.filter((other) => other === name).length > 1;
    return several ? `${name} ${number}`.trim() : name;
  });
}

/** How a set is made of its wish. */
interface SetOf {
  readonly id: string;
  readonly title: string;
  /** Cloths that make one item. */
  readonly panels: 1 | 2;
  /** Each item is a project of its own, so that they can be worked by turns; else those in the same colours are one. */
  readonly apart?: boolean;
}

/**
 * The wishes of a set, all of the same size and pattern, named by what is their own.
 * @param palette the yarns at hand; those of the wish first, by its colours
 */
export function wishesOfSet(
  wish: Wish,
  { id, title, panels, apart = false }: SetOf,
  palette: Wish['yarns'],
  colouring: Colouring,
): Wish[] {
  const ways = apart ? colouring.map((yarns, item): Colourway => ({ yarns, items: [item] })) : colourwaysOf(colouring);
  const names = namesOf(
    ways,
    palette.map(({ name }) => name),
  );
  const given = new Set<number>();
  // What is set aside of a yarn is there once: the first that takes it has it, and the others with it as one set.
  const dealt = (number: number, letter: string) => {
    const { balls, partGrams, ...yarn } = palette[number] as Wish['yarns'][number];
    const aside = given.has(number) ? {} : { balls, partGrams };
    given.add(number);
    return { ...yarn, ...aside, letter };
  };
  return ways.map(({ yarns, items }, i) => {
    const name = names[i] ?? '';
    const room = longestTitle - name.length - 2;
    return {
      ...wish,
      title: ways.length > 1 ? `${title.slice(0, Math.max(1, room))}: ${name}`.slice(0, longestTitle) : title,
      pieces: items.length * panels,
      set: { id, title },
      yarns: wish.yarns.map(({ letter }, colour) => dealt(yarns[colour] as number, letter)),
    };
  });
}

/** A wish of a set as another of it was changed: its name, its yarns and how many of it are made stay its own. */
export function togetherWith(changed: Wish, own: Wish): Wish {
  const { title, pieces, yarns, set } = own;
  return { ...changed, title, pieces, yarns, set };
}
