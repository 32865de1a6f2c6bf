import { codeOf, type StitchKey } from '../../craft/stitches/kinds.ts';
import { stitchNames } from './stitchNames.ts';
import { type Terms, termed } from './termed.ts';

/** Abbreviations, or whole words. */
export type Style = 'short' | 'whole';

/** The hand that holds the hook. */
export type Hand = 'right' | 'left';

/** How rows are written: compact, `(4 sc B, 4 sc A) × 4`, or as printed patterns are, `*4 sc in B, 4 sc in A; repeat from *`. */
export type Manner = 'compact' | 'printed';

/** How a maker reads: in which terms, with the hook in which hand, and rows in which manner. */
export interface Maker {
  readonly terms: Terms;
  readonly hand: Hand;
  readonly manner?: Manner | undefined;
}

/** How words are to be: in which terms, short or whole, and in which manner. */
export interface Wording {
  readonly terms: Terms;
  readonly style?: Style | undefined;
  readonly manner?: Manner | undefined;
  /** The foundation chain was made as a step of its own: the first row is told without it. */
  readonly chained?: boolean | undefined;
}

/** The name of a stitch with the place where it is worked. */
export function stitchWord(key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const [us, uk, usWhole, ukWhole] = stitchNames[key];
  if (style === 'short') return terms === 'US' ? us : uk;
  return terms === 'US' ? usWhole : ukWhole;
}

const counted = /^(cluster|block|fleck)\b/;

/** So many of a stitch: `4 sc`, `2 clusters in sp`; chains by their number, `ch 4`. */
export function countedStitch(count: number, key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const word = stitchWord(key, terms, style);
  if (key === 'ch') return `${word} ${count}`;
  return count === 1 ? `1 ${word}` : `${count} ${word.replace(counted, '$1s')}`;
}

/** So many of a stitch as a sum tells it: `24 sc`, `5 chains`. */
export function summedStitch(count: number, key: StitchKey, terms: Terms, style: Style = 'short'): string {
  if (key === 'linen-edge') return `the ${style === 'short' ? 'ch' : 'chain'} 2 of the edge`;
  if (key !== 'ch') return countedStitch(count, key, terms, style);
  const word = style === 'short' ? 'ch' : count === 1 ? 'chain' : 'chains';
  return `${count} ${word}`;
}

/** The stitch with its article: `an sc`, `a dc`. */
export function oneStitch(key: StitchKey, terms: Terms, style: Style = 'short'): string {
  const word = stitchWord(key, terms, style);
  const vowel = style === 'short' ? /^(sc|hdc|htr|edge|inc)\b/ : /^[aeiou]/;
  return `${vowel.test(word) ? 'an' : 'a'} ${word}`;
}

/** The joining or slipping stitch. */
export function slipStitch({ terms, style = 'short' }: Wording): string {
  if (style === 'whole') return 'slip stitch';
  return terms === 'US' ? 'sl st' : 'ss';
}

/** Chains that a counted opening stands for where it is a part of the foundation chain. */
const skippedChains: Partial<Record<StitchKey, number>> = {
  'dc-ch3': 3,
  'dc-ch2': 2,
  'hdc-ch2': 2,
  'linen-edge': 3,
  'cluster-ch3': 3,
  'cluster-ch2': 2,
};

/** What a counted opening is the first of: what stands in its brackets. */
function openingRole(key: StitchKey, wording: Wording, edgePost: boolean): string {
  const role = /\((.+)\)$/.exec(stitchWord(key, wording.terms, wording.style))?.[1] ?? '';
  return edgePost && key === 'hdc-ch2' ? 'the edge post' : role.replace(/^counts as /, '');
}

/**
 * The first cell of a row that begins with a counted chain, told once and with what it counts as: `ch 3 (counts as the
 * first dc)`, in the first row `3 skipped chains (the first dc)`.
 * @param where whether it is in the foundation chain, and whether it is the post at the edge of wide hdc
 */
export function openingWords(
  key: StitchKey,
  wording: Wording,
  where: { readonly inChain: boolean; readonly edgePost: boolean },
): string {
  const word = stitchWord(key, wording.terms, wording.style);
  const role = openingRole(key, wording, where.edgePost);
  const chains = skippedChains[key];
  const head = word.replace(/ \(.+\)$/, '');
  if (!where.inChain || chains === undefined) {
    return where.edgePost && key === 'hdc-ch2' ? `${head} (${role})` : word;
  }
  const more = / and .+$/.exec(head)?.[0] ?? '';
  return `${chains} skipped chains${more} (${role})`;
}

/** How a special stitch is made, stitch by stitch; nothing of a plain one. docs/craft.md, “The techniques”. */
const makings: Partial<Record<StitchKey, string>> = {
  'hdc@between': '{hdc} worked between two posts of the row below, under all its loops',
  'sc@space': '{sc} into the chain space of the row below',
  'dc@below2':
    '{dc} over the loose chains into the top of the stitch two rows below; in row 2 into the foundation chain',
  'dc@front2':
    '{dc} in the front loop of the stitch two rows below, which is in its own colour; skip the stitch behind it',
  'sc@back': '{sc} in the back loop only',
  'sc@front': '{sc} in the front loop only',
  'hdc@back': '{hdc} in the back loop only',
  'hdc@front': '{hdc} in the front loop only',
  'dc@back': '{dc} in the back loop only',
  'dc@front': '{dc} in the front loop only',
  fpdc: '{dc} around the post of the own colour two rows below, from the front, passing in front of the other net',
  bpdc: '{dc} around the post of the own colour two rows below, from the back, passing behind the other net',
  'dc@base-front': '{dc} into the stitch of the base row that A left free, in front of the chain of A',
  'dc@base-behind': '{dc} into the stitch of the base row that A left free, behind the chain of A',
  fpsc: '{sc} around the next post of A, from the front',
  'fpdc@other': '{dc} around the next post of B, from the front',
  cluster: '3 {dc} in one chain',
  'cluster@space': '3 {dc} in the space between two clusters below',
  'cluster-ch3': 'ch 3, which is the first {dc}, and 2 {dc} in the same place',
  'cluster-ch2': 'ch 2, which is the first {dc}, and 2 {dc} in the same place',
  'edge-ch3': 'ch 3, which is {a dc} at the edge',
  'edge-dc': '1 {dc} in the last stitch of the row below, or in the last chain',
  block: '{sl st} into the chain space of the next block below, ch 3, 3 {dc} in the same space',
  'block-grow': 'ch 6; {dc} in the 4th, the 5th and the 6th chain from the hook',
  'block-shrink':
    '{sl st} in each of the 3 {dc} and into the chain space of the block below; ch 3, 3 {dc} in the same space',
  inc: '2 {dc} in one stitch',
  'inc-ch3': 'ch 3, which is the first {dc}, and 1 {dc} in the same stitch',
  'sc-inc': '2 {sc} in one stitch',
  'hdc-inc': '2 {hdc} in one stitch',
  fleck: 'draw up a loop in B, close it with A',
  'linen-edge': 'ch 2, which stands for the first stitch and the first space',
};

/** An abbreviation, its whole words, and how it is made where that has to be said. */
export interface LegendEntry {
  readonly abbreviation: string;
  readonly words: string;
  /** Nothing of a plain stitch. */
  readonly made?: string;
}

/** How a special stitch is made; nothing of a plain one. */
export function howMade(key: StitchKey, terms: Terms): string | undefined {
  const made = makings[key];
  return made && termed(made, terms);
}

/** The abbreviations of some stitches with their whole words, in the order of the register. */
export function legend(keys: readonly StitchKey[], terms: Terms): LegendEntry[] {
  return [...new Set(keys)]
    .sort((a, b) => codeOf(a) - codeOf(b))
    .map((key) => {
      const made = howMade(key, terms);
      return {
        abbreviation: stitchWord(key, terms),
        words: stitchWord(key, terms, 'whole'),
        ...(made ? { made } : {}),
      };
    });
}

/** The way a row lies on a chart of the right side: RS rows as worked, WS rows mirrored. */
export function chartDirection(side: 'RS' | 'WS', hand: Hand): 'right to left' | 'left to right' {
  return (side === 'RS') === (hand === 'right') ? 'right to left' : 'left to right';
}
