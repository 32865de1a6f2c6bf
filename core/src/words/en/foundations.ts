import {
  beginsSmall,
  chainsFor,
  type Foundation,
  type IntoChain,
  tubeBegins,
} from '../../craft/foundation/foundation.ts';

/** Where the first stitch goes, and what the turning chain counts as. */
const names: Readonly<Record<string, string>> = {
  'sc-2nd': '2nd chain from the hook',
  'hdc-2nd': '2nd chain from the hook, ch 1 to turn (tight)',
  'hdc-3rd': '3rd chain from the hook, ch 2 to turn, not a stitch (loose)',
  'hdc-3rd-counted': '3rd chain from the hook, ch 2 counts as a stitch',
  'dc-4th': '4th chain from the hook, ch 3 counts as a stitch',
  'dc-3rd': '3rd chain from the hook, ch 2 to turn, not a stitch',
  'dc-3rd-counted': '3rd chain from the hook, ch 2 counts as a stitch',
  'sc-chainless': 'foundation stitches, no chain',
  'dc-chainless': 'foundation stitches, no chain',
  'wide-3rd': '3rd chain from the hook, ch 2 counts as a post',
  'linen-4th': '4th chain from the hook; ch 2 counts as the first stitch and space',
  'granny-4th': '4th chain from the hook: rows with and without edge stitches by turns',
  'granny-3rd': '3rd chain from the hook: every row ends with an edge stitch',
  'mesh-2nd': '2nd chain from the hook, for a base row',
  'corner-6': 'a chain of 6 for the first block',
  'magic-ring': 'a magic ring',
  'chain-ring': '4 chains joined to a ring',
  'both-sides-sc': 'both sides of the chain, from the 2nd chain; one chain more to turn',
  'both-sides-dc': 'both sides of the chain, from the 3rd chain; ch 2 is not a stitch',
  'both-sides-hdc': 'both sides of the chain, from the 3rd chain; ch 2 is not a stitch',
  'circle-sc': 'a flat circle',
  'circle-hdc': 'a flat circle',
  'circle-dc': 'a flat circle',
  'ring-sc': 'the chain joined to a ring',
  'ring-hdc': 'the chain joined to a ring',
  'ring-dc': 'the chain joined to a ring',
};

/** A way to begin, as a choice shows it. */
export function foundationWords({ key }: Pick<Foundation, 'key'>): string {
  return names[key] ?? key;
}

const tubes = {
  ring: 'the chain joined to a ring: open below and above',
  chain: 'both sides of the chain: closed below',
  circle: 'a flat circle, then straight sides',
} as const;

/** A way to begin, told by what it leaves open where it makes a tube. */
export function beginningWords(way: Foundation): string {
  const begins = tubeBegins(way);
  return begins ? tubes[begins] : foundationWords(way);
}

/** What the turning chain is: `ch 3, counts as the first stitch`. */
export function turningChainWords({ turn, counted }: Foundation): string {
  if (turn > 3) return `ch ${turn} opens a block`;
  return `ch ${turn}, ${counted ? 'counts as the first stitch' : 'not a stitch'}`;
}

/** What speaks for each place in the chain. */
export const intoChainWords: Readonly<Record<IntoChain, string>> = {
  'one loop': 'quick; leaves the lower edge thinner, so close the upper one with plain {sc}',
  'two loops': 'firmer',
  'back bump': 'neatest: the lower edge looks like the upper one',
};

/** From so many chains on a maker loses count. */
const longChain = 30;

/** What to know before the first row: the chain, and the loops to work into. @param count what the widths count */
export function beginningAdvice(foundation: Foundation, count: number, into: IntoChain): string[] {
  const advice: string[] = [];
  if (!beginsSmall(foundation) && chainsFor(foundation, count) >= longChain) {
    advice.push(
      'Mark every 20th chain.',
      'Make 3 to 5 spare chains: you can undo them from the slip knot if you left it loose.',
      'Work the chain loosely or with a hook one size larger, or the lower edge draws in.',
    );
  }
  if (foundation.firstInto === 1) advice.push('Join the chain without twisting it.');
  if (foundation.each > 0 && foundation.firstInto > 1) {
    const where = into === 'back bump' ? 'the back bump' : into;
    advice.push(`Work into ${where} of each chain: ${intoChainWords[into]}.`);
  }
  return advice;
}
