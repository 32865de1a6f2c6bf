/**
 * The stitches a laid fabric can hold. A kind says how one place of a course is filled; its position in
 * `stitchKinds` is the number that fabrics store, so the order is never changed, only added to.
 */
export interface StitchKind {
  readonly key: StitchKey;
  readonly us: string;
  readonly uk: string;
  /** Height against a single crochet of the same hand (docs/craft.md, “Heights”). */
  readonly height: number;
  /** The main stitch this one stands for: a counted turning chain stands for the stitch it replaces. */
  readonly standsFor: StitchKey;
}

export type StitchKey = 'sc' | 'hdc' | 'dc' | 'hdc-ch2';

export const stitchKinds: readonly StitchKind[] = [
  { key: 'sc', us: 'sc', uk: 'dc', height: 1, standsFor: 'sc' },
  { key: 'hdc', us: 'hdc', uk: 'htr', height: 1.45, standsFor: 'hdc' },
  { key: 'dc', us: 'dc', uk: 'tr', height: 2, standsFor: 'dc' },
  { key: 'hdc-ch2', us: 'ch 2', uk: 'ch 2', height: 1.45, standsFor: 'hdc' },
];

const codes = new Map<string, number>(stitchKinds.map((kind, code) => [kind.key, code]));

/** The number a fabric stores for a stitch, or undefined for a word that is no stitch kind. */
export function stitchCode(key: string): number | undefined {
  return codes.get(key);
}

/** The kind behind a stored number. @throws RangeError on a number no kind has */
export function stitchKind(code: number): StitchKind {
  const kind = stitchKinds[code];
  if (!kind) throw new RangeError(`no stitch kind ${code}`);
  return kind;
}
