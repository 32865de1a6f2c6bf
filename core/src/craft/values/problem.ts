/**
 * Everything Puntada refuses, it refuses with a problem: what is wrong, where, and what to do about it.
 * Problems are values; only broken promises of the code itself are thrown.
 */

/** Each code names one kind of refusal. The sentence beside it says when it is given. */
export const problemCodes = {
  'amount-unreadable': 'a typed number or length cannot be read',
  'amount-ambiguous': 'a typed number can be read in two ways',
  'unit-unknown': 'a typed unit is not one that fits here',
  'out-of-range': 'a number is outside what can be made or meant',
  'field-missing': 'something needed was left out',
  'field-unknown': 'something was given that has no meaning here',
  'field-wrong': 'a value is of the wrong kind',
  'json-malformed': 'the text is not JSON',
  'pattern-unknown': 'no stitch pattern has this key',
  'pattern-syntax': 'a pattern text cannot be read at this line and column',
  'pattern-not-laid': 'the pattern is to be made in a way that its technique has not',
  'pattern-sum': 'the runs of a pattern row do not add up to its repeat',
  'text-unreadable': 'a written row cannot be read back',
  'cannot-be-read': 'something stored has a shape that this version does not know',
  'many-ends': 'the idle strands leave more ends than a maker expects',
  leans: 'figures worked so will slant',
  'not-safe': 'what is wished for could hurt someone',
  'not-enough-yarn': 'the yarn in the drawer makes no whole piece',
  'stitch-not-offered': 'the pattern is not made in this stitch',
  'foundation-not-offered': 'the stitch has no such way to begin',
  'colours-mismatch': 'the yarns do not match the colours of the pattern',
  'narrower-than-repeat': 'the wish is smaller than one repeat of the pattern',
  'chain-illegal': 'the pattern cannot be worked on this chain',
  'stitches-illegal': 'the pattern cannot be worked on this number of stitches',
  'rows-illegal': 'the ending asked for cannot come after this number of rows',
  'fabric-broken': 'a laid fabric failed its proof',
  'strand-broken': 'a routed strand failed its proof',
} as const;

export type ProblemCode = keyof typeof problemCodes;

export interface Problem {
  readonly code: ProblemCode;
  /** Where it is wrong, as a dotted path into what was given (`size.width.length`), or '' for the whole. */
  readonly path: string;
  /** One sentence for the maker. */
  readonly message: string;
  /** What to do about it. */
  readonly hint: string;
  /** Numbers that would do instead, for a screen to offer: the nearest on either side. */
  readonly instead?: readonly number[];
  /** The number asked for, where it can be worked if it may end anywhere. */
  readonly anywhere?: number;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export function good<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function refused(...problems: readonly Problem[]): Result<never> {
  return { ok: false, problems };
}

/** The same problem seen from further out: `at('size', {path:'width'})` is at `size.width`. */
export function at(parent: string, problem: Problem): Problem {
  return { ...problem, path: problem.path ? `${parent}.${problem.path}` : parent };
}

/** The value, or a thrown error: only where a refusal would be a mistake in the code. */
export function must<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(result.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
}
