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
  showing: 1,
};

export type Policy = 'carry-always' | 'as-needed' | 'cut-always';

export const policies: readonly Policy[] = ['carry-always', 'as-needed', 'cut-always'];

/** The prices that bring a policy about. @param floats whether strands may lie loose on the back */
export function costsFor(
  policy: Policy,
  floats: boolean,
  size: { stitchWidth: number; rowHeight: number },
): StrandCosts {
  const costs = { ...usualCosts, ...size };
  const bound = floats && policy !== 'cut-always' ? costs : { ...costs, floatLimit: 0, floatUpLimit: 0 };
  return policy === 'cut-always' ? { ...bound, perEnd: 1, perCarried: 1000 } : bound;
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
