import type { Policy } from '../../craft/technique/policy.ts';

/** How a bridge between two uses of a strand is priced. docs/strand-routing.md gives the reasons for the figures. */
export interface StrandCosts {
  /** mm */
  readonly stitchWidth: number;
  /** mm */
  readonly rowHeight: number;
  /** Extra length of a carried strand, as a part of its way. */
  readonly ease: number;
  /** mm, each end. */
  readonly tail: number;
  /** Most rows climbed at an edge in one stretch. */
  readonly climbLimit: number;
  /** Most rows floated up inside in one stretch. */
  readonly floatUpLimit: number;
  /** Most stitches floated in one go. */
  readonly floatLimit: number;
  readonly perMm: number;
  readonly perEnd: number;
  readonly perCarried: number;
  readonly perShow: number;
  readonly perFloat: number;
  /** Each strand begun while another of its colour has stitches still to come. */
  readonly perBobbin: number;
  /** A strand is fastened off wherever its colour stops, even where it could be picked up. */
  readonly cutsAlways: boolean;
  /** How much a carried strand shows through a stitch: contrast × openness. */
  readonly showing: number;
}

export const usualCosts: StrandCosts = {
  stitchWidth: 5,
  rowHeight: 5,
  ease: 0.04,
  tail: 150,
  climbLimit: 4,
  floatUpLimit: 1,
  floatLimit: 3,
  perMm: 0.01,
  perEnd: 40,
  perCarried: 0.5,
  perShow: 0.25,
  perFloat: 1,
  perBobbin: 30,
  cutsAlways: false,
  showing: 1,
};

const neverCarried = 1000;

/** What the maker feels about weaving in ends. */
export type Weaving = 'hate' | 'usual' | 'easy';

/** How dear an end is against the usual. */
const endFeeling: Readonly<Record<Weaving, number>> = { hate: 2.5, usual: 1, easy: 0.4 };

/**
 * The prices that bring a policy about. @param floats whether strands may lie loose on the back
 * @param weaving what the maker feels about ends
 */
export function costsFor(
  policy: Policy,
  floats: boolean,
  size: { stitchWidth: number; rowHeight: number },
  weaving: Weaving = 'usual',
): StrandCosts {
  const costs = { ...usualCosts, ...size, perEnd: usualCosts.perEnd * endFeeling[weaving] };
  const inside = policy !== 'cut-always' && policy !== 'side-only';
  const bound = floats && inside ? costs : { ...costs, floatLimit: 0, floatUpLimit: 0 };
  if (policy === 'cut-always') return { ...bound, cutsAlways: true };
  return policy === 'side-only' ? { ...bound, perCarried: neverCarried } : bound;
}

/** Price of carrying over so many stitches. */
export function carryCost(costs: StrandCosts, stitches: number): number {
  return (
    stitches * (costs.stitchWidth * (1 + costs.ease) * costs.perMm + costs.perCarried + costs.perShow * costs.showing)
  );
}

/** Price of one pair of tails. */
export function cutCost(costs: StrandCosts): number {
  return 2 * costs.tail * costs.perMm + 2 * costs.perEnd;
}
