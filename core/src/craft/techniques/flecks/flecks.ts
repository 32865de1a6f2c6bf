import { keyAt } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';
import { carried } from '../carried/carried.ts';

/** Small two-legged flecks, drawn up in B and closed in A. docs/craft.md, “Flecks”. */
export const flecks: Technique = {
  key: 'flecks',
  makings: ['flat'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel'],
  looks: ['texture'],
  step: 1,
  kinds: ['sc', 'fleck'],
  width: plainStitches,
  gaugeKey: () => 'sc',
  foundations: () => ['sc-2nd'],
  opening: carried.opening,
  marks: ['sc', 'fleck:B'],
  // Flecks stand on rows of the right side only.
  pictured: (wanted) => wanted.map((row, y) => row.map((colour) => (colour !== 'A' && y % 2 === 0 ? 'fleck:B' : 'sc'))),
  policy: 'carry-always',
  prove(view) {
    for (let x = 0; x < view.kinds.length; x++) {
      const fleck = keyAt(view.kinds, x) === 'fleck';
      if (!fleck && keyAt(view.kinds, x) !== 'sc') view.refuse(x, 'ground-not-sc');
      else if (fleck && !view.forward) view.refuse(x, 'fleck-on-wrong-side');
      else if (fleck && view.colours[x] === 0) view.refuse(x, 'fleck-in-a');
      else if (!fleck && view.colours[x] !== 0) view.refuse(x, 'ground-not-a');
      else if (fleck && keyAt(view.below?.kinds, x) === 'fleck') view.refuse(x, 'fleck-on-fleck');
    }
  },
};
