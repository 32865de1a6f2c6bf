import { isRoundMaking } from '../../fabric/fabric.ts';
import { roundWays } from '../../foundation/foundation.ts';
import type { StitchKey } from '../../stitches/kinds.ts';
import { firstColumn, keyAt, lastColumn, mainAt, oneColour } from '../../technique/rules.ts';
import type { Technique } from '../../technique/technique.ts';

/** Stitches in the chain spaces of the row below; ch 2 stands for the first stitch and space. docs/craft.md, “Linen”. */
export const linen: Technique = {
  key: 'linen',
  makings: ['flat', 'rounds', 'turned-rounds'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel', 'tube'],
  looks: ['lines', 'texture'],
  upright: true,
  marker: 'turning space',
  nested: true,
  step: 2,
  ordered: true,
  kinds: ['sc', 'sc@space', 'ch', 'linen-edge'],
  width: {
    word: 'places',
    stitches: (count, { key }) => (key === 'linen-4th' ? count + 1 : count),
    widths: (count) => count,
  },
  gaugeKey: () => 'sc and ch',
  foundations: ({ pattern }) => (isRoundMaking(pattern.made) ? roundWays('sc') : ['linen-4th']),
  inChain: new Map([['sc@space', 'sc']]),
  marks: ['ch', 'sc@space'],
  opening: (kind, { bound }) => (isRoundMaking(bound.pattern.made) ? kind : 'linen-edge'),
  prove(view) {
    oneColour(view);
    const round = isRoundMaking(view.making);
    const first = firstColumn(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const own = keyAt(view.kinds, x);
      const n = Math.abs(x - first);
      const under = spaceAt(view.below?.kinds, x);
      if (!round && (x === first) !== (own === 'linen-edge')) {
        view.refuse(x, 'edge-chain-inside');
      } else if (!round && (n % 2 === 1) !== (mainAt(view.kinds, x) === 'sc')) {
        view.refuse(x, 'sc-and-chain-by-turns');
      } else if (round && n > 0 && mainAt(view.kinds, x) === mainAt(view.kinds, x - 1)) {
        view.refuse(x, 'sc-and-chain-by-turns');
      } else if (!view.below && own === 'sc@space') view.refuse(x, 'no-space-in-foundation');
      else if (view.below && own === 'sc@space' && under !== 'ch') view.refuse(x, 'no-space-below');
      else if (view.below && own === 'sc') view.refuse(x, 'sc-into-stitch');
      else if (view.below && own !== 'sc@space' && under === 'ch') view.refuse(x, 'space-stays-empty');
    }
    const last = lastColumn(view);
    if (!round && mainAt(view.kinds, last) !== 'sc') view.refuse(last, 'row-ends-with-sc');
  },
};

/** What a place below is: the ch 2 of the edge has a space as well. */
function spaceAt(kinds: Uint8Array | undefined, x: number): StitchKey | undefined {
  const main = mainAt(kinds, x);
  return main === 'linen-edge' ? 'ch' : main;
}
