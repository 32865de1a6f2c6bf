import type { Estimate } from './estimate.ts';

/** What a fact can be: a number, a word of the craft, an estimate, or several of them. */
export type Fact = string | number | boolean | undefined | Estimate | readonly (string | number)[];
export type Facts = Readonly<Record<string, Fact>>;

/** Something to be told: which sentence, and what goes into it. The sentence itself is made in the words. */
export interface Told {
  readonly code: string;
  readonly facts?: Facts | undefined;
}

/**
 * Everything Puntada refuses, it refuses with a problem: what is wrong, and where. Problems are values; only broken
 * promises of the code itself are thrown. Sentence and hint to each code: `words/en/problems.ts`.
 */
export interface Problem extends Told {
  /** Where it is wrong, as a dotted path into what was given (`size.width.length`), or '' for the whole. */
  readonly path: string;
  /** Numbers that would do instead, for a screen to offer: the nearest on either side. */
  readonly instead?: readonly number[] | undefined;
  /** The number asked for, where it can be worked if it may end anywhere. */
  readonly anywhere?: number | undefined;
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
  throw new Error(
    result.problems.map(({ path, code, facts }) => `${path}: ${code} ${JSON.stringify(facts ?? {})}`).join('\n'),
  );
}
