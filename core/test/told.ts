import type { Problem } from '../src/craft/values/problem.ts';
import { problemWords } from '../src/words/en/problems.ts';

/** A problem in words, for tests that read what a maker reads; empty where there is none. */
export function told(problem: Problem | undefined): { readonly message: string; readonly hint: string } {
  return problem ? problemWords(problem) : { message: '', hint: '' };
}
