import { isRoundMaking } from '../../fabric/fabric.ts';
import { roundWays } from '../../foundation/foundation.ts';
import { keyAt, mainAt, oneColour, opensOnlyFirst } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';

/** Texture in one-row stripes: tall over short and short over tall. docs/craft.md, “One-row stripes”. */
export const stripes: Technique = {
  key: 'stripes',
  makings: ['flat', 'turned-rounds', 'rounds'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel', 'tube'],
  looks: ['lines', 'texture'],
  nested: true,
  step: 2,
  ordered: true,
  marks: ['sc', 'dc'],
  kinds: ['sc', 'dc', 'dc-ch3'],
  width: plainStitches,
  gaugeKey: () => 'houndstooth',
  foundations: ({ pattern, stitch }) => {
    if (isRoundMaking(pattern.made)) return [...roundWays(stitch), ...roundWays(stitch === 'dc' ? 'sc' : 'dc')];
    return [stitch === 'dc' ? 'dc-4th' : 'sc-2nd'];
  },
  // Around a chain the way to begin says which stitch comes first.
  shift: ({ bound, foundation }) => (isRoundMaking(bound.pattern.made) && bound.stitch !== foundation.stitch ? 1 : 0),
  opening: (kind, { bound }) => (kind === 'dc' && !isRoundMaking(bound.pattern.made) ? 'dc-ch3' : kind),
  prove(view) {
    opensOnlyFirst(view);
    oneColour(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const own = mainAt(view.kinds, x);
      if (own === mainAt(view.below?.kinds, x)) {
        view.refuse(x, 'stands-on-like', { own });
      }
      if (x > 0 && own === mainAt(view.kinds, x - 1)) view.refuse(x, 'follows-like', { own });
      const seam = isRoundMaking(view.making) || own !== 'dc' || x !== (view.forward ? 0 : view.kinds.length - 1);
      if (!seam && keyAt(view.kinds, x) === 'dc') view.refuse(x, 'dc-without-chain');
    }
  },
};
