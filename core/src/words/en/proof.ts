import { type StitchKey, stitchCode } from '../../craft/stitches/kinds.ts';
import type { Fact, Facts } from '../../craft/values/problem.ts';
import { stitchNames } from '../terms/stitchNames.ts';
import { list } from './lists.ts';
import { techniqueWords } from './techniques.ts';

/** A stitch as a proof names it. */
function kind(fact: Fact): string {
  const key = String(fact ?? 'nothing');
  return stitchCode(key) === undefined ? key : stitchNames[key as StitchKey][0];
}

/** Why a stitch cannot be where it is; each is the end of a sentence. */
export const proof: Readonly<Record<string, (f: Facts) => string>> = {
  'opens-elsewhere': (f) => `${kind(f.key)} can only be the first stitch of a row`,
  'second-colour': () => 'this row is worked in one colour, and here is another',
  'other-stitch': (f) => `${kind(f.own)} does not belong in a fabric of ${kind(f.stitch)}`,
  'stands-on': (f) => `${kind(f.own)} is above ${f.under ? kind(f.under) : 'nothing'}`,
  'turning-chain-missing': () => 'the turning chain counts as the first stitch, and there is none here',
  'dc-without-chain': () => 'a row that begins with {a dc} begins with ch 3',
  'group-length': (f) => `groups and gaps are ${f.length} long, by turns`,
  'no-ordinary-block': (f) => `${kind(f.key)} is where an ordinary block goes`,
  'diagonal-opening': (f) => `the diagonal begins with ${kind(f.opening)}, not with ${kind(f.key)}`,
  'ground-not-sc': () => 'the background is {sc}',
  'fleck-on-wrong-side': () => 'a fleck is in a wrong-side row',
  'fleck-in-a': () => 'a fleck is drawn up in B, and this one is in A',
  'ground-not-a': () => 'the background is in A',
  'fleck-on-fleck': () => 'a fleck is above a fleck',
  'wrong-kind': (f) => `${kind(f.key)} is where ${kind(f.wanted)} goes`,
  'edge-chain-inside': () => 'the ch 2 of the edge belongs at the beginning of a row only',
  'sc-and-chain-by-turns': () => '{sc} and chain must take turns',
  'no-space-in-foundation': () => 'the foundation has no chain space',
  'no-space-below': () => 'there is no chain space below',
  'sc-into-stitch': () => '{an sc} goes into a chain space, not into a stitch',
  'space-stays-empty': () => 'the chain space below stays empty',
  'row-ends-with-sc': () => 'the row ends with {an sc}',
  'base-row-plain': () => 'the base row is plain {sc}',
  'other-net-below': () => 'the stitch two rows below is of the other net',
  'nets-by-turns': () => 'the two nets take turns: A first, and B closes them',
  'neither-sc-nor-dc': (f) => `${kind(f.own)} is neither {sc} nor {dc}`,
  'stands-on-like': (f) => `${kind(f.own)} is above ${kind(f.own)}, and the two must take turns`,
  'follows-like': (f) => `${kind(f.own)} follows ${kind(f.own)}`,
  'block-length': (f) => `a block of ${f.length} stitches ends elsewhere`,
  'round-without-chain': () => 'a round begins with ch 3, which is its first stitch',
  'chain-inside-round': () => 'ch 3 counts as the first stitch of a round and as no other',
  'ring-later': () => 'only the first round goes into the ring',
  'ring-missing': () => 'the first round goes into the ring',
  'wedge-colour': () => 'a wedge goes above the wedge of its own colour',
  'wedge-increase': () => 'the increase is the first stitch of each wedge, and no other',
  'row-without-post': () => 'the row begins with ch 2, which is its first post',
  'not-between-posts': (f) => `${kind(f.key)} is where {an hdc} goes between two posts`,
  'circle-stitch': (f) =>
    `this round of the circle is ${list(Array.isArray(f.may) ? f.may.map(kind) : [], ' or ')}, and here is another stitch`,
  'circle-colour': () => 'the circle is worked in one colour, and here is another',
  'not-of-technique': (f) => `${kind(f.key)} is not a stitch of ${techniqueWords(String(f.technique)).name}`,
  'no-such-colour': (f) => `its colour is number ${f.colour} of ${f.colours}`,
  'drop-in-edge': () => 'a drop is in an edge stitch, which is plain {sc}',
  'edge-plain-sc': () => 'the first row and the edges are plain {sc} through both loops',
  'ground-in-back-loop': () => 'the background is worked in the back loop',
  'drop-without-below': () => 'a drop is in the first two rows, with nothing two rows below',
  'drop-on-drop': () => 'a drop is above a drop, which covers the loop it needs',
  'drop-on-other-colour': () => 'the loop two rows below is of another colour',
  'nothing-below-it': (f) => `${kind(f.key)} has no row below it`,
  'dc-goes-two-down': () => '{a dc} goes two rows down, over the chains',
  'dc-on-group': () => '{a dc} is above {a dc}, where chains go over the group',
  'gap-not-closed': () => 'a gap is closed with {a dc}',
  'chains-uncovered': () => 'the chains below have no {dc} over them',
  'sc-in-closing-only': () => '{an sc} belongs in a closing row only',
  'chain-in-closing': () => 'the closing row has an open chain',
  'no-dc-two-below': () => 'there is no {dc} two rows below to go into',
  'first-row-of-a': (f) => `${kind(f.key)} is in the first row of A, whose {dc} go into the base row`,
  'first-row-of-b': (f) => `${kind(f.key)} is in the first row of B, whose {dc} go into the stitches that A left free`,
  'no-post': (f) => `${kind(f.key)} is where a post goes`,
  'post-around-nothing': () => 'a post goes around a stitch two rows below, and there is none',
  'closing-row-kind': (f) => `${kind(f.key)} is not what the closing row takes here`,
  'no-post-of-a': () => 'there is no post of A to close around',
  'no-post-of-b': () => 'there is no post of B to close around',
};
