import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { GivenPattern, GivenVerdict, RowsVerdict } from '../../craft/notation/given.ts';
import { foundationWords } from './foundations.ts';

const multiples: Readonly<Record<GivenVerdict['multipleOf'], string>> = {
  chains: 'The multiple counts chains.',
  stitches: 'The multiple counts stitches: add the chains to turn yourself.',
  both: 'The multiple could count chains or stitches; the row decides.',
  neither: 'The chain does not fit the multiple, whether it counts chains or stitches.',
  unknown: '',
};

/** What a check of a written pattern found, a sentence each. */
export function givenWords(given: GivenPattern, foundation: Foundation, verdict: GivenVerdict): string[] {
  const { multipleOf, stitches, rowFits, edgesMatch, fits } = verdict;
  const words = multiples[multipleOf] ? [multiples[multipleOf]] : [];
  if (given.chain !== undefined) {
    words.push(
      `${given.chain} chains make ${stitches} stitches; work the first one into the ${foundationWords(foundation)}.`,
    );
  }
  if (rowFits) {
    words.push(
      edgesMatch
        ? `The row fits ${given.chain} chains exactly, and both edges match.`
        : `The row fits ${given.chain} chains exactly, but the two edges differ.`,
    );
    return words;
  }
  if (fits) {
    const counts = fits.map((each) => each.stitches).join(' or ');
    const chains = fits.map((each) => each.chains).join(' or ');
    words.push(`The row needs ${counts} stitches, not ${stitches}: make ${chains} chains.`);
  }
  if (edgesMatch !== undefined) words.push(edgesMatch ? 'Both edges match.' : 'The two edges differ.');
  return words;
}

/** What a check of several rows found, a sentence each. @param works what they can be worked on, as they repeat */
export function givenRowsWords(
  { chain }: Pick<GivenPattern, 'chain'>,
  { stitches, chainFits, chains, multiple }: RowsVerdict,
  works: { readonly multiple: number; readonly extra: number } | undefined,
): string[] {
  if (stitches === undefined) return [];
  const words = [`Every row has ${stitches} stitches.`];
  if (chainFits === true) words.push(`${chain} chains are right for them.`);
  if (chainFits === false) words.push(`${chain} chains are not right for them: make ${chains}.`);
  if (works) {
    const extra = works.extra ? ` plus ${works.extra}` : '';
    words.push(`As they repeat they can be worked on any multiple of ${works.multiple} stitches${extra}.`);
  }
  if (multiple === 'stitches') words.push('That is the multiple as it is written, in stitches.');
  if (multiple === 'chains') words.push('That is the multiple as it is written, in chains.');
  if (multiple === 'other') words.push('The multiple as it is written is another: count a repeat of one row.');
  return words;
}
