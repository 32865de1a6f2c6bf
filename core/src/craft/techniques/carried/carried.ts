import { isRoundMaking } from '../../fabric/fabric.ts';
import { type FoundationKey, roundWays } from '../../foundation/foundation.ts';
import type { BoundPattern } from '../../patterns/bound.ts';
import type { StitchKey } from '../../stitches/kinds.ts';
import { countedOpening, firstColumn, mainAt, opensOnlyFirst } from '../../technique/rules.ts';
import { type CourseView, plainStitches, type Technique } from '../../technique/technique.ts';

const flatWays: Partial<Record<StitchKey, readonly FoundationKey[]>> = {
  sc: ['sc-2nd', 'sc-chainless'],
  hdc: ['hdc-2nd', 'hdc-3rd', 'hdc-3rd-counted'],
  dc: ['dc-4th', 'dc-3rd', 'dc-3rd-counted', 'dc-chainless'],
};

/** The ways to begin a flat piece or a round of one stitch. */
export function waysFor(bound: BoundPattern): readonly FoundationKey[] {
  return isRoundMaking(bound.pattern.made) ? roundWays(bound.stitch) : (flatWays[bound.stitch] ?? []);
}

/** Every stitch is the main one, on the top of the stitch below; a counted chain opens each course or none. */
export function proveGrid(view: CourseView): void {
  opensOnlyFirst(view);
  const { stitch } = view.bound;
  const first = firstColumn(view);
  for (let x = 0; x < view.kinds.length; x++) {
    const own = mainAt(view.kinds, x);
    if (own !== stitch) view.refuse(x, 'other-stitch', { own, stitch });
    const under = mainAt(view.below?.kinds, x);
    if (view.below && under !== own) view.refuse(x, 'stands-on', { own, under });
  }
  const opens = view.kinds[first] !== undefined && mainAt(view.kinds, first) === stitch;
  const counted = view.foundation.counted;
  if (opens && counted && view.kinds[first] === view.kinds[first + (view.forward ? 1 : -1)]) {
    view.refuse(first, 'turning-chain-missing');
  }
}

/** Carried colourwork: one cell of the chart is one stitch, the idle strand lies inside. docs/craft.md, “Carried colourwork”. */
export const carried: Technique = {
  key: 'carried',
  makings: ['flat', 'turned-rounds', 'rounds'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel', 'tube'],
  looks: ['blocks'],
  nested: true,
  step: 1,
  cuts: true,
  loops: true,
  kinds: [
    ...(['sc', 'hdc', 'dc', 'hdc-ch2', 'dc-ch3', 'dc-ch2'] as const),
    ...(['sc@back', 'sc@front', 'hdc@back', 'hdc@front', 'dc@back', 'dc@front'] as const),
  ],
  width: plainStitches,
  gaugeKey: (bound) => (bound.stitch === 'hdc' ? 'hdc' : bound.stitch === 'dc' ? 'dc' : 'sc'),
  foundations: waysFor,
  opening: (kind, { foundation }) => countedOpening(kind, foundation.turn, foundation.counted),
  prove: proveGrid,
};
