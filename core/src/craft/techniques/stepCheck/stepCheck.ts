import { isRoundMaking } from '../../fabric/fabric.ts';
import { roundWays } from '../../foundation/foundation.ts';
import { firstColumn, keyAt, mainAt, oneColour, opensOnlyFirst } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';

/** Blocks of short and of tall stitches, each over the other. docs/craft.md, “One-row stripes”. */
export const stepCheck: Technique = {
  key: 'step-check',
  makings: ['flat', 'turned-rounds', 'rounds'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel', 'tube'],
  looks: ['blocks'],
  nested: true,
  step: 1,
  kinds: ['sc', 'dc', 'dc-ch3'],
  width: plainStitches,
  gaugeKey: () => 'stepped sc, dc',
  ordered: true,
  marks: ['sc', 'dc'],
  foundations: ({ stitch, pattern }) =>
    isRoundMaking(pattern.made) ? roundWays(stitch) : [stitch === 'dc' ? 'dc-4th' : 'sc-2nd'],
  opening: (kind, { bound }) => (kind === 'dc' && !isRoundMaking(bound.pattern.made) ? 'dc-ch3' : kind),
  prove(view) {
    opensOnlyFirst(view);
    oneColour(view);
    const first = firstColumn(view);
    if (keyAt(view.kinds, first) === 'dc' && !isRoundMaking(view.making)) view.refuse(first, 'dc-without-chain');
    for (let x = 0; x < view.kinds.length; x++) {
      const own = mainAt(view.kinds, x);
      if (own !== 'sc' && own !== 'dc') view.refuse(x, 'neither-sc-nor-dc', { own });
      else if (own === mainAt(view.below?.kinds, x)) view.refuse(x, 'stands-on-like', { own });
    }
    if (!view.below) proveBlocks(view.kinds, view);
  },
};

/** The first row is in blocks of one length, the last of which may be cut. */
function proveBlocks(kinds: Uint8Array, view: Parameters<Technique['prove']>[0]): void {
  const length = view.bound.numbers.b;
  if (length === undefined) return;
  for (let x = 1; x < kinds.length; x++) {
    const alike = mainAt(kinds, x) === mainAt(kinds, x - 1);
    if (alike === (x % length === 0)) view.refuse(x, 'block-length', { length });
  }
}
