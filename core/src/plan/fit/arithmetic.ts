import { baseFor, usualIncrease } from '../../craft/fabric/base.ts';
import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { beginsSmall, chainsFor, type Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundMultiple, BoundPattern } from '../../craft/patterns/bound.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Told } from '../../craft/values/problem.ts';

/** What counts are a multiple of, in stitches and in chains; a multiple of 0 is the one count `extra`. */
export interface Multiples {
  readonly works: { readonly stitches: BoundMultiple; readonly chains: BoundMultiple };
  readonly alike: { readonly stitches: BoundMultiple; readonly chains: BoundMultiple };
}

/** What a width is counted by. */
interface Request {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  readonly increases?: number | undefined;
}

/** The circle on which sides stand: 8 a round × 6 rounds = 48, + 2 in one more round = 50 stitches. */
function circleStep({ foundation, increases }: Request, count: number): Told {
  const { rounds, increases: each, adjusting } = baseFor(count, increases ?? usualIncrease(foundation.stitch));
  return { code: 'circle', facts: { each, rounds: rounds.length - (adjusting ? 1 : 0), adjusting, count } };
}

/** 9 blocks × 4 + 1 = 37 stitches, where the count is so many repeats and the extra. */
export function repeatsStep(
  word: string,
  { multiple, extra }: BoundMultiple,
  count: number,
  unit: string,
): Told | undefined {
  const repeats = (count - extra) / multiple;
  if (!Number.isInteger(repeats) || repeats < 1) return undefined;
  return { code: 'repeats', facts: { repeats, word, multiple, extra, count, unit } };
}

/** How the edges of a count come out, where blocks of two colours take turns. */
function edgesStep({ bound }: Request, count: number, matching: boolean): Told | undefined {
  const { works, alike, word } = bound.across;
  if (alike.multiple === works.multiple && alike.extra === works.extra) return undefined;
  if (alike.multiple !== 2 * works.multiple) return { code: 'edges', facts: { matching } };
  return { code: 'edges-by-turns', facts: { word, odd: ((count - works.extra) / works.multiple) % 2 !== 0 } };
}

/** A repeat that is cut alike on both sides. */
function cutStep({ bound }: Request, count: number, unit: string): Told {
  const { works, word } = bound.across;
  const most = Math.floor((count - works.extra) / works.multiple);
  const repeats = most % 2 ? most : most - 1;
  const cut = (count - repeats * works.multiple) / 2;
  return { code: 'cut', facts: { repeats, word, multiple: works.multiple, cut, count, unit } };
}

/** From the count to the chains that begin it. */
function chainStep(request: Request, count: number): Told {
  const { foundation, technique } = request;
  const { beyond, counted, each, sides, firstInto } = foundation;
  const { word } = technique.width;
  const chains = chainsFor(foundation, count);
  if (foundation.circle) return circleStep(request, count);
  if (beginsSmall(foundation)) return { code: 'begins-small', facts: { chains: beyond } };
  if (sides === 2) return { code: 'chains-both-sides', facts: { count, word, sides, beyond, chains } };
  if (each > 1) return { code: 'chains-each', facts: { count, word, each, beyond, chains } };
  if (beyond === 0) return { code: 'chains-as-many', facts: { count, word, ring: firstInto > 0 } };
  return counted && word === 'stitches'
    ? { code: 'chains-counted', facts: { count, word, beyond, chains, skipped: firstInto - 1 } }
    : { code: 'chains-turning', facts: { count, word, beyond, chains } };
}

/** The arithmetic of one width, a step each. Its words: `words/en/arithmetic.ts`. */
export function whyWidth(request: Request, count: number, matching: boolean): Told[] {
  const { works, alike, word } = request.bound.across;
  const { width } = request.technique;
  const whole = repeatsStep(word, works, count, width.word) ?? repeatsStep(word, alike, count, width.word);
  const tube = isRoundMaking(request.bound.pattern.made) && !request.technique.circle;
  const edges: Told | undefined = tube
    ? { code: 'faces', facts: { count, face: count / 2, matching } }
    : whole && edgesStep(request, count, matching);
  const inRow = width.stitches(count, request.foundation);
  const steps = [whole ?? cutStep(request, count, width.word)];
  if (edges) steps.push(edges);
  if (inRow !== count) steps.push({ code: 'stitches-in-row', facts: { count, word: width.word, stitches: inRow } });
  steps.push(chainStep(request, count));
  return steps;
}

/** A multiple of the count, told in another number that goes with it in a straight line. */
function told({ multiple, extra }: BoundMultiple, at: (count: number) => number): BoundMultiple {
  const none = at(0);
  const each = at(1) - none;
  return { multiple: multiple * each, extra: extra * each + none };
}

/** What the widths are a multiple of: never stitches alone or chains alone. docs/craft.md, “From chains to stitches”. */
export function multiplesOf({ bound, foundation, technique }: Request): Multiples {
  const { works, alike } = bound.across;
  const stitches = (count: number) => technique.width.stitches(count, foundation);
  const chains = (count: number) => chainsFor(foundation, count);
  return {
    works: { stitches: told(works, stitches), chains: told(works, chains) },
    alike: { stitches: told(alike, stitches), chains: told(alike, chains) },
  };
}
