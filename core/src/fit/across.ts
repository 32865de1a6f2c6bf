import { type Estimate, times } from '../estimate.ts';
import { lengthText } from '../figures.ts';
import type { BoundMultiple, BoundPattern } from '../patterns/bind.ts';
import { good, type Problem, type Result, refused } from '../problem.ts';
import type { Technique } from '../techniques/technique.ts';
import { type LengthUnit, printLength } from '../units/length.ts';
import type { Foundation } from './foundation.ts';
import { admits, around, nearest, neighbours, type Progression, progression } from './progression.ts';

/** How the two side edges are to look. */
export type EdgeRule = 'whole' | 'mirrored' | 'centred';

export type WishedWidth =
  | { readonly by: 'length'; readonly mm: number }
  | { readonly by: 'chain'; readonly count: number }
  | { readonly by: 'stitches'; readonly count: number }
  | { readonly by: 'repeats'; readonly count: number };

/** One width the pattern allows. */
export interface WidthOffer {
  readonly stitches: number;
  readonly chains: number;
  /** mm */
  readonly width: Estimate;
  /** Finished less wished, mm. */
  readonly difference: number;
  /** Both side edges look the same. */
  readonly alike: boolean;
  /** The arithmetic, a line each. */
  readonly why: readonly string[];
}

export interface AcrossFit {
  readonly offers: readonly WidthOffer[];
  readonly chosen: WidthOffer;
  /** `S = m·k + e`, and the same for chains, as it can be worked and as it looks whole. */
  readonly multiples: MultipleWords;
  /** What a maker should know of a typed chain or count that can be worked but does not look whole. */
  readonly warnings: readonly Problem[];
}

export interface MultipleWords {
  readonly works: { readonly stitches: string; readonly chains: string };
  readonly alike: { readonly stitches: string; readonly chains: string };
}

export interface AcrossRequest {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  readonly edges: EdgeRule;
  /** mm */
  readonly stitchWidth: Estimate;
  readonly wish: WishedWidth;
  /** The units that sentences are written in. */
  readonly units: LengthUnit;
}

/** The widths that a rule admits. Centred cloths may cut the repeat, but must cut it alike on both sides. */
export function widthRule(request: Pick<AcrossRequest, 'bound' | 'technique'>, edges: EdgeRule): Progression {
  const { works, alike } = request.bound.across;
  const least = request.bound.repeatStitches;
  if (edges === 'whole') return progression(works.multiple, works.extra, least);
  if (edges === 'mirrored') return progression(alike.multiple, alike.extra, least);
  const { step } = request.technique;
  return step === 1 ? progression(2, alike.extra % 2, least) : progression(step, works.extra % step, least);
}

function isAlike(request: AcrossRequest, stitches: number): boolean {
  const rule = widthRule(request, request.edges === 'centred' ? 'centred' : 'mirrored');
  return admits(rule, stitches);
}

/** `9 blocks × 4 + 1 = 37 stitches`, where the count is so many repeats and the extra. */
function repeatsLine(word: string, { multiple, extra }: BoundMultiple, stitches: number): string | undefined {
  const k = (stitches - extra) / multiple;
  if (!Number.isInteger(k) || k < 1) return undefined;
  return `${k} ${word} × ${multiple}${extra ? ` + ${extra}` : ''} = ${stitches} stitches`;
}

/** How the edges of a count come out, where blocks of two colours take turns. */
function edgesLine(request: AcrossRequest, stitches: number): string | undefined {
  const { works, alike, word } = request.bound.across;
  if (alike.multiple === works.multiple && alike.extra === works.extra) return undefined;
  if (alike.multiple !== 2 * works.multiple) {
    return isAlike(request, stitches) ? 'both edges end in the same way' : 'the two edges end differently';
  }
  return ((stitches - works.extra) / works.multiple) % 2
    ? `an odd number of ${word}: both edges in the same colour`
    : `an even number of ${word}: the two edges differ in colour`;
}

function cutLine(request: AcrossRequest, stitches: number): string {
  const { works, word } = request.bound.across;
  const odd = Math.floor((stitches - works.extra) / works.multiple);
  const whole = odd % 2 ? odd : odd - 1;
  const cut = (stitches - whole * works.multiple) / 2;
  return `${whole} whole ${word} × ${works.multiple} + ${cut} at each edge = ${stitches} stitches`;
}

function why(request: AcrossRequest, stitches: number): string[] {
  const { works, alike, word } = request.bound.across;
  const { beyond, counted } = request.foundation;
  const whole = repeatsLine(word, works, stitches) ?? repeatsLine(word, alike, stitches);
  const edges = whole === undefined ? undefined : edgesLine(request, stitches);
  return [
    whole ?? cutLine(request, stitches),
    ...(edges === undefined ? [] : [edges]),
    counted
      ? `${stitches} stitches + ${beyond} = ${stitches + beyond} chains: 2 of them stand for the first stitch`
      : `${stitches} stitches + ${beyond} to turn = ${stitches + beyond} chains`,
  ];
}

/** The offer of one width; it is for the caller to know that the width is admitted. */
export function offerWidth(request: AcrossRequest, stitches: number): WidthOffer {
  const width = times(request.stitchWidth, stitches);
  const wished = request.wish.by === 'length' ? request.wish.mm : width.mid;
  return {
    stitches,
    chains: stitches + request.foundation.beyond,
    width,
    difference: width.mid - wished,
    alike: isAlike(request, stitches),
    why: why(request, stitches),
  };
}

function words(multiple: number, extra: number): string {
  if (extra === 0) return `a multiple of ${multiple}`;
  return `a multiple of ${multiple} + ${extra}`;
}

function multipleWords(request: AcrossRequest): MultipleWords {
  const { works, alike } = request.bound.across;
  const { beyond } = request.foundation;
  return {
    works: { stitches: words(works.multiple, works.extra), chains: words(works.multiple, works.extra + beyond) },
    alike: { stitches: words(alike.multiple, alike.extra), chains: words(alike.multiple, alike.extra + beyond) },
  };
}

function orList(numbers: readonly number[]): string {
  return numbers.join(' or ');
}

/** The number of stitches that a typed chain, count or number of repeats comes to. */
function askedStitches(request: AcrossRequest): number | undefined {
  const { wish, bound, foundation } = request;
  if (wish.by === 'length') return undefined;
  if (wish.by === 'chain') return wish.count - foundation.beyond;
  if (wish.by === 'stitches') return wish.count;
  return wish.count * bound.across.works.multiple + bound.across.works.extra;
}

function illegal(request: AcrossRequest, stitches: number, rule: Progression): Problem {
  const { foundation, bound } = request;
  const byChain = request.wish.by === 'chain';
  const add = byChain ? foundation.beyond : 0;
  const instead = neighbours(rule, stitches).map((n) => n + add);
  const asked = byChain
    ? `${stitches + add} chains make ${stitches} stitches`
    : `${stitches} stitches (${stitches + foundation.beyond} chains)`;
  const needs = words(rule.step, rule.offset % rule.step);
  return {
    code: byChain ? 'chain-illegal' : 'stitches-illegal',
    path: 'count',
    message: `${asked}, which ${bound.pattern.name.toLowerCase()} cannot be worked on: it needs ${needs} stitches, ${rule.least} at least.`,
    hint: `Take ${orList(instead)} ${byChain ? 'chains' : 'stitches'}.`,
    instead,
  };
}

function notAlike(request: AcrossRequest, stitches: number): Problem {
  const add = request.wish.by === 'chain' ? request.foundation.beyond : 0;
  const instead = neighbours(widthRule(request, 'mirrored'), stitches).map((n) => n + add);
  const what = request.wish.by === 'chain' ? 'chains' : 'stitches';
  return {
    code: request.wish.by === 'chain' ? 'chain-illegal' : 'stitches-illegal',
    path: 'count',
    message: `${stitches + add} ${what} can be worked (${stitches} stitches), but the two edges will not look alike.`,
    hint: `For edges that mirror each other take ${orList(instead)} ${what}.`,
    instead,
  };
}

function narrow(request: AcrossRequest, mm: number): Problem {
  const { bound, units, stitchWidth } = request;
  const least = widthRule(request, request.edges).least;
  const repeat = bound.repeatStitches;
  return {
    code: 'narrower-than-repeat',
    path: 'length',
    message: `${printLength(mm, units)} is narrower than one repeat of ${bound.pattern.name.toLowerCase()}, which is ${repeat} stitches (${lengthText(times(stitchWidth, repeat), units)}).`,
    hint: `The narrowest that can be made is ${least} stitches, ${lengthText(times(stitchWidth, least), units)}; or choose smaller ${bound.across.word}.`,
    instead: [least],
  };
}

/**
 * Every width that the pattern allows near a wish, with its foundation chain and its arithmetic. A chain already
 * made passes through the same function as a wished length. docs/craft.md, “Whole patterns and like edges”.
 * @returns a problem with the two nearest legal counts when a typed chain or count cannot be worked
 */
export function fitAcross(request: AcrossRequest): Result<AcrossFit> {
  const rule = widthRule(request, request.edges);
  const asked = askedStitches(request);
  const warnings: Problem[] = [];
  if (asked === undefined) {
    const { mm } = request.wish as { mm: number };
    const wished = mm / request.stitchWidth.mid;
    if (wished < request.bound.repeatStitches) return refused(narrow(request, mm));
    const offers = around(rule, wished).map((n) => offerWidth(request, n));
    const chosen = offerWidth(request, nearest(rule, wished));
    return good({ offers, chosen, multiples: multipleWords(request), warnings });
  }
  const workable = widthRule(request, request.edges === 'centred' ? 'centred' : 'whole');
  const canBeWorked = admits(workable, asked) || admits(widthRule(request, 'mirrored'), asked);
  if (!canBeWorked) return refused(illegal(request, asked, workable));
  if (!isAlike(request, asked)) warnings.push(notAlike(request, asked));
  const members = new Set([...around(rule, asked), asked]);
  const offers = [...members].sort((a, b) => a - b).map((n) => offerWidth(request, n));
  return good({ offers, chosen: offerWidth(request, asked), multiples: multipleWords(request), warnings });
}
