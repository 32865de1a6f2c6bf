import { roundWays } from '../../foundation/foundation.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';
import { carried, proveGrid } from '../carried/carried.ts';
import { stripes } from '../stripes/stripes.ts';

/** Whether the rows name their own stitches: a texture then, not one stitch throughout. */
function isTexture({ pattern }: Parameters<Technique['gaugeKey']>[0]): boolean {
  return pattern.rows.some((row) => [...row.start, ...row.unit, ...row.end].some((run) => run.stitch !== undefined));
}

/** A tube around a chain: rounds on both sides of it, so that the cloth lies double. docs/craft.md, “Tubes”. */
export const tube: Technique = {
  ...carried,
  key: 'tube',
  makings: ['turned-rounds', 'rounds'],
  uses: ['tube'],
  looks: ['blocks'],
  width: plainStitches,
  gaugeKey: (bound) => (isTexture(bound) ? stripes.gaugeKey(bound) : carried.gaugeKey(bound)),
  foundations: ({ stitch }) => roundWays(stitch, 'chain'),
  prove: (view) => (isTexture(view.bound) ? stripes.prove(view) : proveGrid(view)),
};
