import type { Facts, Problem } from '../values/problem.ts';

/** A line of pattern text being read, with the place for errors. */
export class LineReader {
  readonly line: number;
  private readonly text: string;
  private index = 0;
  private taken = 0;

  constructor(text: string, line: number) {
    this.text = text.trimEnd();
    this.line = line;
  }

  get done(): boolean {
    this.space();
    return this.index >= this.text.length;
  }

  get rest(): string {
    return this.text.slice(this.index);
  }

  /** Takes what the expression matches here, or nothing. The expression must be sticky-free and start with `^`. */
  take(expression: RegExp): RegExpExecArray | undefined {
    this.space();
    const match = expression.exec(this.rest);
    if (!match) return undefined;
    this.taken = this.index;
    this.index += match[0].length;
    return match;
  }

  /** As `take`, but refuses when it is not there. */
  expect(expression: RegExp, expected: string, facts: Facts = {}): RegExpExecArray {
    const match = this.take(expression);
    if (!match) throw this.wrong(expected, facts);
    return match;
  }

  /** As if the last thing taken still stood here, to say that it is wrong. */
  putBack(): void {
    this.index = this.taken;
  }

  /** @param expected key of what was expected here; its words are in `words/en/notation.ts` */
  wrong(expected: string, facts: Facts = {}): PatternSyntaxError {
    this.space();
    const column = this.index + 1;
    return new PatternSyntaxError({
      code: 'pattern-syntax',
      path: `line ${this.line}, column ${column}`,
      facts: { ...facts, line: this.line, column, expected, found: this.rest.slice(0, 20) },
    });
  }

  private space(): void {
    while (this.index < this.text.length && /\s/.test(this.text[this.index] ?? '')) this.index++;
  }
}

/** Carries a problem out of the reader; never leaves `readPattern`. */
export class PatternSyntaxError extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(`${problem.path}: ${problem.facts?.expected}`);
    this.problem = problem;
  }
}
