import { firstColumn, keyAt } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';

/**
 * Hdc between the posts of the row below: a brick grid, each row half a stitch beside the last.
 * docs/craft.md, “Carried colourwork”.
 */
export const wideHdc: Technique = {
  key: 'wide-hdc',
  makings: ['flat'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel'],
  looks: ['blocks'],
  cell: 'hdc@between',
  offset: (course) => (course % 2 ? 0.5 : 0),
  step: 1,
  cuts: true,
  kinds: ['hdc@between', 'hdc-ch2', 'hdc'],
  width: plainStitches,
  gaugeKey: () => 'hdc between posts',
  foundations: () => ['wide-3rd'],
  opening: () => 'hdc-ch2',
  inChain: new Map([['hdc@between', 'hdc']]),
  prove(view) {
    const first = firstColumn(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const key = keyAt(view.kinds, x);
      if (x === first) {
        if (key !== 'hdc-ch2') view.refuse(x, 'row-without-post');
      } else if (key !== (view.below ? 'hdc@between' : 'hdc')) view.refuse(x, 'not-between-posts', { key });
    }
  },
};
