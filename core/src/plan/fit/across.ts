import { usualIncrease } from '../../craft/fabric/base.ts';
import type { EdgeRule } from '../../craft/fabric/edges.ts';
import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { beginsSmall, chainsFor, countFor, type Foundation } from '../../craft/foundation/foundation.ts';
import { type BoundPattern, leastCommonMultiple } from '../../craft/patterns/bound.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { ToldUnit } from '../../craft/units/length.ts';
import { added, type Estimate, times } from '../../craft/values/estimate.ts';
import { good, type Problem, type Result, refused, type Told } from '../../craft/values/problem.ts';
import { type Multiples, multiplesOf, whyWidth } from './arithmetic.ts';
import { admits, around, nearest, neighbours, type Progression, progression } from './progression.ts';

export type WishedWidth =
  | { readonly by: 'length'; readonly mm: number }
  | { readonly by: 'chain'; readonly count: number }
  | { readonly by: 'stitches'; readonly count: number }
  | { readonly by: 'repeats'; readonly count: number };

/** The three widths of a tube, mm. docs/craft.md, “Rounds”. */
export interface TubeSize {
  readonly flat: Estimate;
  readonly around: Estimate;
  readonly diameter: Estimate;
}

/** What a wished width of a tube is the width of. */
export type TubeMeasure = keyof TubeSize;

/** One width the pattern allows. */
export interface WidthOffer {
  /** What the pattern's widths count: stitches, or clusters, windows, blocks, wedges. */
  readonly stitches: number;
  /** Stitches of a whole row, which may be another number. */
  readonly inRow: number;
  readonly chains: number;
  /** mm */
  readonly width: Estimate;
  /** Of what is worked in rounds: as it lies flat, all the way round, and across the circle that it makes. */
  readonly tube?: TubeSize;
  /** Finished less wished, mm. */
  readonly difference: number;
  /** Both side edges look the same. */
  readonly alike: boolean;
  /** The arithmetic, a step each. */
  readonly why: readonly Told[];
}

export interface AcrossFit {
  readonly offers: readonly WidthOffer[];
  readonly chosen: WidthOffer;
  /** `S = m·k + e`, and the same for chains, as it can be worked and as it looks whole. */
  readonly multiples: Multiples;
  /** What a maker should know of a typed chain or count that can be worked but does not look whole. */
  readonly warnings: readonly Problem[];
}

export interface AcrossRequest {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  readonly edges: EdgeRule;
  /** mm, of the finished piece. */
  readonly stitchWidth: Estimate;
  /** What a border adds on both sides together, mm. */
  readonly beside?: Estimate | undefined;
  /** What the width of a tube means; it lies flat unless said. */
  readonly measure?: TubeMeasure | undefined;
  /** Increases a round of the circle on which sides stand. */
  readonly increases?: number | undefined;
  readonly wish: WishedWidth;
  /** The units that sentences are written in. */
  readonly units: ToldUnit;
}

/** The widths that a rule admits. Centred cloths may cut the repeat, but must cut it alike on both sides. */
export function widthRule(
  request: Pick<AcrossRequest, 'bound' | 'technique'> & Partial<Pick<AcrossRequest, 'foundation' | 'increases'>>,
  edges: EdgeRule,
): Progression {
  const { foundation } = request;
  const { works, alike } = request.bound.across;
  if (isTube(request)) {
    // Along both sides of a chain goes an even number.
    const even = foundation?.sides === 2 ? 2 : 1;
    const { multiple } = edges === 'whole' ? works : alike;
    const circle = foundation?.circle ? (request.increases ?? usualIncrease(foundation.stitch)) : 0;
    return progression(leastCommonMultiple(multiple, even), 0, Math.max(request.bound.repeatStitches, circle));
  }
  const least = request.bound.repeatStitches;
  if (edges === 'whole') return progression(works.multiple, works.extra, least);
  if (edges === 'mirrored') return progression(alike.multiple, alike.extra, least);
  const { step } = request.technique;
  return step === 1 ? progression(2, alike.extra % 2, least) : progression(step, works.extra % step, least);
}

export function isAlike(request: AcrossRequest, stitches: number): boolean {
  const rule = widthRule(request, request.edges === 'centred' ? 'centred' : 'mirrored');
  return admits(rule, stitches);
}

/** Finished width of so many, mm. */
function finishedWidth(request: AcrossRequest, count: number): Estimate {
  const { stitchWidth, technique, beside } = request;
  const cloth = times(stitchWidth, technique.width.widths(count) * partOfRound(request));
  return beside ? added(cloth, beside) : cloth;
}

/** Whether it is worked in rounds that make a tube. A circle is none. */
export function isTube({ bound, technique }: Pick<AcrossRequest, 'bound' | 'technique'>): boolean {
  return isRoundMaking(bound.pattern.made) && !technique.circle;
}

const measures: Readonly<Record<TubeMeasure, number>> = { flat: 1 / 2, around: 1, diameter: 1 / Math.PI };

/** What the wished width is of the whole round. */
function partOfRound(request: AcrossRequest): number {
  return isTube(request) ? measures[request.measure ?? 'flat'] : 1;
}

/** Widths of the gauge across so many as the cloth lies: half the round of a tube. */
export function widthsAcross(request: Pick<AcrossRequest, 'bound' | 'technique'>, count: number): number {
  return request.technique.width.widths(count) * (isTube(request) ? measures.flat : 1);
}

function tubeSize(request: AcrossRequest, count: number): TubeSize | undefined {
  if (!isTube(request)) return undefined;
  const around = times(request.stitchWidth, request.technique.width.widths(count));
  return { around, flat: times(around, measures.flat), diameter: times(around, measures.diameter) };
}

/** The count, a real number, whose cloth with its border is so wide. */
function countOfWidth(request: AcrossRequest, mm: number): number {
  const { stitchWidth, technique, beside } = request;
  const none = technique.width.widths(0);
  const each = technique.width.widths(1) - none;
  return ((mm - (beside?.mid ?? 0)) / (stitchWidth.mid * partOfRound(request)) - none) / each;
}

/** The offer of one width; it is for the caller to know that the width is admitted. */
export function offerWidth(request: AcrossRequest, stitches: number): WidthOffer {
  const width = finishedWidth(request, stitches);
  const wished = request.wish.by === 'length' ? request.wish.mm : width.mid;
  const tube = tubeSize(request, stitches);
  const alike = isAlike(request, stitches);
  return {
    stitches,
    inRow: request.technique.width.stitches(stitches, request.foundation),
    chains: chainsFor(request.foundation, stitches),
    width,
    ...(tube ? { tube } : {}),
    difference: width.mid - wished,
    alike,
    why: whyWidth(request, stitches, alike),
  };
}

/** The count that a typed chain, count or number of repeats comes to; not whole where a chain does not come out. */
function askedCount(request: AcrossRequest): number | undefined {
  const { wish, bound, foundation } = request;
  if (wish.by === 'length') return undefined;
  if (wish.by === 'chain') return countFor(foundation, wish.count);
  if (wish.by === 'stitches') return wish.count;
  return wish.count * bound.across.works.multiple + bound.across.works.extra;
}

/** The members on either side of a count, in the unit of the wish: chains, or the count itself. */
function insteadOf(request: AcrossRequest, rule: Progression, count: number): number[] {
  const near = Number.isInteger(count)
    ? neighbours(rule, count)
    : around(rule, count).filter((n) => Math.abs(n - count) < rule.step);
  return request.wish.by === 'chain' ? near.map((n) => chainsFor(request.foundation, n)) : near;
}

function illegal(request: AcrossRequest, count: number, rule: Progression): Problem {
  const { foundation, bound, technique, wish } = request;
  const byChain = wish.by === 'chain';
  return {
    code: 'width-illegal',
    path: 'count',
    facts: {
      pattern: bound.pattern.name,
      byChain,
      asked: byChain ? wish.count : count,
      count: Number(count.toFixed(1)),
      chains: chainsFor(foundation, count),
      word: technique.width.word,
      step: rule.step,
      offset: rule.offset,
      least: rule.least,
      instead: insteadOf(request, rule, count),
    },
    instead: insteadOf(request, rule, count),
  };
}

function notAlike(request: AcrossRequest, count: number): Problem {
  const byChain = request.wish.by === 'chain';
  const instead = insteadOf(request, widthRule(request, 'mirrored'), count);
  return {
    code: 'width-not-alike',
    path: 'count',
    facts: {
      byChain,
      asked: byChain ? chainsFor(request.foundation, count) : count,
      count,
      word: request.technique.width.word,
      tube: isTube(request),
      instead,
    },
    instead,
  };
}

function noChain({ bound, foundation, technique }: AcrossRequest): Problem {
  return {
    code: 'no-chain',
    path: 'count',
    facts: { pattern: bound.pattern.name, foundation: foundation.key, word: technique.width.word },
  };
}

function narrow(request: AcrossRequest, mm: number): Problem {
  const { bound, units, technique, beside } = request;
  // The repeat itself would fit: it is the border that takes the room.
  if (beside && mm >= finishedWidth({ ...request, beside: undefined }, bound.repeatStitches).mid) {
    const least = finishedWidth(request, widthRule(request, request.edges).least);
    return {
      code: 'border-too-wide',
      path: 'length',
      facts: { mm, border: beside.mid / 2, units, least },
    };
  }
  const { least } = widthRule(request, request.edges);
  const repeat = bound.repeatStitches;
  return {
    code: 'narrower-than-repeat',
    path: 'length',
    facts: {
      pattern: bound.pattern.name,
      mm,
      units,
      repeat,
      repeatWidth: finishedWidth(request, repeat),
      least,
      leastWidth: finishedWidth(request, least),
      word: technique.width.word,
      parts: bound.across.word,
    },
    instead: [least],
  };
}

/**
 * Every width that the pattern allows near a wish, with its foundation chain and its arithmetic. A chain already
 * made passes through the same function as a wished length. docs/craft.md, “Whole patterns and like edges”.
 * @returns a problem with the two nearest legal counts when a typed chain or count cannot be worked
 */
export function fitAcross(request: AcrossRequest): Result<AcrossFit> {
  if (request.wish.by === 'chain' && beginsSmall(request.foundation)) return refused(noChain(request));
  const rule = widthRule(request, request.edges);
  const asked = askedCount(request);
  const warnings: Problem[] = [];
  const multiples = multiplesOf(request);
  if (asked === undefined) {
    const { mm } = request.wish as { mm: number };
    const wished = countOfWidth(request, mm);
    if (wished < request.bound.repeatStitches) return refused(narrow(request, mm));
    const offers = around(rule, wished).map((n) => offerWidth(request, n));
    return good({ offers, chosen: offerWidth(request, nearest(rule, wished)), multiples, warnings });
  }
  const workable = widthRule(request, request.edges === 'centred' ? 'centred' : 'whole');
  const canBeWorked = admits(workable, asked) || admits(widthRule(request, 'mirrored'), asked);
  if (!canBeWorked) return refused(illegal(request, asked, workable));
  if (!isAlike(request, asked)) warnings.push(notAlike(request, asked));
  const members = new Set([...around(rule, asked), asked]);
  const offers = [...members].sort((a, b) => a - b).map((n) => offerWidth(request, n));
  return good({ offers, chosen: offerWidth(request, asked), multiples, warnings });
}
