import { carried, proveGrid } from './carried.ts';
import type { Technique } from './technique.ts';

/** A tube around a chain: rounds on both sides of it, so that the cloth lies double. docs/craft.md, “Tubes”. */
export const tube: Technique = {
  ...carried,
  key: 'tube',
  name: 'tube around a chain',
  words: {
    ...carried.words,
    change: 'The colour changes in the last pull-through before it, and for the next round in the joining slip stitch.',
    lookOver: 'Mark the side folds; a repeat should start at each. Ask which face is outside before the top is closed.',
    idle: 'The idle strand lies inside the stitches or waits at the seam.',
  },
  width: { word: 'stitches', stitches: (count) => count, widths: (count) => count / 2 },
  foundations: ({ stitch }) =>
    stitch === 'dc' ? ['both-sides-dc', 'ring-dc'] : stitch === 'sc' ? ['both-sides-sc', 'ring-sc'] : ['ring-hdc'],
  prove: proveGrid,
};
