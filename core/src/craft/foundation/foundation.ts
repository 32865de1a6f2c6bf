import type { StitchKey } from '../stitches/kinds.ts';
import { good, type Result, refused } from '../values/problem.ts';

/**
 * One way to begin: how many chains go with how many stitches, and what the turning chain counts as.
 * docs/craft.md, “From chains to stitches”. Chains = count · each ÷ sides + beyond, the count being what the
 * pattern's widths count.
 */
export interface Foundation {
  readonly key: FoundationKey;
  /** The main stitch of the first row. */
  readonly stitch: StitchKey;
  readonly beyond: number;
  /** Chains that one of the pattern's count takes: 1 a stitch, 2 a window, 3 a cluster, 0 where a ring begins it. */
  readonly each: number;
  /** 2 where the first round goes along both sides of the chain. */
  readonly sides: 1 | 2;
  /** The chain from the hook into which the first stitch goes; 0 where no chain is worked into. */
  readonly firstInto: number;
  /** Chains made to turn at the start of every later row. */
  readonly turn: number;
  /** Whether the turning chain is the first stitch of the row. */
  readonly counted: boolean;
  /** The sides stand on a flat circle, which is worked first. */
  readonly circle: boolean;
}

type Way = Omit<Foundation, 'key' | 'each' | 'sides' | 'counted' | 'circle'> &
  Partial<Pick<Foundation, 'each' | 'sides' | 'counted' | 'circle'>>;

const ways = {
  'sc-2nd': { stitch: 'sc', beyond: 1, firstInto: 2, turn: 1 },
  'hdc-2nd': {
    stitch: 'hdc',
    beyond: 1,
    firstInto: 2,
    turn: 1,
  },
  'hdc-3rd': {
    stitch: 'hdc',
    beyond: 2,
    firstInto: 3,
    turn: 2,
  },
  'hdc-3rd-counted': {
    stitch: 'hdc',
    beyond: 1,
    firstInto: 3,
    turn: 2,
    counted: true,
  },
  'dc-4th': {
    stitch: 'dc',
    beyond: 2,
    firstInto: 4,
    turn: 3,
    counted: true,
  },
  'dc-3rd': {
    stitch: 'dc',
    beyond: 2,
    firstInto: 3,
    turn: 2,
  },
  'dc-3rd-counted': {
    stitch: 'dc',
    beyond: 1,
    firstInto: 3,
    turn: 2,
    counted: true,
  },
  'sc-chainless': { stitch: 'sc', beyond: 0, firstInto: 0, turn: 1 },
  'dc-chainless': { stitch: 'dc', beyond: 0, firstInto: 0, turn: 2 },
  'wide-3rd': {
    stitch: 'hdc',
    beyond: 1,
    firstInto: 3,
    turn: 2,
    counted: true,
  },
  'linen-4th': {
    stitch: 'sc',
    beyond: 2,
    firstInto: 4,
    turn: 2,
    counted: true,
  },
  'granny-4th': {
    stitch: 'dc',
    each: 3,
    beyond: 1,
    firstInto: 4,
    turn: 3,
    counted: true,
  },
  'granny-3rd': {
    stitch: 'dc',
    each: 3,
    beyond: 3,
    firstInto: 3,
    turn: 2,
    counted: true,
  },
  'mesh-2nd': {
    stitch: 'sc',
    each: 2,
    beyond: 4,
    firstInto: 2,
    turn: 1,
  },
  'corner-6': { stitch: 'dc', each: 0, beyond: 6, firstInto: 4, turn: 6 },
  'magic-ring': { stitch: 'dc', each: 0, beyond: 0, firstInto: 0, turn: 3, counted: true },
  'chain-ring': {
    stitch: 'dc',
    each: 0,
    beyond: 4,
    firstInto: 0,
    turn: 3,
    counted: true,
  },
  'both-sides-sc': {
    stitch: 'sc',
    sides: 2,
    beyond: 1,
    firstInto: 2,
    turn: 1,
  },
  'both-sides-dc': {
    stitch: 'dc',
    sides: 2,
    beyond: 2,
    firstInto: 3,
    turn: 2,
  },
  'both-sides-hdc': {
    stitch: 'hdc',
    sides: 2,
    beyond: 2,
    firstInto: 3,
    turn: 2,
  },
  'circle-sc': { stitch: 'sc', each: 0, beyond: 0, firstInto: 0, turn: 1, circle: true },
  'circle-hdc': { stitch: 'hdc', each: 0, beyond: 0, firstInto: 0, turn: 2, circle: true },
  'circle-dc': { stitch: 'dc', each: 0, beyond: 0, firstInto: 0, turn: 2, circle: true },
  'ring-sc': { stitch: 'sc', beyond: 0, firstInto: 1, turn: 1 },
  'ring-hdc': { stitch: 'hdc', beyond: 0, firstInto: 1, turn: 2 },
  'ring-dc': { stitch: 'dc', beyond: 0, firstInto: 1, turn: 2 },
} as const satisfies Record<string, Way>;

export type FoundationKey = keyof typeof ways;

export const foundations: readonly Foundation[] = (Object.entries(ways) as [FoundationKey, Way][]).map(
  ([key, way]) => ({ each: 1, sides: 1, counted: false, circle: false, ...way, key }),
);

/** The foundation of a key. */
export function findFoundation(key: string): Foundation | undefined {
  return foundations.find((each) => each.key === key);
}

/** Chains for so many of what the pattern's widths count. */
export function chainsFor(foundation: Foundation, count: number): number {
  return (count * foundation.each) / foundation.sides + foundation.beyond;
}

/** Whether a piece begins with as many chains however wide it becomes, as a ring and a first block do. */
export function beginsSmall({ each }: Foundation): boolean {
  return each === 0;
}

/**
 * What a round piece leaves open, and how it is begun. docs/craft.md, “Rounds”.
 * @returns `ring`: both ends; `chain`: the top; `circle`: the top, on a round bottom; nothing of what is not a tube
 */
export function tubeBegins({ sides, firstInto, circle, each }: Foundation): 'ring' | 'chain' | 'circle' | undefined {
  if (circle) return 'circle';
  if (sides === 2) return 'chain';
  return firstInto === 1 && each > 0 ? 'ring' : undefined;
}

/** The ways to begin rounds of a main stitch, the usual one first. */
export function roundWays(stitch: StitchKey, usual: 'ring' | 'chain' = 'ring'): readonly FoundationKey[] {
  const main = stitch === 'dc' ? 'dc' : stitch === 'hdc' ? 'hdc' : 'sc';
  const [ring, chain, circle] = [`ring-${main}`, `both-sides-${main}`, `circle-${main}`] as const;
  return usual === 'ring' ? [ring, chain, circle] : [chain, ring, circle];
}

/** The count that a chain is made for; not whole where the chain does not come out. Not of what begins small. */
export function countFor(foundation: Foundation, chains: number): number {
  return ((chains - foundation.beyond) * foundation.sides) / foundation.each;
}

/** The foundation the maker chose among those that a technique offers, or the first of them. */
export function chooseFoundation(offered: readonly FoundationKey[], key: string | undefined): Result<Foundation> {
  const wanted = key ?? offered[0];
  const found = offered.find((each) => each === wanted);
  if (found) return good(findFoundation(found) as Foundation);
  return refused({
    code: 'foundation-unknown',
    path: '',
    facts: { key, offered },
  });
}

/** Where in the chain the first row goes: a school of its own. */
export type IntoChain = 'one loop' | 'two loops' | 'back bump';
