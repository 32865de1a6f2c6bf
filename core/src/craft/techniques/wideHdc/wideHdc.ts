import { firstColumn, keyAt } from '../../technique/rules.ts';
import { plainStitches, type Technique } from '../../technique/technique.ts';

/**
 * Hdc between the posts of the row below: a brick grid, each row half a stitch beside the last.
 * docs/craft.md, “Carried colourwork”.
 */
export const wideHdc: Technique = {
  key: 'wide-hdc',
  name: 'wide half double crochet',
  words: {
    change: 'The new colour enters with the last pull-through of the stitch before it.',
    lookOver:
      'Work below all loops, between two posts; the last stitch goes between the last post and the turning chain.',
    height: 'Every row is as tall as an hdc less the depth by which it is sunk between the posts.',
    idle: 'The idle strand is worked over; between posts it shows most.',
  },
  step: 1,
  cuts: true,
  kinds: ['hdc@between', 'hdc-ch2', 'hdc'],
  width: plainStitches,
  gaugeKey: () => 'wide-hdc',
  foundations: () => ['wide-3rd'],
  opening: () => 'hdc-ch2',
  inChain: new Map([['hdc@between', 'hdc']]),
  prove(view) {
    const first = firstColumn(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const key = keyAt(view.kinds, x);
      if (x === first) {
        if (key !== 'hdc-ch2') view.refuse(x, 'the row begins with a ch 2, which is its first post');
      } else if (key !== (view.below ? 'hdc@between' : 'hdc'))
        view.refuse(x, `${key} stands where an hdc goes between two posts`);
    }
  },
};
