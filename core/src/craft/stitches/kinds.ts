/**
 * What a laid fabric can hold: one cell of a course, with the place where it is worked. A kind's position in
 * `stitchKinds` is the number that fabrics store, so the order is never changed, only added to.
 */
export interface StitchKind {
  readonly key: StitchKey;
  /** Abbreviation in either terminology, with the place where it is worked. */
  readonly us: string;
  readonly uk: string;
  /** The same in whole words. */
  readonly usWhole: string;
  readonly ukWhole: string;
  /** Height against a single crochet of the same hand (docs/craft.md, “Heights”). */
  readonly height: number;
  /** The main stitch this one stands for: a counted turning chain stands for the stitch it replaces. */
  readonly standsFor: StitchKey;
  /** Stitches of the course below that it uses up, and those it leaves for the next. */
  readonly takes: number;
  readonly makes: number;
  /** Stitches that a row's total counts it as. */
  readonly stitches: number;
  /** Posts that close over a strand carried inside it. docs/craft.md, “Yarn in a piece”. */
  readonly posts: number;
  /** A counted turning chain: worked once, at the beginning of a course, and never counted in words. */
  readonly opens: boolean;
}

const keys = [
  'sc',
  'hdc',
  'dc',
  'hdc-ch2',
  'dc-ch3',
  'dc-ch2',
  'hdc@between',
  'sc@space',
  'ch',
  'linen-edge',
  'dc@below2',
  'sc@back',
  'dc@front2',
  'fpdc',
  'bpdc',
  'cluster',
  'cluster@space',
  'cluster-ch3',
  'cluster-ch2',
  'edge-ch3',
  'edge-dc',
  'block',
  'block-grow',
  'block-shrink',
  'dc@ring',
  'inc',
  'inc-ch3',
  'fleck',
  'sc@front',
  'hdc@back',
  'hdc@front',
  'dc@back',
  'dc@front',
  'sc@ring',
  'hdc@ring',
  'sc-inc',
  'hdc-inc',
  'dc@base-front',
  'dc@base-behind',
  'fpsc',
  'fpdc@other',
] as const;

export type StitchKey = (typeof keys)[number];

type Words = readonly [us: string, uk: string, usWhole: string, ukWhole: string];
type Traits = Partial<Omit<StitchKind, 'key' | 'us' | 'uk' | 'usWhole' | 'ukWhole'>>;

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

const table: Readonly<Record<StitchKey, readonly [height: number, words: Words, traits?: Traits]>> = {
  sc: [1, ['sc', 'dc', single, double]],
  hdc: [1.45, ['hdc', 'htr', 'half double crochet', 'half treble crochet']],
  dc: [2, ['dc', 'tr', double, treble]],
  'hdc-ch2': [
    1.45,
    counted(2, 'hdc', 'htr', 'half double crochet', 'half treble crochet'),
    { standsFor: 'hdc', opens: true },
  ],
  'dc-ch3': [2, counted(3, 'dc', 'tr', double, treble), { standsFor: 'dc', opens: true }],
  'dc-ch2': [2, counted(2, 'dc', 'tr', double, treble), { standsFor: 'dc', opens: true }],
  'hdc@between': [
    1.33,
    [
      'hdc between posts',
      'htr between posts',
      'half double crochet between the posts',
      'half treble crochet between the posts',
    ],
  ],
  'sc@space': [
    1,
    ['sc in sp', 'dc in sp', `${single} in the chain space`, `${double} in the chain space`],
    { standsFor: 'sc' },
  ],
  ch: [1, ['ch', 'ch', 'chain', 'chain']],
  'linen-edge': [
    1,
    [
      'ch 2 (the first stitch and space)',
      'ch 2 (the first stitch and space)',
      'chain 2 (the first stitch and space)',
      'chain 2 (the first stitch and space)',
    ],
    { stitches: 2, opens: true },
  ],
  'dc@below2': [
    2,
    ['dc 2 rows down', 'tr 2 rows down', `${double} two rows down`, `${treble} two rows down`],
    { standsFor: 'dc' },
  ],
  'sc@back': [1, ['sc blo', 'dc blo', `${single} in the back loop`, `${double} in the back loop`], { standsFor: 'sc' }],
  'dc@front2': [
    1,
    [
      'dc flo 2 below',
      'tr flo 2 below',
      `${double} in the front loop two rows below`,
      `${treble} in the front loop two rows below`,
    ],
    { standsFor: 'dc' },
  ],
  fpdc: [2, ['fpdc', 'fptr', `front post ${double}`, `raised front ${treble}`], { standsFor: 'dc' }],
  bpdc: [2, ['bpdc', 'bptr', `back post ${double}`, `raised back ${treble}`], { standsFor: 'dc' }],
  cluster: [2, ['cluster', 'cluster', 'cluster', 'cluster'], { stitches: 3, posts: 3 }],
  'cluster@space': [
    2,
    ['cluster in sp', 'cluster in sp', 'cluster in the space', 'cluster in the space'],
    { standsFor: 'cluster', stitches: 3, posts: 3 },
  ],
  'cluster-ch3': [
    2,
    [
      'ch 3 and 2 dc (the first cluster)',
      'ch 3 and 2 tr (the first cluster)',
      `chain 3 and 2 ${double} (the first cluster)`,
      `chain 3 and 2 ${treble} (the first cluster)`,
    ],
    { standsFor: 'cluster', opens: true, stitches: 3, posts: 2 },
  ],
  'cluster-ch2': [
    2,
    [
      'ch 2 and 2 dc (the first cluster)',
      'ch 2 and 2 tr (the first cluster)',
      `chain 2 and 2 ${double} (the first cluster)`,
      `chain 2 and 2 ${treble} (the first cluster)`,
    ],
    { standsFor: 'cluster', opens: true, stitches: 3, posts: 2 },
  ],
  'edge-ch3': [
    2,
    ['ch 3 (the edge stitch)', 'ch 3 (the edge stitch)', 'chain 3 (the edge stitch)', 'chain 3 (the edge stitch)'],
    { standsFor: 'edge-dc', opens: true },
  ],
  'edge-dc': [2, ['edge dc', 'edge tr', `${double} at the edge`, `${treble} at the edge`]],
  block: [2, ['block', 'block', 'block', 'block'], { stitches: 3, posts: 3 }],
  'block-grow': [
    2,
    ['block on ch 6', 'block on ch 6', 'block on a chain of 6', 'block on a chain of 6'],
    { standsFor: 'block', opens: true, stitches: 3, posts: 3 },
  ],
  'block-shrink': [
    2,
    ['block after 4 sl st', 'block after 4 ss', 'block after 4 slip stitches', 'block after 4 slip stitches'],
    { standsFor: 'block', opens: true, stitches: 3, posts: 3 },
  ],
  'dc@ring': [2, ['dc in ring', 'tr in ring', `${double} in the ring`, `${treble} in the ring`], { standsFor: 'dc' }],
  inc: [
    2,
    ['inc', 'inc', `increase of 2 ${double} in one stitch`, `increase of 2 ${treble} in one stitch`],
    { makes: 2, posts: 2 },
  ],
  'inc-ch3': [
    2,
    [
      'ch 3 and 1 dc in the same stitch',
      'ch 3 and 1 tr in the same stitch',
      `chain 3 and 1 ${double} in the same stitch`,
      `chain 3 and 1 ${treble} in the same stitch`,
    ],
    { standsFor: 'inc', makes: 2, opens: true },
  ],
  fleck: [1, ['fleck', 'fleck', 'fleck', 'fleck']],
  'sc@front': [
    1,
    ['sc flo', 'dc flo', `${single} in the front loop`, `${double} in the front loop`],
    { standsFor: 'sc' },
  ],
  'hdc@back': [
    1.45,
    ['hdc blo', 'htr blo', 'half double crochet in the back loop', 'half treble crochet in the back loop'],
    { standsFor: 'hdc' },
  ],
  'hdc@front': [
    1.45,
    ['hdc flo', 'htr flo', 'half double crochet in the front loop', 'half treble crochet in the front loop'],
    { standsFor: 'hdc' },
  ],
  'dc@back': [2, ['dc blo', 'tr blo', `${double} in the back loop`, `${treble} in the back loop`], { standsFor: 'dc' }],
  'dc@front': [
    2,
    ['dc flo', 'tr flo', `${double} in the front loop`, `${treble} in the front loop`],
    { standsFor: 'dc' },
  ],
  'sc@ring': [1, ['sc in ring', 'dc in ring', `${single} in the ring`, `${double} in the ring`], { standsFor: 'sc' }],
  'hdc@ring': [
    1.45,
    ['hdc in ring', 'htr in ring', 'half double crochet in the ring', 'half treble crochet in the ring'],
    { standsFor: 'hdc' },
  ],
  'sc-inc': [
    1,
    ['sc inc', 'dc inc', `increase of 2 ${single} in one stitch`, `increase of 2 ${double} in one stitch`],
    { makes: 2, posts: 2 },
  ],
  'hdc-inc': [
    1.45,
    [
      'hdc inc',
      'htr inc',
      'increase of 2 half double crochet in one stitch',
      'increase of 2 half treble crochet in one stitch',
    ],
    { makes: 2, posts: 2 },
  ],
  'dc@base-front': [
    2,
    [
      'dc in front into the base row',
      'tr in front into the base row',
      `${double} in front of the chain into the free stitch of the base row`,
      `${treble} in front of the chain into the free stitch of the base row`,
    ],
    { standsFor: 'dc' },
  ],
  'dc@base-behind': [
    2,
    [
      'dc behind into the base row',
      'tr behind into the base row',
      `${double} behind the chain into the free stitch of the base row`,
      `${treble} behind the chain into the free stitch of the base row`,
    ],
    { standsFor: 'dc' },
  ],
  fpsc: [1, ['fpsc', 'fpdc', `front post ${single}`, `raised front ${double}`], { standsFor: 'sc' }],
  'fpdc@other': [
    2,
    [
      'fpdc around the B post',
      'fptr around the B post',
      `front post ${double} around the post of B`,
      `raised front ${treble} around the post of B`,
    ],
    { standsFor: 'dc' },
  ],
};

export const stitchKinds: readonly StitchKind[] = keys.map((key): StitchKind => {
  const [height, [us, uk, usWhole, ukWhole], traits] = table[key];
  const makes = traits?.makes ?? 1;
  return {
    key,
    us,
    uk,
    usWhole,
    ukWhole,
    height,
    standsFor: key,
    takes: 1,
    makes,
    stitches: makes,
    posts: 1,
    opens: false,
    ...traits,
  };
});

const codes = new Map<string, number>(stitchKinds.map((kind, code) => [kind.key, code]));

/** The number a fabric stores for a stitch, or undefined for a word that is no stitch kind. */
export function stitchCode(key: string): number | undefined {
  return codes.get(key);
}

/** The number of a stitch that is known to exist. */
export function codeOf(key: StitchKey): number {
  return codes.get(key) as number;
}

/** The kind behind a stored number. @throws RangeError on a number no kind has */
export function stitchKind(code: number): StitchKind {
  const kind = stitchKinds[code];
  if (!kind) throw new RangeError(`no stitch kind ${code}`);
  return kind;
}
