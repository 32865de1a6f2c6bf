import { keyAt } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';
import { carried } from '../carried/carried.ts';

/** Small two-legged flecks, drawn up in B and closed in A. docs/craft.md, “Flecks”. */
export const flecks: Technique = {
  key: 'flecks',
  name: 'flecks',
  words: {
    change: 'Only the first draw-up of a fleck is in B; it is closed in A.',
    lookOver: 'The legs of a fleck lie side by side; a fleck stands between the flecks of the row before.',
    height: 'Every row is as tall as an sc.',
    idle: 'B is carried through figure rows and plain rows alike.',
  },
  step: 1,
  kinds: ['sc', 'fleck'],
  width: plainStitches,
  gaugeKey: () => 'sc',
  foundations: () => ['sc-2nd'],
  opening: carried.opening,
  policy: 'carry-always',
  prove(view) {
    for (let x = 0; x < view.kinds.length; x++) {
      const fleck = keyAt(view.kinds, x) === 'fleck';
      if (!fleck && keyAt(view.kinds, x) !== 'sc') view.refuse(x, 'the ground is sc');
      else if (fleck && !view.forward) view.refuse(x, 'a fleck stands in a row of the wrong side');
      else if (fleck && view.colours[x] === 0) view.refuse(x, 'a fleck is drawn up in B, and this one is in A');
      else if (!fleck && view.colours[x] !== 0) view.refuse(x, 'the ground is in A');
      else if (fleck && keyAt(view.below?.kinds, x) === 'fleck') view.refuse(x, 'a fleck stands on a fleck');
    }
  },
};
