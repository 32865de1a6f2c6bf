import { baseFor, usualIncrease } from '../../craft/fabric/base.ts';
import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { beginsSmall, chainsFor, type Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundMultiple, BoundPattern } from '../../craft/patterns/bind.ts';
import type { Technique } from '../../craft/technique/technique.ts';

/** The multiples of a pattern in words, for stitches and for chains. */
export interface MultipleWords {
  readonly works: { readonly stitches: string; readonly chains: string };
  readonly alike: { readonly stitches: string; readonly chains: string };
}

/** What a width is counted by. */
interface Request {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  readonly increases?: number | undefined;
}

/** How a round lies when it lies flat, and whether each face begins a repeat. */
function facesLine(count: number, alike: boolean): string {
  const face = count / 2;
  return alike
    ? `${count} a round ÷ 2 = ${face} a face: each begins a repeat at its side fold`
    : `${count} a round ÷ 2 = ${face} a face: the second begins within a repeat`;
}

/** The circle on which sides stand: `8 a round × 6 rounds = 48, + 2 in one more round = 50 stitches`. */
function circleLine({ foundation, increases }: Request, count: number): string {
  const { rounds, increases: each, adjusting } = baseFor(count, increases ?? usualIncrease(foundation.stitch));
  const whole = rounds.length - (adjusting ? 1 : 0);
  const base = `a circle: ${each} a round × ${whole} ${whole === 1 ? 'round' : 'rounds'} = ${each * whole}`;
  return adjusting ? `${base}, + ${adjusting} spread over one more round = ${count} stitches` : `${base} stitches`;
}

/** `a multiple of 6 + 1`. */
export function words(multiple: number, extra: number): string {
  if (extra === 0) return `a multiple of ${multiple}`;
  return `a multiple of ${multiple} + ${extra}`;
}

/** One of a plural: `pairs of blocks` is `pair of blocks`. */
export function oneOf(plural: string): string {
  return plural.replace(/^(\w+)s\b/, '$1');
}

export function orList(numbers: readonly number[]): string {
  return numbers.join(' or ');
}

/** `9 blocks × 4 + 1 = 37 stitches`, where the count is so many repeats and the extra. */
function repeatsLine(
  word: string,
  { multiple, extra }: BoundMultiple,
  count: number,
  unit: string,
): string | undefined {
  const k = (count - extra) / multiple;
  if (!Number.isInteger(k) || k < 1) return undefined;
  return `${k} ${k === 1 ? oneOf(word) : word} × ${multiple}${extra ? ` + ${extra}` : ''} = ${count} ${unit}`;
}

/** How the edges of a count come out, where blocks of two colours take turns. */
function edgesLine({ bound }: Request, count: number, alikeEdges: boolean): string | undefined {
  const { works, alike, word } = bound.across;
  if (alike.multiple === works.multiple && alike.extra === works.extra) return undefined;
  if (alike.multiple !== 2 * works.multiple) {
    return alikeEdges ? 'both edges end in the same way' : 'the two edges end differently';
  }
  return ((count - works.extra) / works.multiple) % 2
    ? `an odd number of ${word}: both edges in the same colour`
    : `an even number of ${word}: the two edges differ in colour`;
}

function cutLine({ bound }: Request, count: number, unit: string): string {
  const { works, word } = bound.across;
  const most = Math.floor((count - works.extra) / works.multiple);
  const whole = most % 2 ? most : most - 1;
  const cut = (count - whole * works.multiple) / 2;
  return `${whole} whole ${word} × ${works.multiple} + ${cut} at each edge = ${count} ${unit}`;
}

/** From the count to the chains that begin it. */
function chainLine(request: Request, count: number): string {
  const { foundation, technique } = request;
  const { beyond, counted, each, sides, firstInto } = foundation;
  const { word } = technique.width;
  const chains = chainsFor(foundation, count);
  if (foundation.circle) return circleLine(request, count);
  if (beginsSmall(foundation))
    return beyond ? `${beyond} chains begin it, whatever its size` : 'begun in a ring, without a chain';
  if (sides === 2) return `${count} ${word} round ÷ 2 sides + ${beyond} to turn = ${chains} chains`;
  if (each > 1) return `${count} ${word} × ${each} + ${beyond} = ${chains} chains`;
  if (beyond === 0) return `${count} ${word}, as many as ${firstInto ? 'chains in the ring' : 'foundation stitches'}`;
  return counted && word === 'stitches'
    ? `${count} stitches + ${beyond} = ${chains} chains: ${firstInto - 1} of them stand for the first stitch`
    : `${count} ${word} + ${beyond} to turn = ${chains} chains`;
}

/** The arithmetic of one width, a line each. */
export function whyWidth(request: Request, count: number, alikeEdges: boolean): string[] {
  const { works, alike, word } = request.bound.across;
  const { width } = request.technique;
  const whole = repeatsLine(word, works, count, width.word) ?? repeatsLine(word, alike, count, width.word);
  const tube = isRoundMaking(request.bound.pattern.made) && !request.technique.circle;
  const edges = tube
    ? facesLine(count, alikeEdges)
    : whole === undefined
      ? undefined
      : edgesLine(request, count, alikeEdges);
  const inRow = width.stitches(count, request.foundation);
  const lines = [whole ?? cutLine(request, count, width.word)];
  if (edges !== undefined) lines.push(edges);
  if (inRow !== count) lines.push(`${count} ${width.word} = ${inRow} stitches a row`);
  lines.push(chainLine(request, count));
  return lines;
}

/** A multiple of the count, told in another number that goes with it in a straight line. */
function told({ multiple, extra }: BoundMultiple, at: (count: number) => number): string {
  const none = at(0);
  const each = at(1) - none;
  return each === 0 ? String(none) : words(multiple * each, extra * each + none);
}

/** What the widths are a multiple of: never stitches alone or chains alone. docs/craft.md, “From chains to stitches”. */
export function multipleWords({ bound, foundation, technique }: Request): MultipleWords {
  const { works, alike } = bound.across;
  const stitches = (count: number) => technique.width.stitches(count, foundation);
  const chains = (count: number) => chainsFor(foundation, count);
  return {
    works: { stitches: told(works, stitches), chains: told(works, chains) },
    alike: { stitches: told(alike, stitches), chains: told(alike, chains) },
  };
}
