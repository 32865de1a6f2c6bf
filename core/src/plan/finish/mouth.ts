import { type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';

/** Stitches from the end of a mouth's side to its eyelet. */
const beforeEyelet = 2;
/** Chains of an eyelet, over the one stitch that is passed over. */
const eyeletChains = 2;
/** A side with less could not hold its two eyelets apart. */
const leastWithEyelets = 2 * (beforeEyelet + 1) + 1;

/** What is edged. */
interface Mouth {
  /** Stitches of the last row or round. */
  readonly stitches: number;
  /** Of the edge where row 1 begins, where that is the mouth. */
  readonly begun: number;
  /** The other side, where it is a cloth of its own. */
  readonly other?: { readonly stitches: number } | undefined;
  /** How it was begun, where it is worked in rounds. */
  readonly tube?: string | undefined;
  /** A plain sc of each colour, mm. */
  readonly sc: readonly StitchSize[];
  /** How many have such a mouth. */
  readonly items: number;
}

/** How a mouth is edged. */
export interface MouthWish {
  readonly eyelets: boolean;
  /** The edge of flat panels that is the mouth: the last row, or the foundation, which is firmer. */
  readonly edge?: 'last' | 'foundation' | undefined;
}

/** A mouth as it lies flat: two sides, each of a stitch for every stitch of the row or half round at it. */
function mouthSides({ stitches, begun, tube, other }: Mouth, { edge }: MouthWish): readonly [number, number] {
  if (tube) return [Math.floor(stitches / 2), Math.floor(stitches / 2)];
  const own = edge === 'foundation' ? begun : stitches;
  return [own, other?.stitches ?? own];
}

/**
 * Rounds of sc about a mouth: one in each stitch of both sides; the second with an eyelet near each end of both, at the same
 * places, for a cord. docs/craft.md, “Borders, seams, straps”.
 */
export function mouthPart(request: Mouth, wish: MouthWish, hand: number | undefined) {
  const size = request.sc[0] as StitchSize;
  const [first, second] = mouthSides(request, wish);
  const withEyelets = wish.eyelets && Math.min(first, second) >= leastWithEyelets;
  const around = first + second;
  // Each eyelet passes over one stitch.
  const inSecond = withEyelets ? around - 4 : 0;
  const rounds = withEyelets ? 2 : 1;
  const goesOn = hand === 0 && wish.edge !== 'foundation';
  const stitch = (kind: 'sc' | 'ch' | 'join') => yarnInStitch(kind, size);
  const eyeletsChains = withEyelets ? 4 * eyeletChains : 0;
  const between = (side: number) => side - 2 * (beforeEyelet + 1);
  const alike = first === second;
  return {
    part: 'mouth' as const,
    colour: 0,
    metres:
      ((around + inSecond) * stitch('sc') + (rounds + eyeletsChains) * stitch('ch') + rounds * stitch('join')) / 1000,
    ends: goesOn ? 0 : 2,
    goesOn,
    stitches: around + inSecond,
    chains: eyeletsChains,
    rounds: withEyelets ? [around, inSecond] : [around],
    times: request.items,
    steps: [
      { code: 'mouth-round', facts: { side: first, around, ...(alike ? {} : { side2: second }) } },
      ...(withEyelets
        ? [
            {
              code: 'mouth-eyelets',
              facts: {
                before: beforeEyelet,
                chains: eyeletChains,
                between: between(first),
                ...(alike ? {} : { between2: between(second) }),
              },
            },
          ]
        : []),
    ],
  };
}
