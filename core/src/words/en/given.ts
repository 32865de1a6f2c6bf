import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { GivenPattern, GivenVerdict } from '../../craft/notation/given.ts';
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
