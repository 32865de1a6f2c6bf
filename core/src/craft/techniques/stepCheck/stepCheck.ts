import { isRoundMaking } from '../../fabric/fabric.ts';
import { roundWays } from '../../foundation/foundation.ts';
import { firstColumn, keyAt, mainAt, oneColour, opensOnlyFirst } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';

/** Blocks of short and of tall stitches, each over the other. docs/craft.md, “One-row stripes”. */
export const stepCheck: Technique = {
  key: 'step-check',
  name: 'step check',
  words: {
    change: 'The next colour is drawn through in the last pull-through of the row.',
    lookOver: 'Tall blocks stand over short ones: count the block, then look at what lies below it.',
    height: 'Two rows are as tall as an sc and a dc together, so a row is the mean of the two.',
    idle: 'Three colours climb the edge; two are carried, cut, or the row is begun at the other end.',
  },
  step: 1,
  kinds: ['sc', 'dc', 'dc-ch3'],
  width: plainStitches,
  gaugeKey: () => 'step-check',
  ordered: true,
  foundations: ({ stitch, pattern }) =>
    isRoundMaking(pattern.made) ? roundWays(stitch) : [stitch === 'dc' ? 'dc-4th' : 'sc-2nd'],
  opening: (kind, { bound }) => (kind === 'dc' && !isRoundMaking(bound.pattern.made) ? 'dc-ch3' : kind),
  prove(view) {
    opensOnlyFirst(view);
    oneColour(view);
    const first = firstColumn(view);
    if (keyAt(view.kinds, first) === 'dc' && !isRoundMaking(view.making))
      view.refuse(first, 'a row that begins with a dc begins with ch 3');
    for (let x = 0; x < view.kinds.length; x++) {
      const own = mainAt(view.kinds, x);
      if (own !== 'sc' && own !== 'dc') view.refuse(x, `${own} is neither sc nor dc`);
      else if (own === mainAt(view.below?.kinds, x)) view.refuse(x, `a ${own} stands on a ${own}`);
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
    if (alike === (x % length === 0)) view.refuse(x, `a block of ${length} stitches ends elsewhere`);
  }
}
