/**
 * What a laid fabric can hold: one cell of a course, with the place where it is worked. A kind's position in
 * `stitchKinds` is the number that fabrics store, so the order is never changed, only added to.
 */
export interface StitchKind {
  readonly key: StitchKey;
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

type Traits = Partial<Omit<StitchKind, 'key'>>;

const table: Readonly<Record<StitchKey, readonly [height: number, traits?: Traits]>> = {
  sc: [1],
  hdc: [1.45],
  dc: [2],
  'hdc-ch2': [1.45, { standsFor: 'hdc', opens: true }],
  'dc-ch3': [2, { standsFor: 'dc', opens: true }],
  'dc-ch2': [2, { standsFor: 'dc', opens: true }],
  'hdc@between': [1.33],
  'sc@space': [1, { standsFor: 'sc' }],
  ch: [1],
  'linen-edge': [1, { stitches: 2, opens: true }],
  'dc@below2': [2, { standsFor: 'dc' }],
  'sc@back': [1, { standsFor: 'sc' }],
  'dc@front2': [1, { standsFor: 'dc' }],
  fpdc: [2, { standsFor: 'dc' }],
  bpdc: [2, { standsFor: 'dc' }],
  cluster: [2, { stitches: 3, posts: 3 }],
  'cluster@space': [2, { standsFor: 'cluster', stitches: 3, posts: 3 }],
  'cluster-ch3': [2, { standsFor: 'cluster', opens: true, stitches: 3, posts: 2 }],
  'cluster-ch2': [2, { standsFor: 'cluster', opens: true, stitches: 3, posts: 2 }],
  'edge-ch3': [2, { standsFor: 'edge-dc', opens: true }],
  'edge-dc': [2],
  block: [2, { stitches: 3, posts: 3 }],
  'block-grow': [2, { standsFor: 'block', opens: true, stitches: 3, posts: 3 }],
  'block-shrink': [2, { standsFor: 'block', opens: true, stitches: 3, posts: 3 }],
  'dc@ring': [2, { standsFor: 'dc' }],
  inc: [2, { makes: 2, posts: 2 }],
  'inc-ch3': [2, { standsFor: 'inc', makes: 2, opens: true }],
  fleck: [1],
  'sc@front': [1, { standsFor: 'sc' }],
  'hdc@back': [1.45, { standsFor: 'hdc' }],
  'hdc@front': [1.45, { standsFor: 'hdc' }],
  'dc@back': [2, { standsFor: 'dc' }],
  'dc@front': [2, { standsFor: 'dc' }],
  'sc@ring': [1, { standsFor: 'sc' }],
  'hdc@ring': [1.45, { standsFor: 'hdc' }],
  'sc-inc': [1, { makes: 2, posts: 2 }],
  'hdc-inc': [1.45, { makes: 2, posts: 2 }],
  'dc@base-front': [2, { standsFor: 'dc' }],
  'dc@base-behind': [2, { standsFor: 'dc' }],
  fpsc: [1, { standsFor: 'sc' }],
  'fpdc@other': [2, { standsFor: 'dc' }],
};

export const stitchKinds: readonly StitchKind[] = keys.map((key): StitchKind => {
  const [height, traits] = table[key];
  const makes = traits?.makes ?? 1;
  return {
    key,
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
