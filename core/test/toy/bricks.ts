import { keyAt } from '../../src/craft/technique/rules.ts';
import { plainStitches, type Technique } from '../../src/craft/technique/technique.ts';

/** A technique that the product does not know: single crochet, each row half a stitch beside the last. */
export const bricks: Technique = {
  key: 'toy-bricks',
  makings: ['flat'],
  uses: ['panel'],
  looks: ['blocks'],
  offset: (course) => (course % 2 ? 0.5 : 0),
  step: 1,
  cuts: true,
  kinds: ['sc'],
  width: plainStitches,
  gaugeKey: () => 'sc',
  foundations: () => ['sc-2nd'],
  opening: (kind) => kind,
  prove(view) {
    for (let x = 0; x < view.kinds.length; x++) {
      const key = keyAt(view.kinds, x);
      if (key !== 'sc') view.refuse(x, 'not-plain', { key });
    }
  },
};
