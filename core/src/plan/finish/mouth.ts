import { type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';

/** Stitches from the end of a mouth's side to its eyelet. */
const beforeEyelet = 2;
/** Chains of an eyelet, over the one stitch that is passed over. */
const eyeletChains = 2;
/** A side with less could not hold its two eyelets apart. */
const leastWithEyelets = 2 * (beforeEyelet + 1) + 1;

/** What is edged. */
interface Mouth {
  /** Stitches of a whole row or round. */
  readonly stitches: number;
  /** How it was begun, where it is worked in rounds. */
  readonly tube?: string | undefined;
  /** A plain sc of each colour, mm. */
  readonly sc: readonly StitchSize[];
  /** How many have such a mouth. */
  readonly items: number;
}

/** A mouth as it lies flat: two sides, each of a stitch for every stitch of the row or half round below it. */
function mouthSide({ stitches, tube }: Mouth): number {
  return tube ? Math.floor(stitches / 2) : stitches;
}

/**
 * Rounds of sc about a mouth: one in each stitch of both sides; the second with an eyelet near each end of both, at the same
 * places, for a cord. docs/craft.md, “Borders, seams, straps”.
 */
export function mouthPart(request: Mouth, { eyelets }: { readonly eyelets: boolean }) {
  const size = request.sc[0] as StitchSize;
  const side = mouthSide(request);
  const withEyelets = eyelets && side >= leastWithEyelets;
  const around = 2 * side;
  // Each eyelet passes over one stitch.
  const second = withEyelets ? around - 4 : 0;
  const rounds = withEyelets ? 2 : 1;
  const stitch = (kind: 'sc' | 'ch' | 'join') => yarnInStitch(kind, size);
  const chains = rounds + (withEyelets ? 4 * eyeletChains : 0);
  return {
    part: 'mouth' as const,
    colour: 0,
    metres: ((around + second) * stitch('sc') + chains * stitch('ch') + rounds * stitch('join')) / 1000,
    ends: 2,
    stitches: around + second + (withEyelets ? 4 * eyeletChains : 0),
    times: request.items,
    steps: [
      { code: 'mouth-round', facts: { side, around } },
      ...(withEyelets
        ? [
            {
              code: 'mouth-eyelets',
              facts: { before: beforeEyelet, chains: eyeletChains, between: side - 2 * (beforeEyelet + 1) },
            },
          ]
        : []),
    ],
  };
}
