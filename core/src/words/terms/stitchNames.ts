import type { StitchKey } from '../../craft/stitches/kinds.ts';

type Words = readonly [us: string, uk: string, usWhole: string, ukWhole: string];
const single = 'single crochet';
const double = 'double crochet';
const treble = 'treble crochet';

/** A turning chain that counts as the first stitch of its row. */
function counted(chains: number, us: string, uk: string, usWhole: string, ukWhole: string): Words {
  const short = (word: string) => `ch ${chains} (counts as the first ${word})`;
  return [
    short(us),
    short(uk),
    `chain ${chains} (counts as the first ${usWhole})`,
    `chain ${chains} (counts as the first ${ukWhole})`,
  ];
}

/** What each stitch is called in either terminology, with the place where it is worked: abbreviated, and in whole words. */
export const stitchNames: Readonly<Record<StitchKey, Words>> = {
  sc: ['sc', 'dc', single, double],
  hdc: ['hdc', 'htr', 'half double crochet', 'half treble crochet'],
  dc: ['dc', 'tr', double, treble],
  'hdc-ch2': counted(2, 'hdc', 'htr', 'half double crochet', 'half treble crochet'),
  'dc-ch3': counted(3, 'dc', 'tr', double, treble),
  'dc-ch2': counted(2, 'dc', 'tr', double, treble),
  'hdc@between': [
    'hdc between posts',
    'htr between posts',
    'half double crochet between the posts',
    'half treble crochet between the posts',
  ],
  'sc@space': ['sc in sp', 'dc in sp', `${single} in the chain space`, `${double} in the chain space`],
  ch: ['ch', 'ch', 'chain', 'chain'],
  'linen-edge': [
    'ch 2 (the first stitch and space)',
    'ch 2 (the first stitch and space)',
    'chain 2 (the first stitch and space)',
    'chain 2 (the first stitch and space)',
  ],
  'dc@below2': ['dc 2 rows down', 'tr 2 rows down', `${double} two rows down`, `${treble} two rows down`],
  'sc@back': ['sc blo', 'dc blo', `${single} in the back loop`, `${double} in the back loop`],
  'dc@front2': [
    'dc flo 2 below',
    'tr flo 2 below',
    `${double} in the front loop two rows below`,
    `${treble} in the front loop two rows below`,
  ],
  fpdc: ['fpdc', 'fptr', `front post ${double}`, `raised front ${treble}`],
  bpdc: ['bpdc', 'bptr', `back post ${double}`, `raised back ${treble}`],
  cluster: ['cluster', 'cluster', 'cluster', 'cluster'],
  'cluster@space': ['cluster in sp', 'cluster in sp', 'cluster in the space', 'cluster in the space'],
  'cluster-ch3': [
    'ch 3 and 2 dc (the first cluster)',
    'ch 3 and 2 tr (the first cluster)',
    `chain 3 and 2 ${double} (the first cluster)`,
    `chain 3 and 2 ${treble} (the first cluster)`,
  ],
  'cluster-ch2': [
    'ch 2 and 2 dc (the first cluster)',
    'ch 2 and 2 tr (the first cluster)',
    `chain 2 and 2 ${double} (the first cluster)`,
    `chain 2 and 2 ${treble} (the first cluster)`,
  ],
  'edge-ch3': [
    'ch 3 (the edge stitch)',
    'ch 3 (the edge stitch)',
    'chain 3 (the edge stitch)',
    'chain 3 (the edge stitch)',
  ],
  'edge-dc': ['edge dc', 'edge tr', `${double} at the edge`, `${treble} at the edge`],
  block: ['block', 'block', 'block', 'block'],
  'block-grow': ['block on ch 6', 'block on ch 6', 'block on a chain of 6', 'block on a chain of 6'],
  'block-shrink': [
    'block after 4 sl st',
    'block after 4 ss',
    'block after 4 slip stitches',
    'block after 4 slip stitches',
  ],
  'dc@ring': ['dc in ring', 'tr in ring', `${double} in the ring`, `${treble} in the ring`],
  inc: ['inc', 'inc', `increase of 2 ${double} in one stitch`, `increase of 2 ${treble} in one stitch`],
  'inc-ch3': [
    'ch 3 and 1 dc in the same stitch',
    'ch 3 and 1 tr in the same stitch',
    `chain 3 and 1 ${double} in the same stitch`,
    `chain 3 and 1 ${treble} in the same stitch`,
  ],
  fleck: ['fleck', 'fleck', 'fleck', 'fleck'],
  'sc@front': ['sc flo', 'dc flo', `${single} in the front loop`, `${double} in the front loop`],
  'hdc@back': ['hdc blo', 'htr blo', 'half double crochet in the back loop', 'half treble crochet in the back loop'],
  'hdc@front': ['hdc flo', 'htr flo', 'half double crochet in the front loop', 'half treble crochet in the front loop'],
  'dc@back': ['dc blo', 'tr blo', `${double} in the back loop`, `${treble} in the back loop`],
  'dc@front': ['dc flo', 'tr flo', `${double} in the front loop`, `${treble} in the front loop`],
  'sc@ring': ['sc in ring', 'dc in ring', `${single} in the ring`, `${double} in the ring`],
  'hdc@ring': ['hdc in ring', 'htr in ring', 'half double crochet in the ring', 'half treble crochet in the ring'],
  'sc-inc': ['sc inc', 'dc inc', `increase of 2 ${single} in one stitch`, `increase of 2 ${double} in one stitch`],
  'hdc-inc': [
    'hdc inc',
    'htr inc',
    'increase of 2 half double crochet in one stitch',
    'increase of 2 half treble crochet in one stitch',
  ],
  'dc@base-front': [
    'dc in front into the base row',
    'tr in front into the base row',
    `${double} in front of the chain into the free stitch of the base row`,
    `${treble} in front of the chain into the free stitch of the base row`,
  ],
  'dc@base-behind': [
    'dc behind into the base row',
    'tr behind into the base row',
    `${double} behind the chain into the free stitch of the base row`,
    `${treble} behind the chain into the free stitch of the base row`,
  ],
  fpsc: ['fpsc', 'fpdc', `front post ${single}`, `raised front ${double}`],
  'fpdc@other': [
    'fpdc around the B post',
    'fptr around the B post',
    `front post ${double} around the post of B`,
    `raised front ${treble} around the post of B`,
  ],
};
