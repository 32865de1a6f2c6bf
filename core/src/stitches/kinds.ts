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
] as const;

export type StitchKey = (typeof keys)[number];

type Words = readonly [us: string, uk: string, usWhole: string, ukWhole: string];
type Traits = Partial<Omit<StitchKind, 'key' | 'us' | 'uk' | 'usWhole' | 'ukWhole'>>;

const single = 'single crochet';
const double = 'double crochet';
const treble = 'treble crochet';

const table: Readonly<Record<StitchKey, readonly [height: number, words: Words, traits?: Traits]>> = {
  sc: [1, ['sc', 'dc', single, double]],
  hdc: [1.45, ['hdc', 'htr', 'half double crochet', 'half treble crochet']],
  dc: [2, ['dc', 'tr', double, treble]],
  'hdc-ch2': [1.45, ['ch 2', 'ch 2', 'chain 2', 'chain 2'], { standsFor: 'hdc', opens: true }],
  'dc-ch3': [2, ['ch 3', 'ch 3', 'chain 3', 'chain 3'], { standsFor: 'dc', opens: true }],
  'dc-ch2': [
    2,
    ['ch 2 as dc', 'ch 2 as tr', `chain 2 as ${double}`, `chain 2 as ${treble}`],
    { standsFor: 'dc', opens: true },
  ],
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
    ['edge ch 2', 'edge ch 2', 'chain 2 for the edge', 'chain 2 for the edge'],
    { stitches: 2, opens: true },
  ],
  'dc@below2': [
    2,
    ['dc 2 rows down', 'tr 2 rows down', `${double} two rows down`, `${treble} two rows down`],
    { standsFor: 'dc' },
  ],
  'sc@back': [1, ['sc blo', 'dc blo', `${single} in the back loop`, `${double} in the back loop`], { standsFor: 'sc' }],
  'dc@front2': [1, ['drop dc', 'drop tr', `dropped ${double}`, `dropped ${treble}`], { standsFor: 'dc' }],
  fpdc: [2, ['fpdc', 'fptr', `front post ${double}`, `raised front ${treble}`], { standsFor: 'dc' }],
  bpdc: [2, ['bpdc', 'bptr', `back post ${double}`, `raised back ${treble}`], { standsFor: 'dc' }],
  cluster: [2, ['cluster', 'cluster', 'cluster', 'cluster'], { stitches: 3 }],
  'cluster@space': [
    2,
    ['cluster in sp', 'cluster in sp', 'cluster in the space', 'cluster in the space'],
    { standsFor: 'cluster', stitches: 3 },
  ],
  'cluster-ch3': [
    2,
    ['ch 3 and 2 dc', 'ch 3 and 2 tr', `chain 3 and 2 ${double}`, `chain 3 and 2 ${treble}`],
    { standsFor: 'cluster', opens: true, stitches: 3 },
  ],
  'cluster-ch2': [
    2,
    ['ch 2 and 2 dc', 'ch 2 and 2 tr', `chain 2 and 2 ${double}`, `chain 2 and 2 ${treble}`],
    { standsFor: 'cluster', opens: true, stitches: 3 },
  ],
  'edge-ch3': [
    2,
    ['edge ch 3', 'edge ch 3', 'chain 3 for the edge', 'chain 3 for the edge'],
    { standsFor: 'edge-dc', opens: true },
  ],
  'edge-dc': [2, ['edge dc', 'edge tr', `${double} at the edge`, `${treble} at the edge`]],
  block: [2, ['block', 'block', 'block', 'block']],
  'block-grow': [
    2,
    ['block on ch 6', 'block on ch 6', 'block on a chain of 6', 'block on a chain of 6'],
    { standsFor: 'block', opens: true },
  ],
  'block-shrink': [
    2,
    ['block after 4 sl st', 'block after 4 ss', 'block after 4 slip stitches', 'block after 4 slip stitches'],
    { standsFor: 'block', opens: true },
  ],
  'dc@ring': [2, ['dc in ring', 'tr in ring', `${double} in the ring`, `${treble} in the ring`], { standsFor: 'dc' }],
  inc: [2, ['inc', 'inc', `2 ${double} in the next stitch`, `2 ${treble} in the next stitch`], { makes: 2 }],
  'inc-ch3': [
    2,
    [
      'ch 3 and dc in same',
      'ch 3 and tr in same',
      `chain 3 and ${double} in the same`,
      `chain 3 and ${treble} in the same`,
    ],
    { standsFor: 'inc', makes: 2, opens: true },
  ],
  fleck: [1, ['fleck', 'fleck', 'fleck', 'fleck']],
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
