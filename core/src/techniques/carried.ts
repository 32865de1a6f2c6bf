import { stitchKinds } from '../stitches/kinds.ts';
import type { Technique } from './technique.ts';

/** Carried colourwork: one cell of the chart is one stitch, the idle strand lies inside. docs/craft.md, “Carried colourwork”. */
export const carried: Technique = {
  key: 'carried',
  name: 'carried colourwork',
  step: 1,
  stitches: ['sc', 'hdc', 'dc', 'hdc-ch2'],
  gaugeKey: (bound) => (bound.stitch === 'hdc' ? 'hdc' : bound.stitch === 'dc' ? 'dc' : 'sc'),
  refuses(stitch, below) {
    const own = stitchKinds.find((kind) => kind.key === stitch)?.standsFor;
    const under = stitchKinds.find((kind) => kind.key === below)?.standsFor;
    return under === undefined || own === under ? undefined : `a ${stitch} stands on a ${below}`;
  },
};
